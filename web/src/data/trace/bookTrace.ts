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
import type { Since, TraceSource } from "./traceSource.js";

/** A log that has grown longer than this, in bytes, is folded into a new snapshot. */
const LONGEST_LOG = 1024 * 1024;

/** Runs something while no one else does, in this tab or another. */
export type Alone = <Value>(what: "append" | "fold", run: () => Promise<Value>) => Promise<Value>;

/** Which change it is: no two of a copy have the same number and instant. */
type Made = Pick<TracedChange, "seq" | "at">;

/** Where a trace stands. */
interface Written {
  readonly generation: number;
  readonly copy: string;
  /** The last change that is in it. */
  readonly last: Made;
  readonly sum: string;
  /** How many bytes of the log are whole. */
  readonly length: number;
}

/** What a snapshot says of itself, kept so that it is read once. */
interface Begun {
  readonly generation: number;
  readonly moment: Moment;
  readonly sum: string;
}

/** Where a trace stands, with the changes of its log. */
interface Loaded {
  readonly begun: Begun;
  readonly written: Written;
  readonly lines: readonly TracedChange[];
}

const changesOf = (lines: readonly TracedChange[]): readonly RecordChange[] =>
  lines.flatMap(({ change }) => change.records);

const isSame = (one: Made, other: Made | null): boolean =>
  one.seq === other?.seq && one.at === other.at;

/** Whether two changes are the same, whatever their numbers; that of a trace went through JSON. */
const isSameChange = (traced: TracedChange, line: TracedChange): boolean =>
  traced.at === line.at && isEqual(traced.change, JSON.parse(JSON.stringify(line.change)));

/** Whether a database stands where a trace does, or later. */
function isContinued({ last, copy }: Written, since: Since): boolean {
  if (since.copy !== copy) return false;
  if (last.seq === 0 || isSame(last, since.line)) return true;
  // Where the journal goes back no further than to later changes, all earlier ones were made.
  return since.line === null && since.lines?.length !== 0;
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

/** Changes as lines of a log that goes on from its last. */
function logOf(
  lines: readonly TracedChange[],
  { last, sum }: Pick<Written, "last" | "sum">,
): Pick<Written, "last" | "sum"> & { readonly text: string } {
  let [text, lastSum] = ["", sum];
  for (const line of lines) {
    const added = logLine(line, lastSum);
    text += added.text;
    lastSum = added.sum;
  }
  const { seq, at } = lines.at(-1) ?? last;
  return { text, last: { seq, at }, sum: lastSum };
}

/**
 * The second trace of a book, outside its database: a snapshot, and a log of the changes since, in
 * one folder with the pictures. What the trace holds and the database does not is never written
 * over: it is made in the database anew, or the folder is set aside and another is begun.
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
    const since = await this.since(written.last.seq);
    if (!isContinued(written, since)) return this.reconcile(folder);
    const { lines } = since;
    if (lines === null) return false;
    const { text, ...end } = logOf(lines, written);
    if (text.length > this.longestLog) return false;
    if (lines.length === 0) return true;
    await this.keepPictures(folder, picturesIn(lines));
    const added = strToU8(text);
    await folder.write(logName(written.generation), added, written.length);
    this.written = { ...written, ...end, length: written.length + added.length };
    return true;
  }

  private async since(seq: number): Promise<Since> {
    const since = await this.source.since(seq);
    if (since === null) throw new BookGone();
    return since;
  }

  /** Where the trace stands, also after what other tabs have written; null where there is none. */
  private async current(folder: TraceFolder): Promise<Written | null> {
    const { written } = this;
    if (written !== null) {
      const size = await folder.size(logName(written.generation));
      if (size === written.length) return written;
    }
    this.written = (await this.load(folder))?.written ?? null;
    return this.written;
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
    const { moment } = begun;
    const { seq, at } = lines.at(-1) ?? moment;
    const last = { seq, at };
    return { begun, written: { generation, copy: moment.copy, last, sum, length }, lines };
  }

  /**
   * The database does not stand where the trace does: a full disk can take its last changes away after
   * they were reported written. They are made in it anew; where that cannot be done, the trace is set
   * aside and another begun. Answers whether the log goes on without a new snapshot.
   */
  private async reconcile(folder: TraceFolder): Promise<boolean> {
    const loaded = await this.load(folder);
    this.written = null;
    if (loaded === null) return false;
    const made = await this.makeAnew(loaded);
    if (made === "refused") {
      await nextFolder(this.root, this.book);
      this.begun = null;
    } else if (made === "level") {
      this.written = loaded.written;
    }
    return made === "level";
  }

  /** Makes the changes that only the trace has in the database: the two are level then, or the database has others as well. */
  private async makeAnew({ begun, lines }: Loaded): Promise<"level" | "beyond" | "refused"> {
    const known = [begun.moment, ...lines];
    for (const [at, one] of [...known.entries()].reverse()) {
      const { copy, line, lines: own } = await this.since(one.seq);
      if (copy !== begun.moment.copy) return "refused";
      if (one.seq !== 0 && !isSame(one, line)) continue;
      if (own === null) return "refused";
      const lost = lines.slice(at).filter((each) => !own.some((two) => isSameChange(each, two)));
      for (const each of lost) {
        if (!(await this.source.apply(each.change, each.at)).ok) return "refused";
        this.putBack += 1;
      }
      return own.length === 0 ? "level" : "beyond";
    }
    return "refused";
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
    const { copy, seq } = begun.moment;
    const lines = (await this.since(seq)).lines ?? [];
    const later = picturesIn(lines);
    await this.keepPictures(folder, later);
    const { text, ...end } = logOf(lines, { last: begun.moment, sum: begun.sum });
    const log = strToU8(text);
    await folder.write(logName(begun.generation), log, 0);
    this.begun = begun;
    this.written = { generation: begun.generation, copy, ...end, length: log.length };
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
