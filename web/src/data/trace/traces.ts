import {
  applyChanges,
  headAfter,
  recordCount,
  type Book,
  type Section,
  SECTIONS,
} from "@yonderfell/core";
import { strFromU8, strToU8 } from "fflate";
import { hashOf } from "@yonderfell/core";
import type { StoredPicture } from "../picture.js";
import type { BookEntry } from "../registry.js";
import { BookTrace, type Alone } from "./bookTrace.js";
import type { TraceFolder, TraceRoot } from "./traceFolder.js";
import { readLog, readSnapshot, type Moment } from "./traceFormat.js";
import {
  BOOK_FILE,
  bookOfFolder,
  folderOf,
  foldersOf,
  generationsIn,
  logName,
  snapshotName,
} from "./traceNames.js";
import type { TraceSource } from "./traceSource.js";

/** What a trace says of its book beside what the book holds. */
type Named = Pick<BookEntry, "id" | "name" | "isDemonstration">;

/** A book as its trace has it. */
export interface TracedBook {
  readonly book: Book;
  readonly moment: Moment;
}

/** A book that is in a trace and not in the browser's database. */
export interface LostBook extends Named {
  readonly folder: string;
  readonly counts: Readonly<Partial<Record<Section, number>>>;
  /** When its last change was made, as an ISO instant; empty where it has none. */
  readonly endedAt: string;
  /** Whether the book itself is here, and this is how it stood before it lost something. */
  readonly isAside: boolean;
}

/** The book that a folder holds: the newest snapshot that is whole, with all whole changes since; null where there is none. */
export async function bookIn(folder: TraceFolder): Promise<TracedBook | null> {
  for (const generation of [...generationsIn(await folder.names())].reverse()) {
    const bytes = await folder.read(snapshotName(generation));
    const snapshot = bytes === null ? null : readSnapshot(bytes);
    const log = await folder.read(logName(generation));
    if (snapshot === null || log === null) continue;
    const { lines } = readLog(log, snapshot.sum);
    const { copy } = snapshot.moment;
    const changes = lines.map(({ change }) => change);
    const records = changes.map(({ fields: _, ...rest }) => rest);
    const book = changes.reduce(
      (sofar, change) => headAfter(sofar, change, copy),
      applyChanges(snapshot.book, records),
    );
    const { seq, at } = lines.at(-1) ?? snapshot.moment;
    return { book, moment: { copy, seq, at } };
  }
  return null;
}

/** How a picture begins, by its media type. */
const BEGINNINGS: readonly (readonly [type: string, bytes: readonly number[]])[] = [
  ["image/jpeg", [0xff, 0xd8]],
  ["image/png", [0x89, 0x50]],
  ["image/webp", [0x52, 0x49]],
];

/** The pictures of a folder whose bytes are what their names say. */
async function picturesIn(folder: TraceFolder, keptAt: string): Promise<readonly StoredPicture[]> {
  const pictures: StoredPicture[] = [];
  for (const name of await folder.names()) {
    const [, hash] = /^picture-([0-9a-f]{64})$/.exec(name) ?? [];
    const bytes = hash === undefined ? null : await folder.read(name);
    if (hash === undefined || bytes === null || hashOf(bytes) !== hash) continue;
    const type = BEGINNINGS.find(([, begin]) => begin.every((byte, at) => bytes[at] === byte));
    pictures.push({ hash, type: type?.[0] ?? "image/jpeg", bytes, width: 0, height: 0, keptAt });
  }
  return pictures;
}

async function namedIn(folder: TraceFolder, id: string): Promise<Named> {
  const bytes = await folder.read(BOOK_FILE);
  try {
    return { ...(JSON.parse(strFromU8(bytes ?? new Uint8Array())) as Named), id };
  } catch (error) {
    if (error instanceof SyntaxError) return { id, name: "A book", isDemonstration: false };
    throw error;
  }
}

function countsOf(book: Book): Readonly<Partial<Record<Section, number>>> {
  return Object.fromEntries(SECTIONS.map((section) => [section, book[section]?.length ?? 0]));
}

/** All traces of this browser: written while books are open, read where a book is lost. */
export class Traces {
  private readonly open = new Map<string, BookTrace>();

  constructor(
    private readonly root: TraceRoot,
    private readonly sourceOf: (database: string) => TraceSource,
    private readonly aloneWith: (book: string) => Alone,
  ) {}

  /** The trace of a book, under the name it goes by now. */
  async of(entry: Named & Pick<BookEntry, "database">): Promise<BookTrace> {
    const { id, name, isDemonstration } = entry;
    const known = this.open.get(id);
    if (known !== undefined) return known;
    const trace = new BookTrace(this.root, id, this.sourceOf(entry.database), this.aloneWith(id));
    this.open.set(id, trace);
    await this.name({ id, name, isDemonstration });
    return trace;
  }

  has(book: string): boolean {
    return this.open.has(book);
  }

  /** Lets the trace of a book be opened anew: its database was closed under it. */
  forget(book: string): void {
    this.open.delete(book);
  }

  /** Notes what a book is called. */
  async name({ id, name, isDemonstration }: Named): Promise<void> {
    await this.aloneWith(id)("append", async () => {
      const folder = await folderOf(this.root, id);
      const known = await namedIn(folder, id);
      if (known.name === name && known.isDemonstration === isDemonstration) return;
      const text = JSON.stringify({ id, name, isDemonstration });
      await folder.write(BOOK_FILE, strToU8(text), 0);
    });
  }

  /** How many bytes the traces of a book take. */
  async size(book: string): Promise<number> {
    let sum = 0;
    for (const name of await foldersOf(this.root, book)) {
      const folder = await this.root.folder(name);
      for (const file of await folder.names()) sum += (await folder.size(file)) ?? 0;
    }
    return sum;
  }

  /** The books that are in a trace and not among those the browser has, the last to have ended first. */
  async lost(known: readonly string[]): Promise<readonly LostBook[]> {
    const here = new Set(known);
    const lost: LostBook[] = [];
    for (const name of await this.root.folders()) {
      const id = bookOfFolder(name);
      const isAside = here.has(id);
      if (isAside && (await foldersOf(this.root, id)).at(-1) === name) continue;
      const folder = await this.root.folder(name);
      const found = await bookIn(folder);
      if (found === null || recordCount(found.book) === 0) continue;
      const counts = countsOf(found.book);
      const endedAt = found.moment.at;
      lost.push({ ...(await namedIn(folder, id)), folder: name, counts, endedAt, isAside });
    }
    return lost.sort((one, other) => (one.endedAt < other.endedAt ? 1 : -1));
  }

  /** The book of a folder with its pictures; null where it cannot be read. */
  async bookOf(
    name: string,
    now: string,
  ): Promise<{ readonly book: Book; readonly pictures: readonly StoredPicture[] } | null> {
    const folder = await this.root.folder(name);
    const found = await bookIn(folder);
    return found === null ? null : { book: found.book, pictures: await picturesIn(folder, now) };
  }

  /** Lets a folder go. */
  async drop(folder: string): Promise<void> {
    await this.root.drop(folder);
  }
}
