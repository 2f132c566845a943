import { z } from "zod";
import { dateField, flagField, wholeField } from "../records/fields.js";
import { revisionField } from "../records/revisionField.js";

/** What every dated record carries: its place in the order, and whether it stands (due rules §1). */
export const datedFields = {
  /** Whole number that only grows; orders records of one date. Where missing, the place in the file does. */
  seq: wholeField.nullish(),
  date: dateField,
  /** A void record counts for nothing, and still supersedes. */
  void: flagField.optional(),
  revision: revisionField,
};

/** The part of a dated record that orders and supersedes. */
export interface DatedRecord {
  readonly id: string;
  readonly date: string;
  readonly seq?: number | null | undefined;
  readonly replaces?: string | null | undefined;
  readonly void?: boolean | undefined;
}

/** The same of a record of a machine. */
export interface DatedOfMachine extends DatedRecord {
  readonly machine: string;
}

/** A field for the words a person adds to a record. */
export const noteField = z.string("text").nullish();
