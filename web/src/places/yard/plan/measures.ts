import {
  checkLimits,
  currentRecords,
  resultAt,
  symbolOf,
  type Checklist,
  type Finding,
  type Machine,
  type Round,
  type Specification,
} from "@yonderfell/core";
import { sentence } from "../../../words/format.js";
import { findingTitle } from "../../../words/findingWords.js";
import { typedFigure } from "../../../words/writing.js";
import { figureTyped } from "../../../form/typed.js";
import { BY_ROUNDS, emptyLimit, measureKey, type LimitRow } from "./limitModel.js";
import { modelOf, type TaskModel } from "./taskModel.js";

/** Something that rounds measure on a machine, on which a task may depend (due rules §16). */
export interface Measure {
  readonly key: string;
  /** What is measured. */
  readonly what: string;
  /** The same with the checklist it is in. */
  readonly name: string;
  readonly unit: string;
  /** Where it is measured; empty where it is one figure. */
  readonly points: readonly string[];
  /** The figure at which its check finds it worn; null where it says none. */
  readonly due: number | null;
  /** Whether rounds of the machine have read it already. */
  readonly isRead: boolean;
}

/** The checks of a book's checklists for a kind of machine that are read as figures; those that were read on it first. */
export function measuresFor(
  machine: Machine,
  checklists: readonly Checklist[],
  specifications: readonly Specification[],
  rounds: readonly Round[],
): readonly Measure[] {
  const walked = currentRecords(rounds).map(({ record }) => record);
  const fits = ({ id, kinds }: Checklist): boolean =>
    (kinds ?? []).length === 0 ||
    (kinds ?? []).includes(machine.kind ?? "") ||
    walked.some((round) => round.checklist === id);
  const all = checklists.filter(fits).flatMap((checklist) =>
    (checklist.checks ?? []).flatMap((check): Measure[] => {
      const limits = (check.unit ?? null) === null ? null : checkLimits(check, specifications);
      if (limits === null) return [];
      const points = check.points ?? [];
      const isRead = walked.some(
        (round) =>
          round.checklist === checklist.id &&
          [null, ...points].some(
            (point) => (resultAt(round, { check, point })?.readings ?? []).length > 0,
          ),
      );
      return [
        {
          key: measureKey(checklist.id, check.id),
          what: sentence(check.name),
          name: `${sentence(check.name)} · ${checklist.name}`,
          unit: symbolOf(limits.unit),
          points,
          due: (check.wears === "up" ? limits.most : limits.least) ?? null,
          isRead,
        },
      ];
    }),
  );
  return all.toSorted((one, other) => Number(other.isRead) - Number(one.isRead));
}

/** A limit by what rounds measure, filled in as far as the check and the machine say it. */
export function measuredRow(
  machine: Machine,
  { key, points, due }: Pick<Measure, "key" | "points" | "due">,
  point: string | null,
): LimitRow {
  return {
    ...emptyLimit(BY_ROUNDS),
    measure: key,
    point: point ?? points[0] ?? "",
    figure: due === null ? "" : typedFigure(due),
    life: machine.meters?.[0]?.id ?? "",
  };
}

/** What a new task begins with: nothing, a finding that is to come back, something that rounds measure. */
export interface NewTask {
  readonly finding: Finding | null;
  readonly measure: Measure | null;
  readonly point: string | null;
}

/** What a check of the machine's rounds is chosen by in an address. */
export function newTaskOf(
  search: URLSearchParams,
  measures: readonly Measure[],
  {
    findings,
    rounds,
  }: { readonly findings: readonly Finding[]; readonly rounds: readonly Round[] },
): NewTask {
  const finding = findings.find(({ id }) => id === search.get("finding")) ?? null;
  const round = rounds.find(({ id }) => id === finding?.round) ?? null;
  const found = round === null ? "" : measureKey(round.checklist, finding?.check ?? "");
  const key = search.get("measure") ?? found;
  return {
    finding,
    measure: measures.find((one) => one.key === key) ?? null,
    point: search.get("point") ?? finding?.point ?? null,
  };
}

/** A new task as the form begins with it. */
export function modelOfNew({ finding, measure, point }: NewTask, machine: Machine): TaskModel {
  const plain = modelOf(null, machine);
  const [school] = plain.regimes;
  if (school === undefined || (finding === null && measure === null)) return plain;
  const limits = measure === null ? [emptyLimit("months")] : [measuredRow(machine, measure, point)];
  const what = [measure?.what, point].filter(Boolean).join(", ");
  const note = [finding?.evidence, finding?.todo].filter(Boolean).join(". ");
  return {
    ...plain,
    name: finding === null ? what : findingTitle(finding),
    note,
    minutes: figureTyped(finding?.minutes),
    regimes: [{ ...school, limits }],
  };
}
