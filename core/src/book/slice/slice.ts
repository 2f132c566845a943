import type { RecordOf } from "../records/recordSchemas.js";
import type { Machine } from "../records/machine.js";
import type { Section } from "../records/sections.js";

/** The fluids of a machine and the products in them, where intervals depend on them (due rules §13). */
export interface Inside {
  readonly fluids?: readonly RecordOf["fluids"][];
  readonly products?: readonly RecordOf["products"][];
}

/**
 * What a command declares that it reads: sections, and `inside` ({@link Inside}). Of a section of machines it is given
 * the records of its machine, of dated ones also those that cross to or from another; of a shared section all.
 */
export type Need = Exclude<Section, "machines"> | "inside";

/** What a command on a machine is given: the machine, and what it has declared. */
export type Slice<Needed extends Need = never> = { readonly machines: readonly [Machine] } & {
  readonly [S in Exclude<Needed, "inside">]: readonly RecordOf[S][];
} & ("inside" extends Needed ? Inside : unknown);

/** What a command on what belongs to no one machine is given: all records of the sections it has declared. */
export type SharedSlice<Needed extends Section> = {
  readonly [S in Needed]: readonly RecordOf[S][];
};

/** What reckoning a machine reads, and so every command that logs on it. */
export const BOOK_NEEDS = ["tasks", "readings", "meterChanges", "entries", "inside"] as const;

/**
 * The part of a book that belongs to one machine: what commands on it need, superseded records and
 * all. Where a record replaces one of another machine, both are in the part of either.
 */
export type MachineBook = Slice<(typeof BOOK_NEEDS)[number]>;
