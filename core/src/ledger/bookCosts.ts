import type { Book } from "../book/file/book.js";
import type { MachineId, MeterId } from "../book/records/ids.js";
import { settingsOf, type Settings } from "../book/records/settings.js";
import { recordsByMachine, type MachineRecords } from "../book/slice/machineRecords.js";
import { addDays, dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { LIFE_TOLERANCE } from "../meter/life.js";
import { lifeOn } from "../meter/lifeLine.js";
import { rateOf } from "../meter/rate.js";
import { reckonMeters, type MeterReckoning } from "../meter/reckonMeter.js";
import { addedCost, entryCost, NO_COST, wholeCost, type EntryCost } from "./entryCost.js";

/** How far a meter ran between two days, and what that cost. */
interface MeterCost {
  readonly id: MeterId;
  /** In the meter's own unit; null where fewer than two of its figures say so. */
  readonly run: number | null;
  /** Money a unit of it; null where nothing was run, or the figures begin inside the span. */
  readonly perUnit: number | null;
}

/** What a machine cost between two days; what came under warranty apart. */
export interface MachineCost extends EntryCost {
  readonly id: MachineId;
  readonly total: number;
  readonly warranty: number;
  readonly meters: readonly MeterCost[];
}

/** What a book's machines cost between two days, both included. */
export interface BookCosts {
  readonly from: string;
  readonly to: string;
  readonly machines: readonly MachineCost[];
}

/** The last day of which a book has a record that says what a dial showed, or of work; `other` where it has none. */
function lastDayOf(book: Book, other: DayNumber): DayNumber {
  const { entries, readings, meterChanges, rounds } = book;
  const dated = [
    ...(entries ?? []),
    ...(readings ?? []),
    ...(meterChanges ?? []),
    ...(rounds ?? []),
  ];
  return dated.length === 0
    ? other
    : (dated.reduce((last, { date }) => Math.max(last, dayOf(date)), -Infinity) as DayNumber);
}

interface Run {
  readonly run: number;
  /** Whether it is known for a part of the span only. */
  readonly beginsInside: boolean;
}

/** How far a meter ran from the end of the day before `from` to that of `to`, by every point of the book; null where fewer than two points are dated up to then. */
function runBetween(reckoning: MeterReckoning, from: DayNumber, to: DayNumber): Run | null {
  const { kept, meter, running, stoppedOn } = reckoning;
  const first = kept[0];
  const last = kept.at(-1);
  if (first === undefined || last === undefined) return null;
  if (kept.filter(({ day }) => day <= to).length < 2) return null;
  const today = Math.max(to, last.day) as DayNumber;
  const { perDay } = rateOf(kept, meter.perDay ?? null, stoppedOn ?? today, running);
  const before = addDays(from, -1);
  const start = Math.max(before, first.day) as DayNumber;
  const lifeAt = (day: DayNumber): number => lifeOn(kept, perDay, day, running) ?? 0;
  const run = lifeAt(to) - lifeAt(start);
  return { run: run < LIFE_TOLERANCE ? 0 : run, beginsInside: start > before };
}

function machineCost(
  records: MachineRecords,
  settings: Settings,
  { from, to, lastDay }: { from: DayNumber; to: DayNumber; lastDay: DayNumber },
): MachineCost {
  const within = records.entries.filter(({ day }) => day >= from && day <= to);
  const paid = within.filter(({ record }) => record.warranty !== true);
  const spent = paid.map(({ record }) => entryCost(record)).reduce(addedCost, NO_COST);
  const warranty = within
    .filter(({ record }) => record.warranty === true)
    .reduce((sum, { record }) => sum + wholeCost(entryCost(record)), 0);
  const total = wholeCost(spent);
  const meters = [...reckonMeters(records, settings, lastDay).values()].map((reckoning) => {
    const found = runBetween(reckoning, from, to);
    const run = found?.run ?? null;
    const isWhole = found?.beginsInside === false && found.run !== 0;
    return { id: reckoning.meter.id, run, perUnit: isWhole ? total / found.run : null };
  });
  const { parts, fluids, work, other, missing } = spent;
  return { id: records.machine.id, parts, fluids, work, other, total, missing, warranty, meters };
}

/**
 * What each machine of a book cost from one day to another (`YYYY-MM-DD`, both included), and by what it ran, machines
 * and meters in the order of the file (records §1). Only entries that count, and are not void.
 */
export function bookCosts(book: Book, from: string, to: string): BookCosts {
  const span = { from: dayOf(from), to: dayOf(to), lastDay: lastDayOf(book, dayOf(to)) };
  const settings = settingsOf(book);
  const machines = [...recordsByMachine(book).values()].map((records) =>
    machineCost(records, settings, span),
  );
  return { from, to, machines };
}
