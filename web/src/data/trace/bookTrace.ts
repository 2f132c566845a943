import { PICTURED_SECTIONS, pictureHashes, type Book, type RecordChange } from "@yonderfell/core";
import { isEqual } from "es-toolkit";
import { strToU8 } from "fflate";
import { BookGone } from "../bookGone.js";
import {
  logLine,
  momentOf,
  readLog,
  snapshotBytes,
  type Moment,
  type TracedChange,
} from "./traceFormat.js";
import type { TraceFolder, TraceRoot } from "./traceFolder.js";
import {
  folderOf,
  generationsIn,
  logName,
  nextFolder,
  pictureName,
  snapshotName,
} from "./traceNames.js";
import type { TraceSource } from "./traceSource.js";

/** A log that has grown longer than this, in bytes, is folded into a new snapshot. */
const LONGEST_LOG = 1024 * 1024;

/** Runs something while no one else does, in this tab or another. */
export type Alone = <Value>(what: "append" | "fold", run: () => Promise<Value>) => Promise<Value>;

/** Where a trace stands. */
interface Written {
  readonly generation: number;
  /** The last change that is in it. */
  readonly moment: Moment;
  readonly sum: string;
  /** How many bytes of the log are whole. */
  readonly length: number;
}

/** What a snapshot says of itself, kept so that it is read once. */
type Begun = Omit<Written, "length">;

/** Where a trace stands, with the changes of its log. */
interface Loaded {
  readonly begun: Begun;
  readonly written: Written;
  readonly lines: readonly TracedChange[];
}

const changesOf = (lines: readonly TracedChange[]): readonly RecordChange[] =>
  lines.flatMap(({ change }) => change.records);

/** Whether a trace and a database speak of the same change; of that of a snapshot only its moment is known. */
function isSame(traced: TracedChange | Moment, line: TracedChange): boolean {
  if (traced.seq !== line.seq || traced.at !== line.at) return false;
  const written = JSON.stringify(line.change);
  return !("change" in traced) || isEqual(traced.change, JSON.parse(written));
}

/** The pictures that the records of a book refer to. */
function picturesOf(book: Book): Set<string> {
  const hashes = PICTURED_SECTIONS.flatMap((section) =>
    (book[section] ?? []).flatMap((record) => pictureHashes(section, record)),
  );
  return new Set(hashes);
}

/** The pictures that the records of changes refer to, as they are after them. */
function picturesIn(lines: readonly TracedChange[]): Set<string> {
  const hashes = changesOf(lines).flatMap(({ section, after }) =>
    after !== null && PICTURED_SECTIONS.some((one) => one === section)
      ? pictureHashes(section, after)
      : [],
  );
  return new Set(hashes);
}

/**
 * The second trace of a book, outside its database: a snapshot, and a log of the changes since, in
 * one folder with the pictures. What the trace holds and the database does not is never written
 * over: where the database does not go on from it, the folder is set aside and another is begun.
 */
export class BookTrace {
  private begun: Begun | null = null;
  private written: Written | null = null;
  private folding: Promise<void> | null = null;
  private putBack = 0;

  constructor(
    private readonly root: TraceRoot,
    private readonly book: string,
    private readonly source: TraceSource,
    private readonly alone: Alone,
    private readonly longestLog = LONGEST_LOG,
  ) {}

  /** Brings the trace up to the database; settles once it is on the disk. Throws {@link BookGone} where there is no book, and whatever the disk says. */
  async keep(): Promise<void> {
    const isAppended = await this.alone("append", () => this.append());
    if (!isAppended) return this.fold();
    if ((this.written?.length ?? 0) <= this.longestLog) return undefined;
    // Nobody waits for it: what it would hold is in the log. Where it fails the next change tries again.
    this.fold().catch(() => undefined);
    return undefined;
  }

  /** How many changes have been put back into the database since this was asked last: it had lost them. */
  takePutBack(): number {
    const count = this.putBack;
    this.putBack = 0;
    return count;
  }

  /** Settles once nothing is being folded. */
  async rest(): Promise<void> {
    await this.folding;
  }

  /** Writes the changes that are not in the log yet; answers whether that could be done without a new snapshot. */
  private async append(): Promise<boolean> {
    const folder = await this.folder();
    const written = await this.current(folder);
    if (written === null) return false;
    const since = await this.source.since(written.moment.seq);
    if (since === null) throw new BookGone();
    const { lines } = since;
    if (lines === null) return false;
    const bytes = this.logOf(lines, written);
    if (bytes.text.length > this.longestLog) return false;
    if (lines.length === 0) return true;
    await this.keepPictures(folder, picturesIn(lines));
    const added = strToU8(bytes.text);
    await folder.write(logName(written.generation), added, written.length);
    const length = written.length + added.length;
    this.written = { ...written, moment: bytes.moment, sum: bytes.sum, length };
    return true;
  }

  private logOf(
    lines: readonly TracedChange[],
    { moment, sum }: Pick<Written, "moment" | "sum">,
  ): { readonly text: string; readonly moment: Moment; readonly sum: string } {
    let [text, last, lastSum] = ["", moment, sum];
    for (const line of lines) {
      const added = logLine(line, lastSum);
      text += added.text;
      lastSum = added.sum;
      last = { ...last, seq: line.seq, at: line.at };
    }
    return { text, moment: last, sum: lastSum };
  }

  /** Where the trace stands, also after what other tabs have written; null where there is none the database goes on from. */
  private async current(folder: TraceFolder): Promise<Written | null> {
    const { written } = this;
    if (written !== null) {
      const size = await folder.size(logName(written.generation));
      if (size === written.length) return written;
    }
    const found = await this.load(folder);
    if (found === null) return null;
    if ((await this.isContinued(found)) || (await this.putLost(found))) {
      this.written = found.written;
      return found.written;
    }
    await nextFolder(this.root, this.book);
    [this.begun, this.written] = [null, null];
    return null;
  }

  private async load(folder: TraceFolder): Promise<Loaded | null> {
    const generation = generationsIn(await folder.names()).at(-1);
    if (generation === undefined) return null;
    if (this.begun?.generation !== generation) {
      const bytes = await folder.read(snapshotName(generation));
      const known = bytes === null ? null : momentOf(bytes);
      this.begun = known === null ? null : { generation, ...known };
    }
    const { begun } = this;
    const log = await folder.read(logName(generation));
    if (begun === null || log === null) return null;
    const { lines, sum, length } = readLog(log, begun.sum);
    const last = lines.at(-1) ?? begun.moment;
    const moment = { ...begun.moment, seq: last.seq, at: last.at };
    return { begun, written: { generation, moment, sum, length }, lines };
  }

  /**
   * Makes the changes anew that a database has lost which stands as the trace once did: a full disk can
   * take the last ones away after they were reported written. Answers whether it holds all of them now.
   */
  private async putLost({ begun, lines }: Loaded): Promise<boolean> {
    const seq = await this.source.lastSeq();
    const now = await this.source.since(seq);
    if (now?.copy !== begun.moment.copy) return false;
    const last = await this.source.line(seq);
    const known = [begun.moment, ...lines];
    const at = known.findIndex((one) =>
      last === null ? seq === 0 && one.seq === 0 : isSame(one, last),
    );
    if (at < 0) return false;
    for (const line of lines.slice(at)) {
      const made = await this.source.apply(line.change, line.at);
      if (!made.ok || made.value.seq !== line.seq) return false;
      this.putBack += 1;
    }
    return true;
  }

  /** Whether the database holds all that the trace does. */
  private async isContinued({ begun, lines }: Loaded): Promise<boolean> {
    const last = lines.at(-1) ?? begun.moment;
    const now = await this.source.since(last.seq);
    if (now === null) throw new BookGone();
    if (now.copy !== begun.moment.copy) return false;
    if (last.seq === 0) return true;
    const known = await this.source.line(last.seq);
    // Where the journal goes back no further than to later changes, all earlier ones were made.
    return known === null ? now.lines?.length !== 0 : isSame(last, known);
  }

  /** Writes a new snapshot, from which a new log begins; once at a time. */
  private fold(): Promise<void> {
    this.folding ??= this.foldNow().finally(() => {
      this.folding = null;
    });
    return this.folding;
  }

  private async foldNow(): Promise<void> {
    const before = this.written?.generation ?? 0;
    await this.alone("fold", async () => {
      const folder = await this.folder();
      const names = await folder.names();
      // Another tab has just done so.
      const isDone = (generationsIn(names).at(-1) ?? 0) > before && before > 0;
      if (isDone && (await this.alone("append", () => this.append()))) return;
      const whole = await this.source.whole();
      if (whole === null) throw new BookGone();
      const { book, moment } = whole;
      const generation = Math.max(0, ...names.map((name) => parseInt(name, 10) || 0)) + 1;
      const used = picturesOf(book);
      await this.keepPictures(folder, used);
      const { bytes, sum } = snapshotBytes(book, moment);
      await folder.write(snapshotName(generation), bytes, 0);
      const read = await folder.read(snapshotName(generation));
      if (read === null || momentOf(read)?.sum !== sum) {
        throw new Error("what was written could not be read back");
      }
      await this.alone("append", () => this.begin(folder, { generation, moment, sum }, used));
    });
  }

  /** Begins the log of a new snapshot with what was changed meanwhile, and clears what came before it. */
  private async begin(folder: TraceFolder, begun: Begun, used: ReadonlySet<string>): Promise<void> {
    const since = await this.source.since(begun.moment.seq);
    if (since === null) throw new BookGone();
    const lines = since.lines ?? [];
    const later = picturesIn(lines);
    await this.keepPictures(folder, later);
    const { text, ...end } = this.logOf(lines, begun);
    const log = strToU8(text);
    await folder.write(logName(begun.generation), log, 0);
    this.begun = begun;
    this.written = { generation: begun.generation, ...end, length: log.length };
    const kept = new Set([
      ...[snapshotName(begun.generation), logName(begun.generation)],
      ...[...used, ...later].map(pictureName),
    ]);
    for (const name of await folder.names()) {
      const isOurs = /^(?:\d+\.|picture-)/.test(name);
      if (isOurs && !kept.has(name)) await folder.remove(name);
    }
  }

  private async keepPictures(folder: TraceFolder, hashes: ReadonlySet<string>): Promise<void> {
    if (hashes.size === 0) return;
    const there = new Set(await folder.names());
    for (const hash of hashes) {
      if (there.has(pictureName(hash))) continue;
      const picture = await this.source.picture(hash);
      if (picture !== null) await folder.write(pictureName(hash), picture.bytes, 0);
    }
  }

  private folder(): Promise<TraceFolder> {
    return folderOf(this.root, this.book);
  }
}
