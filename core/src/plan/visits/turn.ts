import type { TaskId } from "../../book/records/ids.js";
import type { Planning } from "../../book/records/settings.js";
import type { DayNumber } from "../../calendar/dayNumber.js";

/** A turn of a task as a visit weighs it: when it may be done, and what it costs to do it early or late. */
export interface Turn {
  readonly task: TaskId;
  /** 1 for the next turn of the task, 2 for the one after. */
  readonly number: number;
  /** The likely date, as the board shows it; may be past. */
  readonly due: DayNumber;
  /** The days on which it may be done, the last null where nothing ends them. */
  readonly earliest: DayNumber;
  readonly latest: DayNumber | null;
  /** Days between these on which it is not to be done: it was left out of the visits there. */
  readonly avoided?: readonly DayNumber[];
  /** The last day within the grace. */
  readonly graceEnd: DayNumber;
  /** The last day the law or a warranty allows; null where there is none. */
  readonly hardEnd: DayNumber | null;
  /** The days of an interval, of which those before `due` are thrown away; null where nothing is (a fixed grid). */
  readonly interval: number | null;
  /** What a turn is worth, in the book's money: parts, fluids and labour. */
  readonly value: number;
  /** What is opened for it, null where nothing is. */
  readonly access: string | null;
  readonly minutes: number | null;
  /** Words that who does it, and where, must have among their own; absent where it needs none. */
  readonly needs?: readonly string[];
  /** Whether it is for others to do: licensed, specialist tools, warranty. */
  readonly isOutside: boolean;
}

/** What it costs to do a turn on a day, in the book's money. */
export interface TurnCost {
  /** Life thrown away by doing it early. */
  readonly wasted: number;
  /** Standing past its date. */
  readonly late: number;
}

/** A turn by name, unlike that of any other turn of its machine. */
export function turnKey({ task, number }: Pick<Turn, "task" | "number">): string {
  return `${number} ${task}`;
}

/**
 * Of some turns of a machine the one of a task that work on a day is for: the first that may be done on it,
 * else the one nearest to it, what is overdue counted from `today`; null where there is none.
 */
export function turnOn(
  turns: readonly Turn[],
  task: TaskId,
  day: DayNumber,
  today: DayNumber,
): Turn | null {
  const own = turns.filter((turn) => turn.task === task);
  const away = ({ due }: Turn): number => Math.abs(Math.max(due, today) - day);
  const [first = null, ...rest] = own;
  return (
    own.find((turn) => isAllowed(turn, day)) ??
    rest.reduce((nearest, turn) => (nearest && away(turn) >= away(nearest) ? nearest : turn), first)
  );
}

/** Whether a turn may be done on a day. */
export function isAllowed({ earliest, latest, avoided }: Turn, day: DayNumber): boolean {
  if (avoided?.includes(day) === true) return false;
  return day >= earliest && (latest === null || day <= latest);
}

/** Whether a turn done on a day counts for it: on a fixed grid not before its days (due rules §5). */
export function countsOn({ interval, earliest }: Turn, day: DayNumber): boolean {
  return interval !== null || day >= earliest;
}

/** Whether a day is past what the law or a warranty allows for a turn. */
export function isPastHardEnd({ hardEnd }: Turn, day: DayNumber): boolean {
  return hardEnd !== null && day > hardEnd;
}

/**
 * What it costs to do a turn on a day: early, its value by the share of the interval that is thrown
 * away; late, so much a day within the grace and so much more past it. Convex in the day. It does not
 * look at whether the day is allowed.
 */
export function costOfTurn(
  turn: Pick<Turn, "due" | "graceEnd" | "interval" | "value">,
  day: DayNumber,
  { lateADay, pastGraceADay }: Pick<Planning, "lateADay" | "pastGraceADay">,
): TurnCost {
  const { due, graceEnd, interval, value } = turn;
  if (day <= due) {
    const share = interval === null ? 0 : (due - day) / interval;
    return { wasted: value * share, late: 0 };
  }
  const past = Math.max(0, day - Math.max(graceEnd, due));
  const within = day - due - past;
  // Never cheaper past the grace than within it, whatever the weights: the search relies on it.
  return { wasted: 0, late: within * lateADay + past * Math.max(lateADay, pastGraceADay) };
}
