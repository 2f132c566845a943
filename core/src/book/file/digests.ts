import { digestOf } from "./canonical.js";
import type { Book } from "./book.js";
import { SECTIONS, sectionsOfVersion, type Section } from "../records/sections.js";
import { SECTION_WORDS } from "../records/sectionWords.js";

/** What a digest is of: a section, all of the file that is no section, or the pictures that are in the file beside the book. */
export type Digested = Section | "book" | "pictures";

/** The SHA-256 of what a file holds, by section, in hexadecimal. */
export type Digests = Readonly<Partial<Record<Digested, string>>>;

type Keyed = Readonly<Record<string, unknown>>;

/** Fields that tell of a file and are no part of what it holds. */
const OF_THE_FILE: ReadonlySet<string> = new Set(["digests", "about"]);

const before = (one: string, other: string): number => (one < other ? -1 : Number(one > other));

/** The records of a section by their ids, without what counts their changes. */
function contentOf(records: readonly { readonly id: string }[]): readonly object[] {
  return records
    .map(
      ({ revision: _revision, ...rest }: { readonly id: string; readonly revision?: unknown }) =>
        rest,
    )
    .sort((one, other) => before(one.id, other.id));
}

/** The rest of a book: its settings, its name, what was deleted, and what this program does not know. */
function restOf(book: Book, sections: readonly string[]): Keyed {
  const isRest = ([key]: [string, unknown]): boolean =>
    !OF_THE_FILE.has(key) && !sections.includes(key);
  return Object.fromEntries(Object.entries(book).filter(isRest));
}

/**
 * The digests of a book: one for each section that has records, one, called `book`, for everything
 * else, and one for the hashes of the pictures that stand beside it. Canonical content: the records by
 * id, keys sorted by code unit, no white space, UTF-8, the records' `revision` left out.
 */
export function digestsOf(book: Book, pictures: readonly string[]): Digests {
  // A file of an older version counts what became a section since among the rest.
  const sections = sectionsOfVersion(book.version);
  const digests: Partial<Record<Digested, string>> = { book: digestOf(restOf(book, sections)) };
  for (const section of sections) {
    const records = book[section] ?? [];
    if (records.length > 0) digests[section] = digestOf(contentOf(records));
  }
  if (pictures.length > 0) digests.pictures = digestOf([...pictures].sort(before));
  return digests;
}

/** What was changed in a file since it was written, by the digests it carries; empty where it carries none. */
export function changedSince(book: Book, pictures: readonly string[]): readonly Digested[] {
  const { digests } = book;
  if (digests === undefined || digests === null) return [];
  const now = digestsOf(book, pictures);
  const all: readonly Digested[] = [...SECTIONS, "book", "pictures"];
  return all.filter((each) => now[each] !== digests[each]);
}

/** What was changed, as a person says it: `entries, readings`. */
export function digestedWords(changed: readonly Digested[]): string {
  return changed
    .map((each) => {
      if (each === "book") return "settings and the like";
      return each === "pictures" ? each : SECTION_WORDS[each][1];
    })
    .join(", ");
}
