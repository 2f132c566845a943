import {
  addDays,
  formatDay,
  partsFromDay,
  type DayNumber,
  type Entry,
  type MeterChange,
  type Reading,
} from "@yonderfell/core";
import { between, seededRandom, type Random } from "./random.js";
import { HISTORY_DAYS, runMeter } from "./running.js";
import type { ScenarioMachine, ScenarioMeter, ScenarioTask } from "./scenario.js";
import { topUpsOf, workOf } from "./work.js";

type Unnumbered<T extends Dated> = T;
type Dated = { readonly id: string; readonly date: string };

/** What a machine of the scenario has left in the book, before the records are put in order. */
export interface Trail {
  readonly readings: Unnumbered<Reading>[];
  readonly meterChanges: Unnumbered<MeterChange>[];
  readonly entries: Unnumbered<Entry>[];
  /** What its dials showed so many days ago. */
  readonly figuresOn: (ago: number) => Readonly<Record<string, number>>;
}

/** What each meter's dial shows at the end of the day so many days ago. */
type Dials = Map<string, (ago: number) => number>;

/** What each meter has run by the end of each day of the history. */
type Runs = Map<string, readonly number[]>;

const WORK_SEED = 911;

/** Since how many days ago anybody here has known the machine. */
function knownSince({ inServiceDaysAgo, acquiredDaysAgo }: ScenarioMachine): number {
  return Math.min(inServiceDaysAgo, acquiredDaysAgo ?? inServiceDaysAgo);
}

/** What a machine has left in the book by the day. */
export function trailOf(machine: ScenarioMachine, today: DayNumber, random: Random): Trail {
  const dials: Dials = new Map();
  const figuresOn = (ago: number): Readonly<Record<string, number>> =>
    Object.fromEntries([...dials].map(([meter, dial]) => [meter, dial(ago)]));
  const trail: Trail = { readings: [], meterChanges: [], entries: [], figuresOn };
  const runs: Runs = new Map();
  for (const meter of machine.meters) {
    const figures = runMeter(meter, knownSince(machine), today, random);
    const dial = dialOf(meter, figures);
    dials.set(meter.id, dial);
    runs.set(meter.id, figures);
    trail.readings.push(...readingsOf(machine, meter, dial, today, random));
    trail.meterChanges.push(...changesOf(machine, meter, dial, today));
  }
  trail.entries.push(...entriesOf(machine, figuresOn, runs, today));
  return trail;
}

/** What the dial in place shows at the end of the day `ago` days before. */
function dialOf(meter: ScenarioMeter, figures: readonly number[]): (ago: number) => number {
  const stopped = meter.stoppedDaysAgo ?? 0;
  const at = (ago: number): number =>
    figures[HISTORY_DAYS - Math.max(ago, stopped)] ?? meter.startsAt;
  const replaced = meter.replacedDaysAgo;
  const start = replaced === undefined ? 0 : at(replaced);
  const scale = 10 ** meter.decimals;
  return (ago) => {
    const figure = replaced !== undefined && ago < replaced ? at(ago) - start : at(ago);
    return Math.round(figure * scale) / scale;
  };
}

function readingsOf(
  machine: ScenarioMachine,
  meter: ScenarioMeter,
  dial: (ago: number) => number,
  today: DayNumber,
  random: Random,
): Unnumbered<Reading>[] {
  const readings: Unnumbered<Reading>[] = [];
  const [shortest, longest] = meter.readEvery;
  const step = (): number => Math.round(between(random, shortest, longest));
  const first = Math.min(HISTORY_DAYS, knownSince(machine));
  const days: number[] = [];
  for (let ago = first - step(); ago > 1; ago -= step()) days.push(ago);
  if (meter.mistypedDaysAgo !== undefined) days.push(meter.mistypedDaysAgo);
  for (const ago of days) {
    if (ago === meter.replacedDaysAgo || !isInUse(meter, addDays(today, -ago))) continue;
    const value = ago === meter.mistypedDaysAgo ? transposed(dial(ago)) : dial(ago);
    readings.push({
      id: `r-${machine.tag.toLowerCase()}-${meter.id}-${ago}`,
      machine: machine.id,
      meter: meter.id,
      date: formatDay(addDays(today, -ago)),
      value,
    } as Reading);
  }
  return readings;
}

/** Whether a meter runs in the month of a day: nobody reads what stands in the barn. */
function isInUse({ running }: ScenarioMeter, day: DayNumber): boolean {
  return (running.perDayByMonth[partsFromDay(day).month - 1] ?? 0) > 0;
}

/** A figure with its second and third digits the wrong way round, as tired people type it, and always a different one. */
function transposed(figure: number): number {
  const [first = "", second = "", third = "", ...rest] = String(figure);
  const swapped = Number([first, third, second, ...rest].join(""));
  return swapped === figure ? figure * 10 : swapped;
}

function changesOf(
  machine: ScenarioMachine,
  meter: ScenarioMeter,
  dial: (ago: number) => number,
  today: DayNumber,
): Unnumbered<MeterChange>[] {
  const ago = meter.replacedDaysAgo;
  if (ago === undefined) return [];
  return [
    {
      id: `c-${machine.tag.toLowerCase()}-${meter.id}`,
      machine: machine.id,
      meter: meter.id,
      date: formatDay(addDays(today, -ago)),
      oldFinal: dial(ago),
      newStart: 0,
      lost: 0,
      note: "Instrument cluster renewed, old one kept in the office.",
    } as Unnumbered<MeterChange>,
  ];
}

/** How many days ago a meter had so much less on it than today. */
function daysAgoAt(figures: readonly number[], amount: number): number {
  const now = figures[HISTORY_DAYS] ?? 0;
  return Math.max(1, HISTORY_DAYS - figures.findIndex((figure) => figure >= now - amount));
}

/** How many days ago a task was done by what its meter had on it. */
function daysAgoByRun({ doneRunAgo: run }: ScenarioTask, runs: Runs): number[] {
  if (run === undefined) return [];
  const figures = runs.get(run.meter) ?? [];
  return run.amounts.map((amount) => daysAgoAt(figures, amount));
}

/** What was measured at the latest turns of the tasks done on a day. */
function measuredOn(
  machine: ScenarioMachine,
  runs: Runs,
  day: number,
): Pick<Entry, "measures"> | Record<string, never> {
  const measures = machine.tasks.flatMap((task) => {
    const ago = [...task.doneDaysAgo, ...daysAgoByRun(task, runs)];
    return ago.slice(-(task.lastMeasured?.length ?? 0) || ago.length).flatMap((done, at) => {
      const measure = done === day ? task.lastMeasured?.[at] : undefined;
      return measure === undefined ? [] : [measure];
    });
  });
  return measures.length === 0 ? {} : { measures };
}

/** One entry a day of work, whatever was done that day. */
function entriesOf(
  machine: ScenarioMachine,
  figuresOn: (ago: number) => Readonly<Record<string, number>>,
  runs: Runs,
  today: DayNumber,
): Unnumbered<Entry>[] {
  // Of its own, so that what was used changes nothing of what was read.
  const random = seededRandom(WORK_SEED + Number.parseInt(machine.tag, 36));
  const tasksByDay = new Map<number, string[]>();
  for (const task of machine.tasks) {
    for (const ago of [...task.doneDaysAgo, ...daysAgoByRun(task, runs)]) {
      tasksByDay.set(ago, [...(tasksByDay.get(ago) ?? []), task.id]);
    }
  }
  const [first] = runs.values();
  const agoAt = (run: number): number => daysAgoAt(first ?? [], run);
  const said = [...(machine.said ?? []), ...topUpsOf(machine, random, agoAt)].map(
    ({ daysAgo, says }, index) => {
      const id = `s-${machine.tag.toLowerCase()}-${daysAgo}-${index + 1}`;
      const date = formatDay(addDays(today, -daysAgo));
      const shared = { id, machine: machine.id, date, meters: figuresOn(daysAgo), tasks: [] };
      return { ...shared, ...says } as unknown as Unnumbered<Entry>;
    },
  );
  const work = [...tasksByDay].map(([ago, tasks]) => {
    const note = machine.notes.find((candidate) => candidate.daysAgo === ago)?.text;
    return {
      id: `e-${machine.tag.toLowerCase()}-${ago}`,
      machine: machine.id,
      date: formatDay(addDays(today, -ago)),
      meters: figuresOn(ago),
      tasks,
      ...workOf(machine, tasks, ago, random),
      ...measuredOn(machine, runs, ago),
      ...machine.worked?.find((one) => one.daysAgo === ago)?.says,
      ...(note === undefined ? {} : { note }),
    } as Unnumbered<Entry>;
  });
  return [...work, ...said];
}
