import { z } from "zod";
import { textField } from "../records/fields.js";
import { RECORD_SCHEMAS, type RecordOf } from "../records/recordSchemas.js";
import { removedSchema, type Removed } from "../change/removedSchema.js";
import { BOOK_FORMAT, BOOK_VERSION, SECTIONS, type Section } from "../records/sections.js";
import { SECTION_WORDS } from "../records/sectionWords.js";
import { settingsSchema } from "../records/settingsSchema.js";

/** What a section holds, in words: `a list of meter changes`. */
export function listWords(section: Section): string {
  return `a list of ${SECTION_WORDS[section][1]}`;
}

const lists = Object.fromEntries(
  SECTIONS.map((section) => [
    section,
    z.array(RECORD_SCHEMAS[section] as z.ZodType, listWords(section)).optional(),
  ]),
) as { readonly [S in Section]: z.ZodOptional<z.ZodArray<(typeof RECORD_SCHEMAS)[S]>> };

/** What a file tells of itself; no part of the book. */
const ofTheFile = {
  about: z.looseObject({}, "what the file is").nullish(),
  digests: z.record(z.string(), z.string("a SHA-256"), "digests by section").nullish(),
};

/** The whole file. Fields and sections it does not name are kept as they stand. */
export const bookSchema = z.looseObject(
  {
    format: z.literal(BOOK_FORMAT, `"${BOOK_FORMAT}"`),
    version: z.literal(BOOK_VERSION, `version ${BOOK_VERSION}`),
    ...ofTheFile,
    name: textField.nullish(),
    settings: settingsSchema.optional(),
    removed: z.array(removedSchema, "a list of records that were deleted").nullish(),
    ...lists,
  },
  "a book",
);

/** A whole book: all of a user's data (due rules §1). */
export interface Book extends Readonly<Partial<{ [S in Section]: readonly RecordOf[S][] }>> {
  readonly format: typeof BOOK_FORMAT;
  readonly version: number;
  /** What the file is, in words; not kept in the store. */
  readonly about?: Readonly<Record<string, unknown>> | null | undefined;
  /** The SHA-256 of what the file held when it was written, by section; not kept in the store. */
  readonly digests?: Readonly<Record<string, string>> | null | undefined;
  readonly name?: string | null | undefined;
  readonly settings?: z.infer<typeof settingsSchema> | undefined;
  /** What was deleted. */
  readonly removed?: readonly Removed[] | null | undefined;
}
