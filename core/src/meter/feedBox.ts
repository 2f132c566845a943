import { recordsByMachine, type MachineRecords } from "../book/slice/machineRecords.js";
import { settingsOf } from "../book/records/settings.js";
import type { MachineBook } from "../book/slice/slice.js";
import { addDays, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { dialFigure, reckonedDial } from "./figureDoubt.js";
import { reckonMeters, type MeterReckoning } from "./reckonMeter.js";

/** What a feed is told of a machine's meter when a box is set to it. */
export interface FeedBox {
  /** The machine by its number. */
  readonly machine: string;
  readonly meter: string;
  readonly unit: "km" | "mi" | "h";
  /** What the dial showed: a fortnight ago as reckoned, and since as it was read by hand; the earliest first. */
  readonly dial: readonly { readonly on: string; readonly value: number }[];
  readonly perDay: number;
}

/** A box is set so many days back, so that it has something to tell. */
const FORTNIGHT = 14;
const TENTHS = 10;

const round = (value: number): number => Math.round(value * TENTHS) / TENTHS;

function boxOf(
  { machine }: MachineRecords,
  reckoning: MeterReckoning,
  today: DayNumber,
): FeedBox[] {
  const { meter, rate, stoppedOn, kept } = reckoning;
  const from = addDays(today, -FORTNIGHT);
  const begins = reckonedDial(reckoning, from);
  if (begins === null || stoppedOn !== null) return [];
  const read = kept
    .filter(({ day, estimated }) => day > from && !estimated)
    .map((point) => ({ on: formatDay(point.day), value: round(dialFigure(reckoning, point)) }));
  const dial = [{ on: formatDay(from), value: round(begins) }, ...read];
  const { tag } = machine;
  return [{ machine: tag, meter: meter.id, unit: meter.unit, dial, perDay: rate.perDay ?? 0 }];
}

/** What a (simulated) feed is told to set boxes to a machine's meters; none for one that stands still or has no figure of a fortnight ago. */
export function feedBoxes(book: MachineBook, today: DayNumber): FeedBox[] {
  const records = recordsByMachine(book).get(book.machines[0].id);
  if (records === undefined) return [];
  // By what was read by hand alone: a box is not set by its own figures, and tells the same when asked again.
  const readings = records.readings.filter(({ source }) => (source ?? "dial") === "dial");
  const meters = reckonMeters({ ...records, readings }, settingsOf({}), today);
  return [...meters.values()].flatMap((reckoning) => boxOf(records, reckoning, today));
}
