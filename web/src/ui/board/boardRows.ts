import type { BoardMachine, FindingReckoning, TaskReckoning } from "@yonderfell/core";
import type { BoardGroup } from "./boardGroup.js";

/** A row of the board: what stands over a group, the name of a machine where it has a row of its own, the strip of a task (null where it has none), or that of a finding. */
export type BoardRow =
  | { readonly code: "title"; readonly key: string; readonly title: string }
  | (BundleRow & { readonly code: "name" })
  | (BundleRow & { readonly code: "strip"; readonly task: TaskReckoning | null })
  | (BundleRow & { readonly code: "finding"; readonly finding: FindingReckoning });

interface BundleRow {
  readonly key: string;
  /** Tells the machine in its group from all others. */
  readonly bundle: string;
  readonly machine: BoardMachine;
}

/** Rows in sight that stand together: a title, or what is in sight of one machine. */
export type Run =
  | { readonly code: "title"; readonly key: string; readonly title: string; readonly first: number }
  | {
      readonly code: "bundle";
      readonly key: string;
      readonly machine: BoardMachine;
      readonly tasks: readonly TaskReckoning[];
      readonly findings: readonly FindingReckoning[];
      readonly first: number;
      readonly beginsWithName: boolean;
    };

/** The board as rows; `hasNameRows` where the name of a machine stands over its strips rather than beside them. */
export function boardRows(groups: readonly BoardGroup[], hasNameRows: boolean): BoardRow[] {
  return groups.flatMap(({ key, title, machines }): BoardRow[] => [
    ...(title === "" ? [] : [{ code: "title" as const, key: `group ${key}`, title }]),
    ...machines.flatMap((machine): BoardRow[] => {
      const bundle = `${key} ${machine.machine.id}`;
      const own = { bundle, machine };
      const isEmpty = machine.tasks.length + machine.findings.length === 0;
      const tasks = isEmpty ? [null] : machine.tasks;
      return [
        ...(hasNameRows ? [{ ...own, code: "name" as const, key: `name ${bundle}` }] : []),
        ...tasks.map((task) => ({
          ...own,
          ...{ code: "strip" as const, key: task?.task.id ?? `none ${bundle}`, task },
        })),
        ...machine.findings.map((finding) => ({
          ...{ ...own, code: "finding" as const, key: `finding ${finding.finding.id}`, finding },
        })),
      ];
    }),
  ]);
}

/** The rows from `first` up to and with `last`, those of one machine put together. */
export function runsOf(rows: readonly BoardRow[], first: number, last: number): Run[] {
  const runs: Run[] = [];
  for (let index = first; index <= last; index += 1) {
    const row = rows[index];
    if (row === undefined) continue;
    if (row.code === "title") {
      runs.push({ ...row, first: index });
      continue;
    }
    const tasks = row.code === "strip" && row.task !== null ? [row.task] : [];
    const findings = row.code === "finding" ? [row.finding] : [];
    const before = runs.at(-1);
    if (before?.code === "bundle" && before.key === row.bundle) {
      runs[runs.length - 1] = {
        ...before,
        tasks: [...before.tasks, ...tasks],
        findings: [...before.findings, ...findings],
      };
    } else {
      runs.push({
        ...{ code: "bundle", key: row.bundle, machine: row.machine, first: index },
        ...{ tasks, findings, beginsWithName: row.code === "name" },
      });
    }
  }
  return runs;
}
