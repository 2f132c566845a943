import type { Visit } from "../../book/records/visit.js";
import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { firstOn, lastUpTo } from "./candidates.js";
import type { PlannedVisit } from "./plannedVisit.js";
import { isAllowed, turnKey, type Turn } from "./turn.js";

/** A turn as it is, and with the days that the search for the cheapest ones is to take it on. */
export interface FittedTurn {
  readonly turn: Turn;
  /** Null where there is no day for it within the time looked at. */
  readonly fitted: Turn | null;
  /** The days within its own on which there is a visit that it was left out of. */
  readonly leftOut: readonly DayNumber[];
}

/** What turns are fitted to. */
export interface Fitting {
  readonly held: readonly PlannedVisit[];
  /** The visits of the book that are not done, missed ones too. */
  readonly open: readonly Visit[];
  /** The days the machine can be worked on, rising. */
  readonly spare: readonly DayNumber[];
  readonly today: DayNumber;
}

/**
 * The turns that no visit of the book does, each with days on which it can be done: its own; where none of them
 * will do, a hard limit is kept to by doing it earlier still (but not before it counts), else it is put off to the first
 * day there is. The turns of a task follow one another: each after the days of the one before.
 */
export function fitTurns(turns: readonly Turn[], fitting: Fitting): FittedTurn[] {
  const heldOn = new Map(
    fitting.held.flatMap(({ day, turns: own }) => own.map((turn) => [turnKey(turn), day] as const)),
  );
  const days = [false, true].map((isOutside) => openDays(fitting, isOutside));
  const taken = new Map<Turn["task"], DayNumber>();
  const inOrder = [...turns].sort((one, other) => one.number - other.number);
  const fitted = new Map<Turn, FittedTurn>();
  for (const turn of inOrder) {
    const after = taken.get(turn.task) ?? null;
    const held = heldOn.get(turnKey(turn)) ?? null;
    const one =
      held === null ? fitTurn(turn, after, days[Number(turn.isOutside)] ?? [], fitting) : null;
    if (one !== null) fitted.set(turn, one);
    const last = held ?? one?.fitted?.latest ?? null;
    if (last !== null) taken.set(turn.task, Math.max(last, after ?? last) as DayNumber);
  }
  return turns.flatMap((turn) => fitted.get(turn) ?? []);
}

/** The days on which work can be done: those the machine can be spared on, and those of visits of the same kind. */
function openDays({ held, spare }: Fitting, isOutside: boolean): DayNumber[] {
  const given = held.filter((visit) => visit.isOutside === isOutside).map(({ day }) => day);
  return [...new Set([...spare, ...given])].sort((one, other) => one - other);
}

function fitTurn(
  turn: Turn,
  after: DayNumber | null,
  days: readonly DayNumber[],
  { held, open, today }: Fitting,
): FittedTurn {
  const first = after === null ? turn.earliest : latestOf(turn.earliest, addDays(after, 1));
  const leftOut = open
    .filter(({ without }) => without?.includes(turn.task) === true)
    .map(({ date }) => dayOf(date));
  const inVisit = held
    .filter(({ visit }) => visit?.tasks.includes(turn.task) === true)
    .map(({ day }) => day);
  const avoided = [...leftOut, ...inVisit];
  const free = days.filter((day) => !avoided.includes(day));
  const own = { ...turn, earliest: first };
  const isWithin = (day: DayNumber): boolean => isAllowed(own, day);
  const fitted = free.some(isWithin)
    ? own
    : (pulledForward(own, after, free, today) ?? putOff(own, free));
  const kept = avoided.filter((day) => fitted !== null && isAllowed(fitted, day));
  return {
    turn,
    fitted: fitted === null || kept.length === 0 ? fitted : { ...fitted, avoided: kept },
    leftOut,
  };
}

/** A turn of a hard limit that has no day of its own before it, on the last day there is; on a fixed grid it would not count. */
function pulledForward(
  turn: Turn,
  after: DayNumber | null,
  days: readonly DayNumber[],
  today: DayNumber,
): Turn | null {
  const { hardEnd, latest, interval } = turn;
  if (hardEnd === null || interval === null) return null;
  const last = lastUpTo(days, latest === null ? hardEnd : (Math.min(hardEnd, latest) as DayNumber));
  if (last === null || last < today || (after !== null && last <= after)) return null;
  return { ...turn, earliest: last };
}

/** A turn on the first day there is for it. */
function putOff(turn: Turn, days: readonly DayNumber[]): Turn | null {
  const first = firstOn(days, turn.earliest);
  return first === null ? null : { ...turn, latest: first };
}

const latestOf = (one: DayNumber, other: DayNumber): DayNumber => Math.max(one, other) as DayNumber;
