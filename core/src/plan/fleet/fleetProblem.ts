import type { TaskId } from "../../book/records/ids.js";
import type { Machine } from "../../book/records/machine.js";
import type { Visit } from "../../book/records/visit.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import type { WorkDays } from "../visits/spareDays.js";
import type { Turn } from "../visits/turn.js";

/** Hours of some people, or of some bays, by week: those who can do certain work, or all. */
export interface Pool {
  readonly of: "people" | "bays";
  /** Whether it is of all people, or of all bays. */
  readonly isWhole: boolean;
  /** The ids of the people, or the bays, in the order of the book. */
  readonly who: readonly string[];
  /** The words that all of them have and others lack. */
  readonly needs: readonly string[];
  /** Minutes there are, by week from the first. */
  readonly minutes: readonly number[];
  /** Minutes of a day on which nobody is away. */
  readonly aDay: number;
}

/** The cheapest day of a week on which some work may be done. */
export interface WeekChoice {
  /** The place of the week, 0 that of today. */
  readonly week: number;
  readonly day: DayNumber;
  /** In the book's money, without hours over. */
  readonly cost: number;
}

/** Work of one machine that is done on one day: a visit of the book, or one that is proposed. */
export interface FleetBlock {
  /** The visit of the book; null where it is only proposed. */
  readonly held: Visit | null;
  /** The turns it does. */
  readonly turns: readonly Turn[];
  /** Turns that are cheapest taken into it, beside its own; none in one that is proposed. */
  readonly added: readonly Turn[];
  /** Tasks of a visit of the book that have no turn ahead and are still to be done. */
  readonly others: readonly TaskId[];
  /** Where it stands, or the machine by itself would have it. */
  readonly day: DayNumber;
  /** Minutes of one's own work; 0 where none is estimated. */
  readonly minutes: number;
  /** Minutes it takes of each pool it draws on, by the place of the pool. */
  readonly uses: readonly (readonly [pool: number, minutes: number])[];
  /** One a week at the most, weeks rising; at least one. */
  readonly choices: readonly WeekChoice[];
}

/** One way of bringing the work of a machine together: all of its blocks are done. */
export interface FleetOption {
  readonly blocks: readonly FleetBlock[];
}

/** A machine with the ways there are for it; the first is the cheapest by itself. */
export interface FleetMachine {
  readonly machine: Pick<Machine, "id" | "tag" | "name">;
  /** The number of the last record of its log; null where it has none. */
  readonly since: number | null;
  readonly options: readonly FleetOption[];
}

/** Work that nobody there can do, or that no bay takes. */
export interface UnmetNeed {
  readonly machine: FleetMachine["machine"];
  readonly tasks: readonly TaskId[];
  readonly of: "people" | "bays";
  readonly needs: readonly string[];
}

/** The weeks of all machines together, as plain data: what is to be chosen, and what there is. */
export interface FleetProblem {
  readonly today: DayNumber;
  /** The Mondays of the weeks. */
  readonly weeks: readonly DayNumber[];
  readonly pools: readonly Pool[];
  readonly machines: readonly FleetMachine[];
  /** The days on which work is done. */
  readonly work: WorkDays;
  /** What a minute more than a pool has is priced at. */
  readonly overMinute: number;
  readonly unmet: readonly UnmetNeed[];
}
