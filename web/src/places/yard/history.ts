import {
  dayOf,
  supersededIds,
  type DayNumber,
  type Entry,
  type MachineBook,
  type MeterChange,
  type Reading,
} from "@yonderfell/core";

/** Something that happened to a machine, as its history shows it. */
export type HistoryItem =
  | { readonly kind: "entries"; readonly record: Entry }
  | { readonly kind: "readings"; readonly record: Reading }
  | { readonly kind: "meterChanges"; readonly record: MeterChange };

/** The day of a history item. */
export function historyDay({ record }: HistoryItem): DayNumber {
  return dayOf(record.date);
}

/** All that happened to a machine, latest first; superseded records stay in it. Records of another machine that crossed with its own are that one's history. */
export function historyOf(book: MachineBook): HistoryItem[] {
  const items: HistoryItem[] = [
    ...book.entries.map((record) => ({ kind: "entries" as const, record })),
    ...book.readings.map((record) => ({ kind: "readings" as const, record })),
    ...book.meterChanges.map((record) => ({ kind: "meterChanges" as const, record })),
  ];
  const own = items.filter(({ record }) => record.machine === book.machines[0].id);
  return own.sort(
    (one, other) =>
      historyDay(other) - historyDay(one) || (other.record.seq ?? 0) - (one.record.seq ?? 0),
  );
}

/** What stands of all that happened to a machine, in the order in which it happened, as a logbook tells it. */
export function logbookOf(book: MachineBook, withReadings: boolean): HistoryItem[] {
  const superseded = replacedIn(book);
  return historyOf(book)
    .filter(({ kind }) => withReadings || kind !== "readings")
    .filter(({ record }) => record.void !== true && !superseded.has(record.id))
    .reverse();
}

/** The ids of the records that another one replaces. */
export function replacedIn(book: MachineBook): ReadonlySet<string> {
  return supersededIds([...book.entries, ...book.readings, ...book.meterChanges]);
}
