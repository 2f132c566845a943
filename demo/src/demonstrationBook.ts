import {
  addDays,
  BOOK_FORMAT,
  BOOK_VERSION,
  formatDay,
  planOfMachine,
  type Book,
  type DayNumber,
  type Lesson,
  type Machine,
  type Task,
} from "@yonderfell/core";
import { BAYS, PARTS, PEOPLE, PLACES } from "./catalogue.js";
import { MACHINES } from "./machines/index.js";
import { seededRandom } from "./random.js";
import type { ScenarioMachine } from "./scenario.js";
import { ESTIMATES } from "./estimates.js";
import { withJobs } from "./jobs.js";
import { numberedTogether } from "./numbered.js";
import { bookingsOf, closuresOf, journeysOf, visitsOf, workshopFacts } from "./planned.js";
import { foundOn } from "./rounds.js";
import { samplesOn } from "./samples.js";
import { productsOn, storesOf } from "./stores.js";
import { trailOf, type Trail } from "./trail.js";

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
  const { lists, undated } = recordsOf(trails, today);
  const machines = MACHINES.map((machine) => machineOf(machine, today));
  const book: Book = {
    format: BOOK_FORMAT,
    version: BOOK_VERSION,
    name: DEMONSTRATION_NAME,
    settings: {
      dueWithinDays: 7,
      leadDays: 30,
      staleAfterDays: 45,
      currency: "cr",
      budgets: budgetsOn(today),
    },
    machines,
    ...numberedTogether(lists),
    tasks: withOrigins(MACHINES.flatMap(tasksOf), machines),
    ...plates(),
    visits: visitsOf(today),
    journeys: journeysOf(today),
    parts: PARTS,
    products: productsOn(today),
    people: PEOPLE,
    bays: BAYS,
    places: PLACES,
    ...undated,
    closures: closuresOf(today),
    lessons: lessonsOn(today),
  };
  return withJobs(book, today);
}

/** What may be spent this year and the next. */
function budgetsOn(today: DayNumber): Readonly<Record<string, number>> {
  const year = Number(formatDay(today).slice(0, 4));
  return { [year]: 6000, [year + 1]: 6500 };
}

/** A proposal was set aside for good. */
function lessonsOn(today: DayNumber): Lesson[] {
  const answered = (id: string, ago: number, more: object): Lesson =>
    ({ id, about: "minutes", on: formatDay(addDays(today, -ago)), ...more }) as Lesson;
  return [
    answered("ls-1", 20, {
      ...{ machine: "m-lunch", task: "t-lunch-gas", answer: "never" },
      said: "Gas installation, certificate: the fitter does it, and bills by the piece",
    }),
  ];
}

/** What the machines have left in the book, what was found on them, and what was bought for them. */
function recordsOf(trails: readonly Trail[], today: DayNumber) {
  const entries = trails.flatMap((trail) => trail.entries);
  const placeOf = (machine: string): number => MACHINES.findIndex(({ id }) => id === machine);
  const dials = (machine: string, ago: number): Readonly<Record<string, number>> =>
    trails[placeOf(machine)]?.figuresOn(ago) ?? {};
  const tagOf = (machine: string): string => MACHINES[placeOf(machine)]?.tag ?? "";
  const { rounds, ...looked } = foundOn(tagOf, dials, today);
  const { stockMoves, wasteMoves, ...stores } = storesOf(entries, today);
  const lists = {
    readings: trails.flatMap((trail) => trail.readings),
    meterChanges: trails.flatMap((trail) => trail.meterChanges),
    entries,
    rounds,
    samples: samplesOn(dials, today),
    stockMoves,
    wasteMoves,
    bookings: bookingsOf(today),
  };
  return { lists, undated: { ...looked, ...stores } };
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
              ...(stop.released === undefined
                ? {}
                : {
                    released: {
                      on: formatDay(addDays(today, -stop.released.daysAgo)),
                      by: stop.released.by,
                      done: stop.released.done,
                    },
                  }),
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
