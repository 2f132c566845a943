import type { BoardMachine, TaskReckoning } from "@yonderfell/core";
import { useMemo, type ReactElement } from "react";
import type { BoardGroup } from "./boardGroup.js";
import { Bundle, roomAfter, STRIP, type BundleLook } from "./Bundle.js";
import { GroupTitle } from "./GroupTitle.js";
import { useWindowed } from "./useWindowed.js";

/** A row of the board: what stands over a group, the name of a machine where it has a row of its own, or a strip (null where it has none). */
export type BoardRow =
  | { readonly code: "title"; readonly key: string; readonly title: string }
  | (BundleRow & { readonly code: "name" })
  | (BundleRow & { readonly code: "strip"; readonly task: TaskReckoning | null });

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
      readonly first: number;
      readonly beginsWithName: boolean;
    };

const GROUP_TITLE_HEIGHT = 54;
const NARROW_NAME_HEIGHT = 76;

/** The board as rows; `hasNameRows` where the name of a machine stands over its strips rather than beside them. */
export function boardRows(groups: readonly BoardGroup[], hasNameRows: boolean): BoardRow[] {
  return groups.flatMap(({ key, title, machines }): BoardRow[] => [
    ...(title === "" ? [] : [{ code: "title" as const, key: `group ${key}`, title }]),
    ...machines.flatMap((machine): BoardRow[] => {
      const bundle = `${key} ${machine.machine.id}`;
      const own = { bundle, machine };
      const tasks = machine.tasks.length === 0 ? [null] : machine.tasks;
      return [
        ...(hasNameRows ? [{ ...own, code: "name" as const, key: `name ${bundle}` }] : []),
        ...tasks.map((task) => ({
          ...own,
          ...{ code: "strip" as const, key: task?.task.id ?? `none ${bundle}`, task },
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
    const task = row.code === "strip" ? row.task : null;
    const before = runs.at(-1);
    if (before?.code === "bundle" && before.key === row.bundle) {
      if (task !== null) runs[runs.length - 1] = { ...before, tasks: [...before.tasks, task] };
    } else {
      runs.push({
        ...{ code: "bundle", key: row.bundle, machine: row.machine, first: index },
        ...{ tasks: task === null ? [] : [task], beginsWithName: row.code === "name" },
      });
    }
  }
  return runs;
}

/** About how high a row is until it is drawn, in pixels. */
function heightOf(row: BoardRow, look: BundleLook): number {
  if (row.code === "title") return GROUP_TITLE_HEIGHT;
  if (row.code === "name") return NARROW_NAME_HEIGHT;
  const { machine, task } = row;
  const strip = task === null ? 0 : look.isNarrow ? STRIP.narrow : STRIP.wide;
  const before = task === (machine.tasks[0] ?? null) ? STRIP.before : 0;
  const after = task === (machine.tasks.at(-1) ?? null) ? roomAfter(machine, look) : 0;
  return strip + before + after;
}

/** A long board, of which only the strips in sight are drawn. */
export default function WindowedBoard({
  groups,
  look,
}: {
  readonly groups: readonly BoardGroup[];
  readonly look: BundleLook;
}): ReactElement {
  const hasNameRows = look.isNarrow && look.isNamed;
  const rows = useMemo(() => boardRows(groups, hasNameRows), [groups, hasNameRows]);
  const { list, shown, height, before, measure } = useWindowed<BoardRow, HTMLDivElement>(
    rows,
    ({ key }) => key,
    (row) => heightOf(row, look),
  );
  const runs = runsOf(rows, shown[0]?.index ?? 0, shown.at(-1)?.index ?? -1);
  return (
    // Moved down by its padding rather than by a transform, so that names can stick in sight.
    <div ref={list} style={{ height, paddingTop: before, boxSizing: "border-box" }}>
      {runs.map((run) =>
        run.code === "title" ? (
          <div key={run.key} data-index={run.first} ref={measure}>
            <GroupTitle title={run.title} />
          </div>
        ) : (
          <Bundle
            key={run.key}
            machine={run.machine}
            tasks={run.tasks}
            look={look}
            measured={{ first: run.first, beginsWithName: run.beginsWithName, measure }}
          />
        ),
      )}
    </div>
  );
}
