import { Dexie } from "dexie";
import { BookGone } from "../data/bookGone.js";
import { DexieStorage } from "../data/dexieStorage.js";
import type { BookEntry } from "../data/registry.js";
import type { Alone } from "../data/trace/bookTrace.js";
import { canWrite, canWriteInPlace, privateFiles } from "../data/trace/privateFiles.js";
import { Traces, type LostBook } from "../data/trace/traces.js";
import { DexieTraceSource } from "../data/trace/traceSource.js";
import { withStorage } from "../data/withStorage.js";
import type { Permitted, Room, TraceState } from "../data/trace/traceState.js";

/** Which book a trace is of. */
export type TracedEntry = Pick<BookEntry, "id" | "name" | "isDemonstration" | "database">;

/** The database in which it is tried whether anything is stored. */
const TRIAL = "yonderfell-trial";

/** Writes something into a database of its own, reads it back, and leaves nothing behind; throws where that cannot be done. */
async function tryDatabase(): Promise<void> {
  const written = new Dexie(TRIAL);
  written.version(1).stores({ words: "id" });
  // By the trial of a page that has just been left: it goes when that does, and nobody need be told.
  written.on("blocked", () => false);
  try {
    await written.table("words").put({ id: 1 });
    written.close();
    await written.open();
    if ((await written.table("words").get(1)) !== undefined) return;
    throw new Error("what was written could not be read back");
  } finally {
    await written.delete();
  }
}

/** Runs something alone among all tabs of this browser. */
const aloneAmongTabs =
  (book: string): Alone =>
  async (what, run) =>
    navigator.locks.request(`yonderfell-trace-${book}-${what}`, run);

/** What an error says, in a form that crosses from a worker. */
function nameAndMessage(error: unknown): { readonly name: string; readonly message: string } {
  const { name, message } = error instanceof Error ? error : new Error(String(error));
  return { name, message };
}

function failed(error: unknown): TraceState {
  return error instanceof BookGone
    ? { code: "gone" }
    : { code: "failed", ...nameAndMessage(error) };
}

/** The second traces of the books of this browser, in a worker: writing them must hold no page up. */
export class Tracer {
  private opened: Promise<Traces | null> | null = null;

  /** Brings the trace of a book up to its database. */
  async keep(entry: TracedEntry): Promise<TraceState> {
    try {
      return await this.keepNow(entry);
    } catch (error) {
      // The browser closes databases by itself, on a disk that is full or when storage is cleared.
      if (!(error instanceof Error) || error.name !== "DatabaseClosedError") return failed(error);
      (await this.traces())?.forget(entry.id);
      return this.keepNow(entry).catch(failed);
    }
  }

  private async keepNow(entry: TracedEntry): Promise<TraceState> {
    const traces = await this.traces();
    if (traces === null) return { code: "none" };
    // One that was deleted must not come back as an empty one.
    if (!traces.has(entry.id) && !(await Dexie.exists(entry.database))) return { code: "gone" };
    const trace = await traces.of(entry);
    await trace.keep();
    return { code: "kept", putBack: trace.takePutBack() };
  }

  /** Notes what a book is called now. */
  async name(entry: TracedEntry): Promise<void> {
    await (await this.traces())?.name(entry);
  }

  /** How many bytes the trace of a book takes; null where it has none. */
  async size(book: string): Promise<number | null> {
    const size = (await (await this.traces())?.size(book)) ?? 0;
    return size === 0 ? null : size;
  }

  /** The books that are in a trace and not among those that are here. */
  async lost(here: readonly string[]): Promise<readonly LostBook[]> {
    return (await (await this.traces())?.lost(here)) ?? [];
  }

  /** Fills a new database with the book of a folder; answers whether there was one. */
  async restore(folder: string, database: string, now: string): Promise<boolean> {
    const found = await (await this.traces())?.bookOf(folder, now);
    if (found === null || found === undefined) return false;
    await withStorage(
      (name) => new DexieStorage(name),
      database,
      async (storage) => {
        for (const picture of found.pictures) await storage.keepPicture(picture);
        await storage.fill(found.book);
      },
    );
    return true;
  }

  /** Lets what a folder holds go. */
  async drop(folder: string): Promise<void> {
    await (await this.traces())?.drop(folder);
  }

  /** Tries whether there is room for what will be saved: what is written for it is gone at once. */
  async room(): Promise<Room> {
    if (!("storage" in navigator)) return { isFull: false, left: null };
    const { quota, usage } = await navigator.storage.estimate();
    const left = quota === undefined || usage === undefined ? null : quota - usage;
    const isFull = canWriteInPlace() && !(await aloneAmongTabs("trial")("append", canWrite));
    return { isFull, left };
  }

  /** Tries what this browser permits, before anything is typed. */
  async permitted(): Promise<Permitted> {
    return aloneAmongTabs("permitted")("append", async () => {
      const refused = await tryDatabase().then(
        () => null,
        (error: unknown) => nameAndMessage(error),
      );
      return { refused, hasPrivateFiles: canWriteInPlace(), room: await this.room() };
    });
  }

  private traces(): Promise<Traces | null> {
    this.opened ??= this.begin().catch((error: unknown) => {
      this.opened = null;
      throw error;
    });
    return this.opened;
  }

  private async begin(): Promise<Traces | null> {
    if (!canWriteInPlace()) return null;
    const root = await privateFiles();
    return root === null
      ? null
      : new Traces(root, (database) => new DexieTraceSource(database), aloneAmongTabs);
  }
}
