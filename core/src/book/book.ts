import { z } from "zod";
import { entrySchema, type Entry } from "./entry.js";
import { textField } from "./fields.js";
import { machineSchema, type Machine } from "./machine.js";
import { meterChangeSchema, type MeterChange } from "./meterChange.js";
import { readingSchema, type Reading } from "./reading.js";
import { BOOK_FORMAT, BOOK_VERSION, type Section } from "./sections.js";
import { settingsSchema } from "./settingsSchema.js";
import { taskSchema, type Task } from "./task.js";

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

/** A whole book: all of a user's data (due rules §1). */
export interface Book extends Readonly<Partial<{ [S in Section]: readonly RecordOf[S][] }>> {
  readonly format: typeof BOOK_FORMAT;
  readonly version: number;
  readonly name?: string | null | undefined;
  readonly settings?: z.infer<typeof settingsSchema> | undefined;
}
