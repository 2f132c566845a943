import type { CurrentRecord } from "../book/slice/currentRecords.js";
import { byDate } from "../book/slice/currentRecords.js";
import type { MeterChange } from "../book/records/meterChange.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { LIFE_TOLERANCE } from "./life.js";

/** A meter change as the life sees it. */
interface DialChange {
  readonly id: string;
  readonly day: DayNumber;
  readonly oldFinal: number;
  readonly newStart: number;
  /** What is added to the new dial to give the life, in the meter's unit. */
  readonly offset: number;
}

/** The dials a meter has had, one after the other. */
export type Dials = readonly DialChange[];

/**
 * The dials of one meter: changes in order of date, then of record, each adding
 * `oldFinal − newStart + lost` to the offset (due rules §2).
 */
export function dialsOf(changes: readonly CurrentRecord<MeterChange>[]): Dials {
  let offset = 0;
  return [...changes].sort(byDate).map(({ record, day }) => {
    offset += record.oldFinal - record.newStart + (record.lost ?? 0);
    return { id: record.id, day, oldFinal: record.oldFinal, newStart: record.newStart, offset };
  });
}

/** What is added to a figure on the dial in place at the end of `day` to give the life. */
export function offsetOn(dials: Dials, day: DayNumber): number {
  let offset = 0;
  for (const change of dials) {
    if (change.day > day) break;
    offset = change.offset;
  }
  return offset;
}

/** A figure as life, and on which of the meter's dials it stood (0 the first). */
export interface DialFigure {
  readonly life: number;
  readonly dial: number;
}

/**
 * The life of a dial figure read on `day`. On the date of a change it is on the dial whose figure
 * (`oldFinal` or `newStart`) it is nearer to; if equal, on the new one (due rules §2).
 */
export function lifeOfFigure(dials: Dials, figure: number, day: DayNumber): DialFigure {
  let dial = 0;
  let offset = 0;
  for (const change of dials) {
    if (change.day > day) break;
    if (change.day === day) {
      const toOld = Math.abs(figure - change.oldFinal);
      const toNew = Math.abs(figure - change.newStart);
      if (toOld <= toNew - LIFE_TOLERANCE) break;
    }
    offset = change.offset;
    dial += 1;
  }
  return { life: figure + offset, dial };
}

/** Which dial was in place at the end of `day` (0 the first). */
export function dialOn(dials: Dials, day: DayNumber): number {
  return dials.filter((change) => change.day <= day).length;
}
