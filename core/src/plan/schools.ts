import type { MachineRecords } from "../book/slice/machineRecords.js";
import type { TaskId } from "../book/records/ids.js";
import type { Limit } from "../limit/limit.js";
import { ownValue } from "../book/records/ownValue.js";
import type { Settings } from "../book/records/settings.js";
import type { Task } from "../book/records/task.js";
import { addIntervals } from "../calendar/interval.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import type { MachineState } from "../schedule/machineState.js";
import { machineState } from "../schedule/reckonMachine.js";
import { DEFAULT_REGIME, holdsForProduct, limitsInForce } from "../schedule/taskDue.js";
import { taskNeeds, type MissingFigure, type NeedsSource } from "../stores/taskNeeds.js";
import { occurrences, type Occurrence } from "./occurrences.js";

/** The schools of intervals, in the order they are laid side by side; a book may have others. */
export const SCHOOLS = ["handbook", "cautious", "measured", "hard use"] as const;

/** A task as one school has it over the years. */
export interface SchoolTask {
  readonly task: TaskId;
  readonly turns: number;
  /** The limits it goes by in this school; none for one that goes with or after another. */
  readonly limits: readonly Limit[];
  /**
   * `own` limits of this school; `handbook` where it has none and takes those; `for life` where it says
   * so; `with another` task; `each use`; `none` where nothing is said.
   */
  readonly by: "own" | "handbook" | "for life" | "with another" | "each use" | "none";
}

/** What one school asks for over the years. */
export interface SchoolSum {
  readonly school: string;
  readonly tasks: readonly SchoolTask[];
  readonly turns: number;
  /** Days on which anything falls due. */
  readonly days: number;
  readonly minutes: number;
  readonly litres: number;
  readonly money: { readonly parts: number; readonly fluids: number; readonly labour: number };
  /** What the sums leave out, each once. */
  readonly missing: readonly MissingFigure[];
}

/** The schools that a machine's tasks speak of, the usual ones first. */
export function schoolsOf(tasks: readonly Task[]): string[] {
  const named = new Set(tasks.flatMap((task) => Object.keys(task.regimes ?? {})));
  const usual: string[] = SCHOOLS.filter(
    (school) => school === DEFAULT_REGIME || named.has(school),
  );
  return [...usual, ...[...named].filter((school) => !usual.includes(school)).sort()];
}

/**
 * What each school would ask for on one machine in the next `years` (a whole number from 1 on), were it
 * followed throughout: overrides of single tasks are left out, a task without limits in a school goes by
 * the handbook's, each turn is done when it falls due, and the machine runs on at its present pace.
 */
export function compareSchools(
  records: MachineRecords,
  settings: Settings,
  source: NeedsSource,
  today: DayNumber,
  years: number,
): SchoolSum[] {
  const schools = schoolsOf(records.tasks);
  return schools.map((school) => schoolSum(records, settings, source, today, years, school));
}

function schoolSum(
  records: MachineRecords,
  settings: Settings,
  source: NeedsSource,
  today: DayNumber,
  years: number,
  school: string,
): SchoolSum {
  const followed = inSchool(records, school);
  const state = machineState(followed, settings, today);
  const found = occurrences(state, addIntervals(today, { months: 12 }, years));
  return schoolSumOf(school, followed.tasks, state, found, source);
}

/** The records of a machine that follows one school throughout: overrides of single tasks are left out. */
export function inSchool(records: MachineRecords, school: string): MachineRecords {
  const tasks = records.tasks.map((task) => ({ ...task, regime: null }));
  return { ...records, machine: { ...records.machine, regime: school }, tasks };
}

/** What some turns of a machine's tasks come to in one school. */
export function schoolSumOf(
  school: string,
  tasks: readonly Task[],
  state: MachineState,
  found: readonly Pick<Occurrence, "task" | "day">[],
  source: NeedsSource,
): SchoolSum {
  const turns = new Map<TaskId, number>();
  for (const { task } of found) {
    turns.set(task, (turns.get(task) ?? 0) + 1);
  }
  const sum = { minutes: 0, litres: 0, parts: 0, fluids: 0, labour: 0 };
  const missing = new Map<string, MissingFigure>();
  for (const task of tasks) {
    const count = turns.get(task.id) ?? 0;
    if (count === 0) continue;
    const needs = taskNeeds(task, source);
    for (const one of needs.missing) missing.set(`${one.code} ${one.what}`, one);
    sum.minutes += count * (needs.minutes ?? 0);
    sum.litres += count * needs.litres;
    sum.parts += count * needs.parts;
    sum.fluids += count * needs.fluids;
    sum.labour += count * needs.labour;
  }
  const { minutes, litres, ...money } = sum;
  return {
    school,
    tasks: tasks.map((task) => ({
      task: task.id,
      turns: turns.get(task.id) ?? 0,
      limits: limitsInForce(task, state.machine).limits.filter((one) =>
        holdsForProduct(one, task, state),
      ),
      by: sourceOf(task, school),
    })),
    turns: found.length,
    days: new Set(found.map(({ day }) => day)).size,
    minutes,
    litres,
    money,
    missing: [...missing.values()],
  };
}

function sourceOf(task: Task, school: string): SchoolTask["by"] {
  if (task.nth || task.follows) return "with another";
  const own = ownValue(task.regimes, school);
  const limits = own ?? ownValue(task.regimes, DEFAULT_REGIME);
  if (limits === undefined) return "none";
  if (limits.length === 0) return task.eachUse ? "each use" : "for life";
  return own === undefined ? "handbook" : "own";
}
