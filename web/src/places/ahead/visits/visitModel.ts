import {
  countsOn,
  isPastHardEnd,
  otherDays,
  costOfVisiting,
  spareDays,
  planUntil,
  turnKey,
  turnOn,
  visitCostOn,
  type DayNumber,
  type OtherDay,
  type PlannedVisit,
  type Planning,
  type TaskId,
  type Turn,
  type VisitCost,
} from "@yonderfell/core";
import type { Addable } from "../../../words/visitWords.js";
import type { PlannedMachine } from "../../../work/visitKeeper.js";

/** A visit as the page lists it. */
export interface ListedVisit {
  /** Stays the same while it is moved about. */
  readonly key: string;
  readonly of: PlannedMachine;
  readonly planned: PlannedVisit;
  /** Where it stands, or where it is being moved to. */
  readonly day: DayNumber;
  readonly turns: readonly Turn[];
  readonly otherMinutes: number;
  readonly isOutside: boolean;
}

/** A visit that is being moved and not yet kept. */
export interface Moving {
  readonly key: string;
  readonly day: DayNumber;
}

/** What a visit is called as long as it stands: that of the book by its id, one proposed by its first turn. */
function visitKey(of: PlannedMachine, { visit, turns }: PlannedVisit): string {
  const first = turns[0];
  const name = first === undefined ? "" : turnKey(first);
  return visit === null ? `proposed ${of.machine.id} ${name}` : visit.id;
}

/** All visits of some machines, earliest first, the one being moved where it is moved to. */
export function listVisits(
  machines: readonly PlannedMachine[],
  moving: Moving | null,
): ListedVisit[] {
  const listed = machines.flatMap((of) =>
    of.plan.visits.map((planned) => listedVisit(of, planned)),
  );
  const placed = listed.map((one) =>
    moving !== null && one.key === moving.key ? { ...one, day: moving.day } : one,
  );
  return placed.sort((one, other) => one.day - other.day);
}

function listedVisit(of: PlannedMachine, planned: PlannedVisit): ListedVisit {
  const { day, turns, isOutside, others } = planned;
  const otherMinutes = others.reduce((sum, task) => sum + (of.minutes[task] ?? 0), 0);
  return { key: visitKey(of, planned), of, planned, day, turns, otherMinutes, isOutside };
}

/** The visits whose day has passed with work not done, as they are listed. */
export function missedVisits(machines: readonly PlannedMachine[]): ListedVisit[] {
  return machines.flatMap((of) =>
    of.plan.missed.flatMap((planned): ListedVisit[] => {
      return planned.visit === null ? [] : [listedVisit(of, planned)];
    }),
  );
}

/** The visits of the book that a day asks for, as they are planned today: those missed by now, unless the day is past, then its own. */
export function visitsOn(
  machines: readonly PlannedMachine[],
  today: DayNumber,
  on: DayNumber = today,
): ListedVisit[] {
  const held = listVisits(machines, null).filter(({ planned }) => planned.visit !== null);
  const missed = missedVisits(machines);
  if (on < today) return missed.filter(({ day }) => day === on);
  return [...missed, ...held.filter(({ day }) => day === on)];
}

/** What a visit costs on a day. */
export function costOn({ of, turns }: ListedVisit, day: DayNumber, planning: Planning): VisitCost {
  return visitCostOn(turns, day, costOfVisiting(of.machine, planning), planning);
}

/** The tasks of a visit whose hard limits its day is past. */
export function pastHardLimits({ turns, day }: Pick<ListedVisit, "turns" | "day">): TaskId[] {
  return turns.filter((turn) => isPastHardEnd(turn, day)).map(({ task }) => task);
}

/** A task that a visit could take in, and the turn of it that is meant. */
export interface AddableTask extends Addable {
  readonly turn: Turn | null;
}

/** The tasks of its machine that a visit could take in on its day, with what each would add to what it costs: turns that no other visit of the book has. */
export function addableTo(
  visit: ListedVisit,
  tasks: readonly TaskId[],
  today: DayNumber,
  planning: Planning,
): AddableTask[] {
  const { day, turns, of, planned } = visit;
  const inIt = new Set([...turns.map(({ task }) => task), ...planned.others]);
  const held = of.plan.visits.filter((one) => one.visit !== null).flatMap((one) => one.turns);
  const free = of.plan.turns.filter((turn) => !held.includes(turn));
  const before = costOn(visit, day, planning).total;
  return tasks
    .filter((task) => !inIt.has(task))
    .map((task) => {
      const turn = turnOn(free, task, day, today);
      if (turn === null) return { task, turn, more: null, counts: false };
      const { total } = costOn({ ...visit, turns: [...turns, turn] }, day, planning);
      return { task, turn, more: total - before, counts: countsOn(turn, day) };
    });
}

/** The days a visit can be moved to, cheapest first. */
export function daysFor(visit: ListedVisit, today: DayNumber, planning: Planning): OtherDay[] {
  const { machine } = visit.of;
  const spare = spareDays(machine, planning, today, planUntil(today, planning));
  return otherDays(visit.turns, spare, costOfVisiting(machine, planning), planning);
}

/** The cheapest other day for some of a visit's tasks; null where there is none. */
export function dayForSome(
  visit: ListedVisit,
  tasks: readonly TaskId[],
  today: DayNumber,
  planning: Planning,
): DayNumber | null {
  const turns = visit.turns.filter(({ task }) => tasks.includes(task));
  const others = daysFor({ ...visit, turns }, today, planning);
  return others.find(({ day }) => day !== visit.planned.day)?.day ?? null;
}

/** The next day before or after one that a machine can be worked on; null where there is none. */
export function nextSpare(
  { of }: ListedVisit,
  day: DayNumber,
  step: -1 | 1,
  today: DayNumber,
  planning: Planning,
): DayNumber | null {
  const spare = spareDays(of.machine, planning, today, planUntil(today, planning));
  const found = step > 0 ? spare.find((one) => one > day) : spare.findLast((one) => one < day);
  return found ?? null;
}
