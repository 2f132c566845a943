import {
  laddersOf,
  limitOf,
  limitsOfKind,
  limitsOnMeter,
  writeLadder,
  type DayNumber,
  type LadderInput,
  type LadderIssue,
  type LadderStep,
  type Limit,
  type Machine,
  type MachineBook,
  type MeterId,
  type Slice,
  type TaskId,
} from "@yonderfell/core";
import { lookingAhead } from "../../../data/lookingAhead.js";
import { newId } from "../../../data/newId.js";
import { figureTyped, isEmpty } from "../../../form/typed.js";
import { meterUnit } from "../../../words/taskWords.js";
import { typedFigure } from "../../../words/writing.js";
import { meterFigure } from "./taskModel.js";

/** A step of a ladder as it stands in the form. */
export interface StepRow {
  readonly key: string;
  readonly id: TaskId | null;
  readonly at: string;
  readonly name: string;
  readonly minutes: string;
}

/** A ladder as it stands in the form. */
export interface LadderModel {
  readonly name: string;
  readonly meter: string;
  readonly every: string;
  readonly rows: readonly StepRow[];
}

/** The unit that a ladder counts in. */
export type LadderUnit = "km" | "mi" | "h";

/** The steps of a ladder as they stand in the book. */
export type LadderSteps = readonly LadderStep[];

/** The steps of a ladder of a name; null where there is none yet. */
export function stepsOf(tasks: Slice<"tasks">["tasks"], name: string): LadderSteps | null {
  return laddersOf(tasks).get(name) ?? null;
}

/** A step in which nothing is said yet. */
export const emptyStep = (): StepRow => ({
  ...{ key: newId(), id: null, at: "", name: "", minutes: "" },
});

/** The limits of the first step, in all its schools. */
const limitsOf = (steps: readonly LadderStep[]): Limit[] =>
  Object.values(steps[0]?.task.regimes ?? {}).flatMap((limits) => limits.map(limitOf));

/** The interval of a ladder on its meter: that of its first step. */
function intervalOf(steps: readonly LadderStep[], meter: string): number | null {
  return limitsOnMeter(limitsOf(steps), meter as MeterId)[0]?.every ?? null;
}

function meterOf(steps: readonly LadderStep[], machine: Machine): string {
  const hours = (machine.meters ?? []).find(({ measure }) => measure === "hours");
  return (
    limitsOfKind(limitsOf(steps), "meter")[0]?.meter ?? hours?.id ?? machine.meters?.[0]?.id ?? ""
  );
}

function rowsOf(steps: readonly LadderStep[], every: number): StepRow[] {
  return steps.map(({ task, multiple }) => ({
    key: task.id,
    id: task.id,
    at: typedFigure(every * multiple),
    name: task.name,
    minutes: figureTyped(task.minutes),
  }));
}

const FRESH = [250, 500, 1000, 2000];

/** A ladder as it stands in the form: of a name that has no steps yet, the usual ones to fill in. */
export function modelOfLadder(
  steps: LadderSteps | null,
  name: string,
  machine: Machine,
): LadderModel {
  const meter = meterOf(steps ?? [], machine);
  const every = intervalOf(steps ?? [], meter) ?? 250;
  const fresh = FRESH.map((at) => ({ ...emptyStep(), at: String(at) }));
  const rows = steps === null ? fresh : rowsOf(steps, every);
  return { name: name === "" ? "hours" : name, meter, every: typedFigure(every), rows };
}

/** What the form says; figures that are none are not numbers. */
export function ladderInput(model: LadderModel, unit: LadderUnit): LadderInput {
  const figure = (text: string): number => meterFigure(text, unit) ?? Number.NaN;
  return {
    name: model.name,
    meter: model.meter as MeterId,
    every: figure(model.every),
    steps: model.rows.map(({ id, at, name, minutes }) => ({
      ...{ id, name, at: figure(at) },
      minutes: isEmpty(minutes) ? null : meterFigure(minutes, "min"),
    })),
  };
}

/** What stands in the way of a ladder, at its fields. */
export interface LadderProblem {
  readonly field: string;
  readonly code: LadderIssue["code"];
  readonly issue: LadderIssue;
  readonly unit: LadderUnit;
}

/** What is still wrong with it, as the command would refuse it. */
export function ladderProblems(
  model: LadderModel,
  book: MachineBook,
  before: string,
  today: DayNumber,
): readonly LadderProblem[] {
  const unit = meterUnit(book.machines[0], model.meter);
  const input = ladderInput(model, unit);
  const tried = writeLadder(book, input, before === "" ? null : before, lookingAhead(today));
  if (tried.ok) return [];
  return tried.issues.map((issue) => ({
    ...{ field: fieldOf(issue, input), code: issue.code, issue, unit },
  }));
}

/** At which field an issue stands. */
function fieldOf(issue: LadderIssue, { steps }: LadderInput): string {
  const row = (at: number): number => {
    const index = steps.findLastIndex((step) => Object.is(step.at, at));
    return Math.max(index, 0);
  };
  switch (issue.code) {
    case "name-missing":
      return "name";
    case "interval-missing":
      return "every";
    case "no-first-step":
      return "rows.0.at";
    case "step-name-missing":
      return `rows.${row(issue.at)}.name`;
    case "not-a-multiple":
    case "two-steps-at":
      return `rows.${row(issue.at)}.at`;
  }
}
