import { groupBy } from "es-toolkit";
import type { Book } from "../book/file/book.js";
import type { MachineId, TaskId } from "../book/records/ids.js";
import { planningOf, settingsOf } from "../book/records/settings.js";
import type { Task } from "../book/records/task.js";
import { machineBooksOf } from "../book/slice/machineBook.js";
import { EMPTY_PLATE } from "../book/slice/machinePlate.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import type { MachineBook } from "../book/slice/slice.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { planJourney, type JourneyPlan } from "../plan/journeys/planJourney.js";
import { openFindings } from "../schedule/findingsDue.js";
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
  | "checklists"
  | "stockMoves"
>;

/** What a journey takes that no accepted visit does: what is done on the visit before it, and what is done on the way. */
interface OnJourney {
  readonly needs: Needs;
  /** Turns of tasks that it takes from the visits that are only proposed. */
  readonly instead: ReadonlyMap<TaskId, number>;
}

/** What is needed for work ahead up to and with a day: what visits, open findings and journeys take. */
export function needsAhead(book: AheadBook, visits: VisitsAhead, horizon: Horizon): Needs {
  const { machines, until } = horizon;
  const whole = book as Book;
  const fluids = groupBy(book.fluids ?? [], ({ machine }) => machine);
  const points = groupBy(book.servicePoints ?? [], ({ machine }) => machine);
  const fitments = groupBy(book.fitments ?? [], ({ machine }) => machine);
  const needs: StoreNeed[] = [];
  const gaps: NeedGap[] = [];
  for (const own of machineBooksOf(whole)) {
    const [{ id }] = own.machines;
    if (machines !== null && !machines.has(id)) continue;
    const plate = {
      ...EMPTY_PLATE,
      ...{
        fluids: fluids[id] ?? [],
        servicePoints: points[id] ?? [],
        fitments: fitments[id] ?? [],
      },
    };
    const { parts = [], products = [], stockMoves = [] } = book;
    const now = plateNow(plate, own, horizon.today);
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
  const accepted = visits.filter(({ visit }) => visit !== null).map(({ day }) => day);
  const next = accepted.length === 0 ? null : (Math.min(...accepted) as DayNumber);
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

/** Visits without the turns that are done for journeys instead: of those only proposed, the first of each task. */
function withoutTaken(
  visits: readonly VisitAhead[],
  journeys: readonly OnJourney[],
): readonly VisitAhead[] {
  const taken = new Map<TaskId, number>();
  for (const [task, times] of journeys.flatMap(({ instead }) => [...instead])) {
    taken.set(task, (taken.get(task) ?? 0) + times);
  }
  if (taken.size === 0) return visits;
  const sorted = [...visits].sort((one, other) => one.day - other.day);
  return sorted.map((visit) => {
    if (visit.visit !== null) return visit;
    const tasks = visit.tasks.filter((task) => {
      const left = taken.get(task) ?? 0;
      if (left > 0) taken.set(task, left - 1);
      return left === 0;
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
    onJourney(planJourney(journey, state, visits, source), own.tasks, from),
  );
}

function onJourney(
  { journey, days, tasks, inVisits, along, visitOn }: JourneyPlan,
  own: readonly Task[],
  from: NeedsFrom,
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
  const instead = new Map<TaskId, number>(ids.map((id) => [id, 1]));
  for (const { task, times, advice } of tasks) {
    if (advice === "on-the-way") instead.set(task, (instead.get(task) ?? 0) + times);
  }
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
