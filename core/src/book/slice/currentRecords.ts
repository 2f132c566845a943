import { dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import type { DatedRecord } from "./dated.js";

/** A record that counts, with its day and its place in the order of its section. */
export interface CurrentRecord<T> {
  readonly record: T;
  readonly day: DayNumber;
  /** Orders records of one date: `seq` of the record it goes back to, else that record's place in the file. */
  readonly order: number;
}

/**
 * Orders by date, then by place in the section. Records that two copies of a book numbered alike
 * before one was handed over to the other come by id, so that both copies agree.
 */
export function byDate<T extends DatedRecord>(
  one: CurrentRecord<T>,
  other: CurrentRecord<T>,
): number {
  return one.day - other.day || one.order - other.order || byId(one.record, other.record);
}

function byId(one: DatedRecord, other: DatedRecord): number {
  return one.id < other.id ? -1 : Number(one.id > other.id);
}

/** A section seen as the rules see it: which of its records count, and in which order. */
export interface SectionView<T> {
  readonly records: readonly T[];
  readonly superseded: ReadonlySet<string> | null;
  readonly orderOf: ((index: number) => number) | null;
}

/**
 * A section with its replacements followed: a record takes the place of the first one it replaces,
 * through any number of replacements (due rules §1). A replaced id that is not in the section is
 * passed over; validation refuses it beforehand.
 */
export function viewSection<T extends DatedRecord>(records: readonly T[]): SectionView<T> {
  const replacing = records.some((record) => (record.replaces ?? null) !== null);
  return {
    records,
    superseded: replacing ? supersededIds(records) : null,
    orderOf: replacing ? rootOrder(records) : null,
  };
}

/** Whether the record at a position counts: neither superseded nor void. */
export function counts<T extends DatedRecord>(view: SectionView<T>, index: number): boolean {
  const record = view.records[index] as T;
  return record.void !== true && view.superseded?.has(record.id) !== true;
}

/** The record at a position as one that counts, or null where it is superseded or void. */
export function currentAt<T extends DatedRecord>(
  view: SectionView<T>,
  index: number,
): CurrentRecord<T> | null {
  if (!counts(view, index)) return null;
  const record = view.records[index] as T;
  const order = view.orderOf === null ? (record.seq ?? index) : view.orderOf(index);
  return { record, day: dayOf(record.date), order };
}

/** The records of a section that count: not superseded and not void, each with its place in the order. */
export function currentRecords<T extends DatedRecord>(records: readonly T[]): CurrentRecord<T>[] {
  const view = viewSection(records);
  return records.flatMap((_, index) => currentAt(view, index) ?? []);
}

/** The ids that another record of the section replaces. */
export function supersededIds(records: readonly DatedRecord[]): Set<string> {
  return new Set(records.flatMap((record) => record.replaces ?? []));
}

/** What a record has become through any number of corrections: the one that counts in its place; null where it is not there, or the last is void. */
export function standingFor<T extends DatedRecord>(records: readonly T[], id: string): T | null {
  let found = records.find((one) => one.id === id);
  for (let steps = 0; steps < records.length && found !== undefined; steps += 1) {
    const { id: known } = found;
    const next = records.find(({ replaces }) => replaces === known);
    if (next === undefined) break;
    found = next;
  }
  return found === undefined || found.void === true ? null : found;
}

/** The order of the record that the one at a position goes back to, through any number of replacements. */
function rootOrder(records: readonly DatedRecord[]): (index: number) => number {
  const placeById = new Map(records.map((record, index) => [record.id, index]));
  return (index) => {
    let place = index;
    for (let steps = 0; steps < records.length; steps += 1) {
      const replaced = records[place]?.replaces ?? null;
      const earlier = replaced === null ? undefined : placeById.get(replaced);
      if (earlier === undefined) break;
      place = earlier;
    }
    return records[place]?.seq ?? place;
  };
}
