import type { RecordOf } from "../records/recordSchemas.js";
import type { Machine } from "../records/machine.js";
import { RULE_SECTIONS, type Section } from "../records/sections.js";

/**
 * What the limits of a machine depend on beside its own records: its fluids and the products that may be in them
 * (due rules §13), the checklists that say in what they are measured (§16). Only where limits do.
 */
export interface Inside {
  readonly fluids?: readonly RecordOf["fluids"][];
  readonly products?: readonly RecordOf["products"][];
  readonly checklists?: readonly RecordOf["checklists"][];
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
export const BOOK_NEEDS = [
  "tasks",
  "readings",
  "meterChanges",
  "entries",
  "rounds",
  "findings",
  "visits",
  "inside",
] as const;

/** The sections that what is due is reckoned from: a change to one of them can move it. */
export const RECKONED_SECTIONS = [
  ...RULE_SECTIONS,
  ...(["rounds", "findings", "visits", "fluids", "products", "checklists"] as const),
] as const;

/**
 * The part of a book that belongs to one machine: what commands on it need, superseded records and
 * all. Where a record replaces one of another machine, both are in the part of either.
 */
export type MachineBook = Slice<(typeof BOOK_NEEDS)[number]>;
