import { z } from "zod";
import { entrySchema, type Entry } from "./entry.js";
import { textField } from "./fields.js";
import { machineSchema, type Machine } from "./machine.js";
import { meterChangeSchema, type MeterChange } from "./meterChange.js";
import { readingSchema, type Reading } from "./reading.js";
import { settingsSchema } from "./settings.js";
import { taskSchema, type Task } from "./task.js";

/** What a book file calls itself in its `format` field. */
export const BOOK_FORMAT = "yonderfell-book";

/** The version this program writes. */
export const BOOK_VERSION = 1;

/** The whole file. Fields and sections it does not name are kept as they stand. */
export const bookSchema = z.looseObject(
  {
    format: z.literal(BOOK_FORMAT, `"${BOOK_FORMAT}"`),
    version: z.literal(BOOK_VERSION, `version ${BOOK_VERSION}`),
    name: textField.nullish(),
    settings: settingsSchema.optional(),
    machines: z.array(machineSchema, "a list of machines").optional(),
    readings: z.array(readingSchema, "a list of readings").optional(),
    meterChanges: z.array(meterChangeSchema, "a list of meter changes").optional(),
    tasks: z.array(taskSchema, "a list of tasks").optional(),
    entries: z.array(entrySchema, "a list of entries").optional(),
  },
  "a book",
);

/** The record of each section. */
export interface RecordOf {
  readonly machines: Machine;
  readonly readings: Reading;
  readonly meterChanges: MeterChange;
  readonly tasks: Task;
  readonly entries: Entry;
}

/** The sections that hold records, in the order of the file. */
export const SECTIONS = ["machines", "readings", "meterChanges", "tasks", "entries"] as const;
export type Section = (typeof SECTIONS)[number];

/** The sections whose records are dated, ordered by `seq` and superseded rather than overwritten. */
export const DATED_SECTIONS = ["readings", "meterChanges", "entries"] as const;
export type DatedSection = (typeof DATED_SECTIONS)[number];

/** A whole book: all of a user's data (due rules §1). */
export interface Book extends Readonly<Partial<{ [S in Section]: readonly RecordOf[S][] }>> {
  readonly format: typeof BOOK_FORMAT;
  readonly version: number;
  readonly name?: string | null | undefined;
  readonly settings?: z.infer<typeof settingsSchema> | undefined;
}
