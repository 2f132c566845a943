import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import type { DatedRecord } from "./dated.js";

/** A record that counts, with its day and its place in the order of its section. */
export interface CurrentRecord<T> {
  readonly record: T;
  readonly day: DayNumber;
  /** Orders records of one date: `seq` of the record it goes back to, else that record's place in the file. */
  readonly order: number;
}

/** Orders by date, then by place in the section. */
export function byDate<T>(one: CurrentRecord<T>, other: CurrentRecord<T>): number {
  return one.day - other.day || one.order - other.order;
}

/**
 * The records of a section that count: not superseded and not void, each in the place of the
 * first record it replaces, through any number of replacements (due rules §1).
 * A replaced id that is not in the section is passed over; validation refuses it beforehand.
 */
export function currentRecords<T extends DatedRecord>(records: readonly T[]): CurrentRecord<T>[] {
  const replacing = records.some((record) => (record.replaces ?? null) !== null);
  return replacing
    ? resolved(records)
    : records.flatMap((record, index) => asCurrent(record, record.seq ?? index));
}

function asCurrent<T extends DatedRecord>(record: T, order: number): CurrentRecord<T>[] {
  return record.void === true ? [] : [{ record, day: dayOf(record.date), order }];
}

function resolved<T extends DatedRecord>(records: readonly T[]): CurrentRecord<T>[] {
  const placeById = new Map(records.map((record, index) => [record.id, index]));
  const superseded = new Set(records.flatMap((record) => record.replaces ?? []));
  const orderOf = (index: number): number => {
    let place = index;
    for (let steps = 0; steps < records.length; steps += 1) {
      const earlier = placeById.get(records[place]?.replaces ?? "");
      if (earlier === undefined || (records[place]?.replaces ?? null) === null) break;
      place = earlier;
    }
    return records[place]?.seq ?? place;
  };
  return records.flatMap((record, index) =>
    superseded.has(record.id) ? [] : asCurrent(record, orderOf(index)),
  );
}
