import type { Book } from "../src/book/file/book.js";
import type { Entry } from "../src/book/records/entry.js";
import type { Machine } from "../src/book/records/machine.js";
import type { MeterChange } from "../src/book/records/meterChange.js";
import type { Reading } from "../src/book/records/reading.js";
import type { Task } from "../src/book/records/task.js";

/** A part of a record as tests write it: plain text where the book has branded ids. */
type Loose<T> = { readonly [K in keyof T]?: unknown };

/** The sections of a book as tests write them. */
export interface BookParts {
  readonly fluids?: readonly unknown[];
  readonly products?: readonly unknown[];
  readonly machines?: readonly Loose<Machine>[];
  readonly tasks?: readonly Loose<Task>[];
  readonly readings?: readonly Loose<Reading>[];
  readonly meterChanges?: readonly Loose<MeterChange>[];
  readonly entries?: readonly Loose<Entry>[];
  readonly rounds?: readonly unknown[];
  readonly settings?: unknown;
}

/** A van with an odometer, in service since 2020. */
export const VAN = {
  id: "van",
  tag: "V1",
  name: "Van",
  kind: "van",
  inService: "2020-01-01",
  meters: [{ id: "odo", measure: "distance", unit: "km" }],
};

/** A reading of the van; `id` follows from its date. */
export function read(date: string, value: number, more: Loose<Reading> = {}): Loose<Reading> {
  return { id: `r-${date}-${value}`, machine: "van", meter: "odo", date, value, ...more };
}

/** Work done on the van. */
export function done(
  id: string,
  date: string,
  tasks: readonly string[],
  more: Loose<Entry> = {},
): Loose<Entry> {
  return { id, machine: "van", date, tasks, meters: {}, ...more };
}

/** A task of the van with the given handbook limits. */
export function task(id: string, limits: readonly unknown[], more: Loose<Task> = {}): Loose<Task> {
  return { id, machine: "van", name: id, regimes: { handbook: limits }, ...more };
}

/** A whole book from its parts; the van is its machine unless others are given. */
export function bookOf(parts: BookParts): Book {
  return {
    format: "yonderfell-book",
    version: 2,
    machines: [VAN],
    ...parts,
  } as unknown as Book;
}
