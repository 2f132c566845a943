import type { Book } from "../book/file/book.js";
import type { MachineId, TaskId } from "../book/records/ids.js";
import { planningOf, settingsOf } from "../book/records/settings.js";
import type { Task } from "../book/records/task.js";
import { machineBooksOf } from "../book/slice/machineBook.js";
import { machinePlatesOf } from "../book/slice/machinePlate.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import type { MachineBook } from "../book/slice/slice.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { planJourney, type JourneyPlan } from "../plan/journeys/planJourney.js";
import { nextVisit, openFindings } from "../schedule/findingsDue.js";
import { plateNow } from "../schedule/inside.js";
import { machineState } from "../schedule/reckonMachine.js";
import {
  needsOfFinding,
  needsOfJourney,
  needsOfVisit,
  type StoreNeed,
  type NeedGap,
  type Needs,
  type NeedsFrom,
  type VisitAhead,
} from "./needs.js";
import { usualRate } from "./taskNeeds.js";

/** Over what a shopping list goes. */
export interface Horizon {
  readonly today: DayNumber;
  /** The last day of which anything is wanted. */
  readonly until: DayNumber;
  /** The machines; null for all. */
  readonly machines: ReadonlySet<MachineId> | null;
}

/** The visits ahead by machine, accepted and proposed, without those that others do. */
export type VisitsAhead = ReadonlyMap<MachineId, readonly VisitAhead[]>;

/** What the needs of work ahead are gathered from. */
export type AheadBook = Pick<
  Book,
  | "settings"
  | "machines"
  | "tasks"
  | "readings"
  | "meterChanges"
  | "entries"
  | "rounds"
  | "findings"
  | "visits"
  | "journeys"
  | "fluids"
  | "servicePoints"
  | "fitments"
  | "parts"
  | "products"
  | "people"
  | "closures"
  | "checklists"
  | "stockMoves"
>;

/** Turns of a task that are done for a journey in the place of visits that are only proposed, from a day on. */
interface Taken {
  readonly task: TaskId;
  readonly from: DayNumber;
  readonly times: number;
}

/** What a journey takes that no accepted visit does: what is done on the visit before it, and what is done on the way. */
interface OnJourney {
  readonly needs: Needs;
  readonly instead: readonly Taken[];
}

/** What is needed for work ahead up to and with a day: what visits, open findings and journeys take. */
export function needsAhead(book: AheadBook, visits: VisitsAhead, horizon: Horizon): Needs {
  const { machines, until } = horizon;
  const whole = book as Book;
  const plateOf = machinePlatesOf(book);
  const needs: StoreNeed[] = [];
  const gaps: NeedGap[] = [];
  for (const own of machineBooksOf(whole)) {
    const [{ id }] = own.machines;
    if (machines !== null && !machines.has(id)) continue;
    const { parts = [], products = [], stockMoves = [] } = book;
    const now = plateNow(plateOf(id), own, horizon.today);
    const from: NeedsFrom = { machine: id, plate: now, parts, products, stockMoves };
    const found = needsOfMachine(own, visits.get(id) ?? [], from, book, horizon);
    needs.push(...found.needs);
    gaps.push(...found.gaps);
  }
  return {
    needs: needs.filter(({ on }) => on === null || on <= until),
    gaps: gaps.filter(({ on }) => on === null || on <= until),
  };
}

function needsOfMachine(
  own: MachineBook,
  visits: readonly VisitAhead[],
  from: NeedsFrom,
  book: AheadBook,
  horizon: Horizon,
): Needs {
  const { today, until } = horizon;
  const journeys = journeysOf(own, from, book, horizon);
  const left = withoutTaken(visits, journeys);
  const ahead = left
    .filter(({ day }) => day <= until)
    .map((visit) => needsOfVisit(visit, own.tasks, from));
  const next = nextVisit(own, today);
  const noted = { findings: own.findings, entries: currentRecords(own.entries) };
  const found = openFindings(noted, today).flatMap((finding) =>
    needsOfFinding(finding, today, next),
  );
  const all = [...ahead, ...journeys.map((one) => one.needs)];
  return {
    needs: [...all.flatMap((one) => one.needs), ...found],
    gaps: all.flatMap((one) => one.gaps),
  };
}

/** Visits without the turns that are done for journeys instead: of those only proposed, the first of each task from its day on. */
function withoutTaken(
  visits: readonly VisitAhead[],
  journeys: readonly OnJourney[],
): readonly VisitAhead[] {
  const taken = journeys.flatMap(({ instead }) => instead.map((one) => ({ ...one })));
  if (taken.length === 0) return visits;
  const sorted = [...visits].sort((one, other) => one.day - other.day);
  return sorted.map((visit) => {
    if (visit.visit !== null) return visit;
    const tasks = visit.tasks.filter((id) => {
      const one = taken.find(
        ({ task, from, times }) => task === id && times > 0 && visit.day >= from,
      );
      if (one !== undefined) one.times -= 1;
      return one === undefined;
    });
    return { ...visit, tasks };
  });
}

function journeysOf(
  own: MachineBook,
  from: NeedsFrom,
  book: AheadBook,
  { today, until }: Horizon,
): OnJourney[] {
  const { machine, plate, parts, products } = from;
  const journeys = (book.journeys ?? []).filter(
    (one) => one.machine === machine && dayOf(one.date) >= today && dayOf(one.date) <= until,
  );
  const records = journeys.length === 0 ? undefined : recordsByMachine(own).get(machine);
  if (records === undefined) return [];
  const settings = settingsOf(book);
  const source = {
    ...{ settings, planning: planningOf(book) },
    needs: { plate, parts, products, rate: usualRate(book.people ?? []) },
    coldMargin: book.settings?.coldMargin ?? undefined,
  };
  const state = machineState(records, settings, today);
  const visits = (book.visits ?? []).filter((visit) => visit.machine === machine);
  return journeys.map((journey) =>
    onJourney(planJourney(journey, state, visits, source), own.tasks, from, today),
  );
}

function onJourney(
  { journey, days, tasks, inVisits, along, visitOn }: JourneyPlan,
  own: readonly Task[],
  from: NeedsFrom,
  today: DayNumber,
): OnJourney {
  const held = new Set(inVisits.map(({ task }) => task));
  const before = tasks.filter(
    ({ task, advice, isOutside }) =>
      !isOutside && !held.has(task) && (advice === "must" || advice === "before"),
  );
  const ids = before.map(({ task }) => task);
  const day = visitOn ?? days.departs;
  const first = needsOfVisit({ day, visit: null, tasks: ids }, own, from);
  const way = needsOfJourney(along, {
    id: journey.id,
    machine: from.machine,
    departs: days.departs,
  });
  const onTheWay = tasks.filter(({ advice }) => advice === "on-the-way");
  const instead = [
    ...ids.map((task): Taken => ({ task, from: today, times: 1 })),
    // What is proposed before departure is done besides.
    ...onTheWay.map(({ task, times }): Taken => ({ task, from: days.departs, times })),
  ];
  const needs = first.needs.map((need): StoreNeed => {
    const { of } = need;
    const wanted = of.code === "visit" ? of.tasks : [];
    return { ...need, of: { code: "journey", journey: journey.id, tasks: wanted } };
  });
  return {
    needs: { needs: [...needs, ...way.needs], gaps: [...first.gaps, ...way.gaps] },
    instead,
  };
}
