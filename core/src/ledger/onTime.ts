import type { Book } from "../book/file/book.js";
import type { Finding } from "../book/records/finding.js";
import type { MachineId, TaskId } from "../book/records/ids.js";
import type { Stop } from "../book/records/service.js";
import { settingsOf, type Settings } from "../book/records/settings.js";
import { recordsByMachine, type MachineRecords } from "../book/slice/machineRecords.js";
import { dayOf, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { findingEnd } from "../schedule/findingEnd.js";
import { reckonMachine, type MachineReckoning } from "../schedule/reckonMachine.js";
import { median } from "../sums/middle.js";
import { monthOf, monthsBetween } from "./months.js";
import { turnsDone, type InTime } from "./turns.js";

/** So many turns by whether they were in time. */
interface TurnCount {
  readonly inTime: number;
  readonly withinGrace: number;
  readonly late: number;
  /** Of these nobody can tell: no limit, or the book does not go back so far. They count for no share. */
  readonly notKnown: number;
}

/** The share of what can be judged; null where nothing can. */
export interface OnTimeShare extends TurnCount {
  /** Within the limit, 0 to 1. */
  readonly share: number | null;
  /** Within the limit or its grace, 0 to 1. */
  readonly withGrace: number | null;
}

/** A task that is past its limit and grace today. */
export interface OverdueTask {
  readonly machine: MachineId;
  readonly task: TaskId;
  readonly name: string;
  /** The day it fell due; null where only a meter says that it is past, and nobody knows since when. */
  readonly since: DayNumber | null;
  readonly minutes: number | null;
}

/** Days a machine was out of service, of those asked for. */
export interface OutOfService {
  readonly machine: MachineId;
  readonly reason: string;
  readonly since: string;
  /** Null where it still is. */
  readonly released: string | null;
  /** Up to the release or today, all of them. */
  readonly days: number;
}

/** What became of what was found in the days asked for. */
export interface FollowedUp {
  readonly found: number;
  readonly byWork: number;
  readonly byPerson: number;
  readonly declined: number;
  /** Open and not declined. */
  readonly open: number;
  /** Of those that ended: the middle of the days it took; null where none did. */
  readonly days: number | null;
}

/** Work that waits today: what is due or overdue, and findings to be put right. */
interface Backlog {
  readonly jobs: number;
  readonly minutes: number;
  /** So many of them have no minutes written down. */
  readonly withoutMinutes: number;
}

/** How well a book's machines are kept in time over some days, and what waits at the end of them. */
export interface OnTime {
  readonly all: OnTimeShare;
  /** Every month of the days asked for from the first with a turn, the earliest first. */
  readonly months: readonly (OnTimeShare & { readonly month: string })[];
  /** By kind of machine, in alphabetical order; kinds without a turn are left out. */
  readonly kinds: readonly (OnTimeShare & { readonly kind: string; readonly machines: number })[];
  /** The longest overdue first; those of which nobody knows since when, last. */
  readonly overdue: readonly OverdueTask[];
  readonly backlog: Backlog;
  /** Those that still are first, then the latest. */
  readonly outOfService: readonly OutOfService[];
  readonly followedUp: FollowedUp;
}

interface Counted {
  readonly month: string;
  readonly kind: string;
  readonly inTime: InTime;
}

function shareOf(turns: readonly Pick<Counted, "inTime">[]): OnTimeShare {
  const of = (...wanted: InTime[]): number =>
    turns.filter(({ inTime }) => wanted.includes(inTime)).length;
  const [inTime, withinGrace, late] = [of("in time"), of("within grace"), of("late")];
  const judged = inTime + withinGrace + late;
  return {
    ...{ inTime, withinGrace, late, notKnown: of("unknown", "no limit") },
    share: judged === 0 ? null : inTime / judged,
    withGrace: judged === 0 ? null : (inTime + withinGrace) / judged,
  };
}

function overdueOf({ machine, tasks }: MachineReckoning): OverdueTask[] {
  return tasks
    .filter(({ status }) => status === "overdue")
    .map(({ task, governs, limits }) => {
      const limit = governs === null ? undefined : limits[governs];
      const since = limit?.forecast?.likely ?? null;
      return {
        ...{ machine: machine.id, task: task.id, name: task.name, since },
        minutes: task.minutes ?? null,
      };
    });
}

/** The minutes of what waits on a machine today, null for what has none. */
function waitingOn({ tasks, findings }: MachineReckoning): (number | null)[] {
  const isPressing = ({ status }: { readonly status: string }): boolean =>
    status === "due" || status === "overdue";
  const isToDo = ({ decision }: Finding): boolean =>
    decision === "now" || decision === "next visit";
  return [
    ...tasks.filter(isPressing).map(({ task }) => task.minutes ?? null),
    ...findings
      .filter(({ finding }) => isToDo(finding))
      .map(({ finding }) => finding.minutes ?? null),
  ];
}

function outOf(
  { machine }: MachineRecords,
  from: DayNumber,
  to: DayNumber,
  today: DayNumber,
): OutOfService[] {
  return (machine.stops ?? [])
    .filter(({ since, released }: Stop) => {
      const end = released ? dayOf(released.on) : today;
      return dayOf(since) <= to && end >= from;
    })
    .map(({ reason, since, released }) => ({
      ...{ machine: machine.id, reason, since, released: released?.on ?? null },
      days: (released ? dayOf(released.on) : today) - dayOf(since),
    }));
}

/** What became of the findings of some days: each its end up to today, and whether it was declined. */
interface Followed {
  readonly end: ReturnType<typeof findingEnd>;
  readonly days: number;
  readonly isDeclined: boolean;
}

function followedOn(
  { findings, entries }: MachineRecords,
  from: DayNumber,
  to: DayNumber,
  today: DayNumber,
): Followed[] {
  return findings
    .filter(({ found }) => dayOf(found) >= from && dayOf(found) <= to)
    .map((finding) => {
      const end = findingEnd(finding, entries, today);
      const days = end === null ? 0 : end.on - dayOf(finding.found);
      return { end, days, isDeclined: finding.decision === "declined" };
    });
}

function followedUp(all: readonly Followed[]): FollowedUp {
  const ended = all.filter(({ end }) => end !== null);
  const open = all.filter(({ end }) => end === null);
  return {
    found: all.length,
    byWork: ended.filter(({ end }) => end?.isWork === true).length,
    byPerson: ended.filter(({ end }) => end?.isWork === false).length,
    declined: open.filter(({ isDeclined }) => isDeclined).length,
    open: open.filter(({ isDeclined }) => !isDeclined).length,
    days: ended.length === 0 ? null : median(ended.map(({ days }) => days)),
  };
}

/** What is gathered machine by machine. */
interface Gathered {
  readonly turns: Counted[];
  readonly kinds: Map<string, number>;
  readonly overdue: OverdueTask[];
  readonly waiting: (number | null)[];
  readonly out: OutOfService[];
  readonly followed: Followed[];
}

interface Asked {
  readonly from: DayNumber;
  readonly to: DayNumber;
  readonly today: DayNumber;
}

function gather(
  into: Gathered,
  records: MachineRecords,
  settings: Settings,
  { from, to, today }: Asked,
): void {
  const { kind } = records.machine;
  const reckoned = reckonMachine(records, settings, today);
  into.kinds.set(kind, (into.kinds.get(kind) ?? 0) + 1);
  into.overdue.push(...overdueOf(reckoned));
  into.waiting.push(...waitingOn(reckoned));
  into.out.push(...outOf(records, from, to, today));
  into.followed.push(...followedOn(records, from, to, today));
  for (const { day, inTime } of turnsDone(records, settings, from, to)) {
    into.turns.push({ month: monthOf(formatDay(day)), kind, inTime });
  }
}

const LAST = Number.MAX_SAFE_INTEGER;

/**
 * How well the machines of a book are kept in time from one day to another (both included): turns judged as
 * {@link turnsDone} does, by month and kind; what is overdue and waits today; days out of service; and what became of
 * what was found. Shares are of what can be judged.
 */
export function onTime(book: Book, { from, to, today }: Asked): OnTime {
  const settings = settingsOf(book);
  const all: Gathered = {
    ...{ turns: [], kinds: new Map(), overdue: [], waiting: [], out: [], followed: [] },
  };
  for (const records of recordsByMachine(book).values()) {
    gather(all, records, settings, { from, to, today });
  }
  const { turns, waiting } = all;
  return {
    all: shareOf(turns),
    months: monthsBetween(turns.map(({ month }) => month)).map((month) => ({
      ...{ month, ...shareOf(turns.filter((one) => one.month === month)) },
    })),
    kinds: [...all.kinds]
      .map(([kind, machines]) => ({
        ...{ kind, machines, ...shareOf(turns.filter((one) => one.kind === kind)) },
      }))
      .filter(
        ({ inTime, withinGrace, late, notKnown }) => inTime + withinGrace + late + notKnown > 0,
      )
      .toSorted((one, other) => (one.kind < other.kind ? -1 : 1)),
    overdue: all.overdue.toSorted((one, other) => (one.since ?? LAST) - (other.since ?? LAST)),
    backlog: {
      jobs: waiting.length,
      minutes: waiting.reduce<number>((sum, minutes) => sum + (minutes ?? 0), 0),
      withoutMinutes: waiting.filter((minutes) => minutes === null).length,
    },
    outOfService: all.out.toSorted(
      (one, other) =>
        Number(one.released !== null) - Number(other.released !== null) ||
        dayOf(other.since) - dayOf(one.since),
    ),
    followedUp: followedUp(all.followed),
  };
}
