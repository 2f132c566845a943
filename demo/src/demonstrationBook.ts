import {
  addDays,
  BOOK_FORMAT,
  BOOK_VERSION,
  formatDay,
  partsFromDay,
  planOfMachine,
  type Book,
  type DayNumber,
  type Entry,
  type Machine,
  type MeterChange,
  type Reading,
  type Task,
} from "@yonderfell/core";
import { BAYS, PARTS, PEOPLE, PLACES, PRODUCTS } from "./catalogue.js";
import { MACHINES } from "./machines/index.js";
import { between, seededRandom, type Random } from "./random.js";
import { HISTORY_DAYS, runMeter } from "./running.js";
import type { ScenarioMachine, ScenarioMeter, ScenarioTask } from "./scenario.js";
import { ESTIMATES } from "./estimates.js";
import { journeysOf, visitsOf, workshopFacts } from "./planned.js";

type Unnumbered<T extends Dated> = T;
type Dated = { readonly id: string; readonly date: string };

/** What a machine of the scenario has left in the book, before the records are put in order. */
interface Trail {
  readonly readings: Unnumbered<Reading>[];
  readonly meterChanges: Unnumbered<MeterChange>[];
  readonly entries: Unnumbered<Entry>[];
}

/** What each meter's dial shows at the end of the day so many days ago. */
type Dials = Map<string, (ago: number) => number>;

/** What each meter has run by the end of each day of the history. */
type Runs = Map<string, readonly number[]>;

const SEED = 4780;

/** The name of the demonstration book. */
export const DEMONSTRATION_NAME = "Skarrow Vale";

/**
 * The demonstration book for a day: Skarrow Vale with three years behind it. All of it is made up,
 * and the same day gives the same bytes.
 */
export function demonstrationBook(today: DayNumber): Book {
  const trails = MACHINES.map((machine, index) =>
    trailOf(machine, today, seededRandom(SEED + index)),
  );
  const numbered = inOrder(trails);
  const machines = MACHINES.map((machine) => machineOf(machine, today));
  return {
    format: BOOK_FORMAT,
    version: BOOK_VERSION,
    name: DEMONSTRATION_NAME,
    settings: { dueWithinDays: 7, leadDays: 30, staleAfterDays: 45, currency: "cr" },
    machines,
    ...numbered,
    tasks: withOrigins(MACHINES.flatMap(tasksOf), machines),
    ...plates(),
    visits: visitsOf(today),
    journeys: journeysOf(today),
    parts: PARTS,
    products: PRODUCTS,
    people: PEOPLE,
    bays: BAYS,
    places: PLACES,
  };
}

function machineOf(machine: ScenarioMachine, today: DayNumber): Machine {
  const { id, tag, name, kind, description, history, regime } = machine;
  const inService = formatDay(addDays(today, -machine.inServiceDaysAgo));
  const meters = machine.meters.map(({ id: meter, name: called, unit, stoppedDaysAgo }) => ({
    id: meter,
    name: called,
    measure: unit === "h" ? "hours" : "distance",
    unit,
    ...(stoppedDaysAgo === undefined
      ? {}
      : { stoppedOn: formatDay(addDays(today, -stoppedDaysAgo)) }),
  }));
  const facts = { id, tag, name, kind, description, inService, history, regime, meters };
  const { acquiredDaysAgo, stop, baseline } = machine;
  return {
    ...facts,
    ...machine.facts,
    ...workshopFacts(machine, today),
    ...(acquiredDaysAgo === undefined
      ? {}
      : { acquired: formatDay(addDays(today, -acquiredDaysAgo)) }),
    ...(baseline === undefined
      ? {}
      : {
          baseline: {
            begun: formatDay(addDays(today, -baseline.daysAgo)),
            left: [...baseline.left],
          },
        }),
    ...(stop === undefined
      ? {}
      : {
          stops: [
            {
              id: `${id}-stop`,
              since: formatDay(addDays(today, -stop.daysAgo)),
              reason: stop.reason,
              by: stop.by,
            },
          ],
        }),
  } as Machine;
}

/** What belongs in and on each machine. */
function plates(): Pick<Book, "fluids" | "servicePoints" | "specifications" | "fitments"> {
  const ofMachine = <T extends object>(
    { id: machine }: ScenarioMachine,
    records: readonly T[] = [],
  ): (T & { readonly machine: string })[] => records.map((record) => ({ ...record, machine }));
  return {
    fluids: MACHINES.flatMap((one) => ofMachine(one, one.fluids)),
    servicePoints: MACHINES.flatMap((one) => ofMachine(one, one.points)),
    specifications: MACHINES.flatMap((one) => ofMachine(one, one.specifications)),
    fitments: MACHINES.flatMap((one) =>
      ofMachine(one, one.fitments).map((fitment, at) => ({
        id: `${one.id}-fit-${at + 1}`,
        ...fitment,
      })),
    ),
  } as unknown as Pick<Book, "fluids" | "servicePoints" | "specifications" | "fitments">;
}

function tasksOf(machine: ScenarioMachine): Task[] {
  return machine.tasks.map(
    ({ doneDaysAgo: _days, doneRunAgo: _run, copiedFrom: _from, ...task }) => {
      const minutes = task.minutes ?? ESTIMATES[task.id];
      return {
        ...task,
        ...(minutes === undefined ? {} : { minutes }),
        machine: machine.id,
      } as Task;
    },
  );
}

/** Tasks with where they were copied from: a sister's task as it stood then. */
function withOrigins(tasks: readonly Task[], machines: readonly Machine[]): Task[] {
  const scenarios = MACHINES.flatMap((machine) => machine.tasks);
  return tasks.map((task) => {
    const from = scenarios.find(({ id }) => id === task.id)?.copiedFrom;
    const sister = machines.find(({ id }) => id === from?.machine);
    if (from === undefined || sister === undefined) return task;
    const plan = planOfMachine(
      sister,
      tasks.filter(({ machine }) => machine === sister.id),
    );
    const copied = plan.tasks.find(({ key }) => key === from.task);
    const { schools } = from;
    const regimes = Object.entries(copied?.regimes ?? {}).filter(
      ([school]) => schools === undefined || schools.includes(school),
    );
    const as = JSON.stringify({ ...copied, regimes: Object.fromEntries(regimes) });
    return { ...task, origin: { plan: null, machine: sister.id, key: from.task, as } };
  });
}

/** Since how many days ago anybody here has known the machine. */
function knownSince({ inServiceDaysAgo, acquiredDaysAgo }: ScenarioMachine): number {
  return Math.min(inServiceDaysAgo, acquiredDaysAgo ?? inServiceDaysAgo);
}

function trailOf(machine: ScenarioMachine, today: DayNumber, random: Random): Trail {
  const trail: Trail = { readings: [], meterChanges: [], entries: [] };
  const dials: Dials = new Map();
  const runs: Runs = new Map();
  for (const meter of machine.meters) {
    const figures = runMeter(meter, knownSince(machine), today, random);
    const dial = dialOf(meter, figures);
    dials.set(meter.id, dial);
    runs.set(meter.id, figures);
    trail.readings.push(...readingsOf(machine, meter, dial, today, random));
    trail.meterChanges.push(...changesOf(machine, meter, dial, today));
  }
  trail.entries.push(...entriesOf(machine, dials, runs, today));
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

/** How many days ago the meter had each amount less on it than today. */
function daysAgoByRun(task: ScenarioTask, runs: Runs): number[] {
  const run = task.doneRunAgo;
  if (run === undefined) return [];
  const figures = runs.get(run.meter) ?? [];
  const now = figures[HISTORY_DAYS] ?? 0;
  return run.amounts.map((amount) => {
    const position = figures.findIndex((figure) => figure >= now - amount);
    return Math.max(1, HISTORY_DAYS - position);
  });
}

/** One entry a day of work, whatever was done that day. */
function entriesOf(
  machine: ScenarioMachine,
  dials: Dials,
  runs: Runs,
  today: DayNumber,
): Unnumbered<Entry>[] {
  const tasksByDay = new Map<number, string[]>();
  for (const task of machine.tasks) {
    for (const ago of [...task.doneDaysAgo, ...daysAgoByRun(task, runs)]) {
      tasksByDay.set(ago, [...(tasksByDay.get(ago) ?? []), task.id]);
    }
  }
  const figuresOn = (ago: number): Record<string, number> =>
    Object.fromEntries([...dials].map(([meter, dial]) => [meter, dial(ago)]));
  const said = (machine.said ?? []).map(({ daysAgo, says }, index) => {
    const id = `s-${machine.tag.toLowerCase()}-${daysAgo}-${index + 1}`;
    const date = formatDay(addDays(today, -daysAgo));
    const shared = { id, machine: machine.id, date, meters: figuresOn(daysAgo), tasks: [] };
    return { ...shared, ...says } as unknown as Unnumbered<Entry>;
  });
  const work = [...tasksByDay].map(([ago, tasks]) => {
    const note = machine.notes.find((candidate) => candidate.daysAgo === ago)?.text;
    return {
      id: `e-${machine.tag.toLowerCase()}-${ago}`,
      machine: machine.id,
      date: formatDay(addDays(today, -ago)),
      meters: figuresOn(ago),
      tasks,
      ...(note === undefined ? {} : { note }),
    } as Unnumbered<Entry>;
  });
  return [...work, ...said];
}

/** All records of the book numbered in order of date, each section in that order. */
function inOrder(trails: readonly Trail[]): Pick<Book, "readings" | "meterChanges" | "entries"> {
  const all: readonly Dated[] = trails.flatMap((trail) => [
    ...trail.readings,
    ...trail.meterChanges,
    ...trail.entries,
  ]);
  const sorted = [...all].sort((one, other) =>
    one.date === other.date ? compare(one.id, other.id) : compare(one.date, other.date),
  );
  const seqById = new Map(sorted.map((record, index) => [record.id, index + 1]));
  const numbered = <T extends Dated>(records: readonly T[]): (T & { seq: number })[] =>
    records
      .map((record) => ({ ...record, seq: seqById.get(record.id) ?? 0 }))
      .sort((one, other) => one.seq - other.seq);
  return {
    readings: numbered(trails.flatMap((trail) => trail.readings)),
    meterChanges: numbered(trails.flatMap((trail) => trail.meterChanges)),
    entries: numbered(trails.flatMap((trail) => trail.entries)),
  };
}

function compare(one: string, other: string): number {
  return one < other ? -1 : one > other ? 1 : 0;
}
