import { dayOf, formatDay, type Book, type RecordChange } from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import { seededRandom } from "@yonderfell/demo/random";
import { memoryLocks, MemoryTraces, PowerCut } from "../../../test/memoryTraces.js";
import { BookGone } from "../bookGone.js";
import { hashOf } from "@yonderfell/core";
import type { StoredPicture } from "../picture.js";
import { BookTrace } from "./bookTrace.js";
import { bookIn, Traces } from "./traces.js";
import { DexieTraceSource } from "./traceSource.js";

const TODAY = dayOf("2026-11-23");
const BOOK = demonstrationBook(TODAY);
const NOW = "2026-11-23T08:00:00.000Z";

/** A book that is written in no time. */
const SMALL = {
  format: "yonderfell-book",
  version: 2,
  machines: [{ id: "m-bus", tag: "07", name: "Library bus", kind: "bus" }],
  ...{ tasks: [], entries: [], readings: [] },
} as unknown as Book;

/** A log is folded when it is longer than this, where a test says so, in bytes. */
const LONG = 2000;

let count = 0;

/** A database with the demonstration book, and its traces. */
async function opened(book: Book = BOOK) {
  count += 1;
  const source = new DexieTraceSource(`traced-${count}`);
  await source.fill(book);
  const traces = new MemoryTraces();
  const alone = memoryLocks();
  const trace = (longestLog?: number) => new BookTrace(traces, "book", source, alone, longestLog);
  const inTrace = async () => bookIn(await traces.folder("book"));
  return { source, traces, trace, inTrace };
}

/** A change that logs a note, as `apply` takes it. */
function note(at: number, words = `note ${at}`) {
  const record = {
    id: `e-note-${at}`,
    seq: 90_000 + at,
    machine: "m-bus",
    task: null,
    date: formatDay(TODAY),
    note: words,
  };
  const records = [{ section: "entries", id: record.id, before: null, after: record }];
  return { command: "log", records: records as unknown as RecordChange[] };
}

async function log(source: DexieTraceSource, at: number, words?: string): Promise<void> {
  const made = new Date(Date.parse(NOW) + at).toISOString();
  const result = await source.apply(note(at, words), made, true);
  expect(result.ok).toBe(true);
}

/** Changes a book in one of several ways, drawn. */
async function changed(source: DexieTraceSource, at: number, draw: () => number): Promise<void> {
  const kind = Math.floor(draw() * 4);
  const last = await source.lastSeq();
  const now = new Date(Date.parse(NOW) + at * 1000).toISOString();
  if (kind === 0 && last > 0) {
    await source.takeBack(last, now);
    return;
  }
  const parts = kind === 1 ? (await source.list("parts")).slice(0, 1) : [];
  const renamed = parts.map((part) => ({
    section: "parts",
    id: part.id,
    before: part,
    after: { ...part, name: `part ${at}` },
  }));
  const records = [...note(at).records, ...(renamed as unknown as RecordChange[])];
  const result = await source.apply({ command: "log", records }, now, true);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
}

test("a trace holds the book as its database does, after every change, and over all that is folded", async () => {
  const { source, trace, inTrace, traces } = await opened();
  const draw = seededRandom(17);
  let [one, other] = [trace(), trace()];
  for (let at = 0; at < 40; at += 1) {
    await changed(source, at, draw);
    await one.keep();
    expect((await inTrace())?.book).toEqual(await source.everything());
    expect((await inTrace())?.moment.seq).toBe(await source.lastSeq());
    // Another tab goes on where this one ended; now and then a page is loaded anew.
    [one, other] = [other, at % 17 === 0 ? trace() : one];
  }
  const names = [...(traces.held.get("book")?.keys() ?? [])];
  expect(names.sort()).toEqual(["1.log", "1.snapshot"]);
});

test("a long log is folded into a new snapshot, and what came before goes", async () => {
  const { source, trace, inTrace, traces } = await opened(SMALL);
  const one = trace();
  await one.keep();
  for (let at = 0; at < 5; at += 1) {
    await log(source, at, "x".repeat(300_000));
    await one.keep();
    await one.rest();
    expect((await inTrace())?.book).toEqual(await source.everything());
  }
  expect([...(traces.held.get("book")?.keys() ?? [])].sort()).toEqual(["2.log", "2.snapshot"]);
  // One change larger than a log may be.
  await log(source, 9, "y".repeat(2_000_000));
  await one.keep();
  expect((await inTrace())?.book).toEqual(await source.everything());
  expect([...(traces.held.get("book")?.keys() ?? [])].sort()).toEqual(["3.log", "3.snapshot"]);
});

/** The places where the power fails, in parts that are each done in a few seconds. */
const PARTS = 5;

test.each([0, 1, 2, 3, 4])(
  "whatever was said to be in the trace is there, wherever the power fails: part %i",
  async (part) => {
    for (let cut = part; cut < 40; cut += PARTS) {
      const { source, trace, traces, inTrace } = await opened(SMALL);
      traces.writesLeft = cut;
      const stood: Book[] = [await source.everything()];
      let said = -1;
      try {
        let one = trace(LONG);
        for (let at = 0; at < 12; at += 1) {
          await one.keep();
          await one.rest();
          said = await source.lastSeq();
          // Every fourth change is long enough for a new snapshot.
          await log(source, at, at % 4 === 3 ? "z".repeat(2 * LONG) : "z");
          stood.push(await source.everything());
          if (at % 5 === 4) one = trace(LONG);
        }
        await one.rest();
      } catch (error) {
        expect(error).toBeInstanceOf(PowerCut);
      }
      traces.writesLeft = Infinity;
      const found = await inTrace();
      const seq = found?.moment.seq ?? -1;
      expect(seq).toBeGreaterThanOrEqual(said);
      if (found !== null) expect(found.book).toEqual(stood[seq]);
      // The next start goes on from it.
      await trace().keep();
      expect((await inTrace())?.book).toEqual(stood.at(-1));
    }
  },
);

test("a bit that has turned is never believed: what is read is a book that once stood", async () => {
  const { source, trace, traces, inTrace } = await opened(SMALL);
  const stood = [JSON.stringify(await source.everything())];
  const one = trace();
  await one.keep();
  for (let at = 0; at < 6; at += 1) {
    await log(source, at);
    await one.keep();
    stood.push(JSON.stringify(await source.everything()));
  }
  const files = traces.held.get("book");
  const draw = seededRandom(5);
  const seen = new Set<number>();
  for (let turn = 0; turn < 200; turn += 1) {
    const name = turn % 2 === 0 ? "1.log" : "1.snapshot";
    const whole = files?.get(name) ?? new Uint8Array();
    const hurt = whole.slice();
    const at = Math.floor(draw() * hurt.length);
    hurt[at] = (hurt[at] ?? 0) ^ (1 << Math.floor(draw() * 8));
    files?.set(name, hurt);
    const found = await inTrace();
    files?.set(name, whole);
    seen.add(found?.moment.seq ?? -1);
    if (found !== null) expect(stood).toContain(JSON.stringify(found.book));
  }
  // Snapshots that are hurt, and logs cut at several lines, were among them.
  expect(seen.has(-1)).toBe(true);
  expect(seen.size).toBeGreaterThan(3);
});

/** The same copy of a book in another database, as it stands without any change. */
async function sameCopy(source: DexieTraceSource): Promise<DexieTraceSource> {
  const other = new DexieTraceSource(`other-${count}`);
  await other.fill(BOOK);
  const copy = await source.copy();
  other.copy = () => Promise.resolve(copy);
  return other;
}

test("changes that the database has lost are put back into it, in their order", async () => {
  const { source, trace, traces } = await opened();
  const one = trace();
  await one.keep();
  for (let at = 0; at < 4; at += 1) {
    await log(source, at);
    await one.keep();
  }
  const back = await sameCopy(source);
  await log(back, 0);
  const next = new BookTrace(traces, "book", back, memoryLocks());
  await next.keep();
  expect(next.takePutBack()).toBe(3);
  expect(next.takePutBack()).toBe(0);
  expect(await back.everything()).toEqual(await source.everything());
  expect(await back.lastSeq()).toBe(4);
  expect([...traces.held.keys()]).toEqual(["book"]);
});

test("a database that lost changes and went on without them, under an open page, gets them back beside the new ones", async () => {
  const { source, traces } = await opened();
  const back = await sameCopy(source);
  let now = source;
  const either = {
    since: (seq: number) => now.since(seq),
    whole: () => now.whole(),
    apply: (...given: Parameters<typeof source.apply>) => now.apply(...given),
    picture: (hash: string) => now.picture(hash),
  };
  const one = new BookTrace(traces, "book", either, memoryLocks());
  await one.keep();
  for (let at = 0; at < 4; at += 1) {
    await log(source, at);
    await one.keep();
  }
  // It stands as it did two changes ago, and as many are made before anybody looks.
  for (const at of [0, 1, 7, 8]) await log(back, at);
  now = back;
  await one.keep();
  expect(one.takePutBack()).toBe(2);
  const notes = ((await back.everything()).entries ?? []).map(({ id }) => id as string);
  const made = [0, 1, 7, 8, 2, 3].map((at) => `e-note-${at}`);
  expect(notes.filter((id) => id.startsWith("e-note-"))).toEqual(made);
  expect([...traces.held.keys()]).toEqual(["book"]);
  expect((await bookIn(await traces.folder("book")))?.book).toEqual(await back.everything());
  // Nothing is made twice.
  await log(back, 9);
  await one.keep();
  expect(one.takePutBack()).toBe(0);
  expect((await bookIn(await traces.folder("book")))?.book).toEqual(await back.everything());
});

test("where what the database lost cannot be made in it anew, the trace is set aside and offered", async () => {
  const { source, trace, traces } = await opened();
  const one = trace();
  await one.keep();
  for (let at = 0; at < 3; at += 1) {
    await log(source, at);
    await one.keep();
  }
  const whole = await source.everything();
  const older = await sameCopy(source);
  const other = await older.apply(note(0, "another"), "2026-11-24T08:00:00.000Z", true);
  expect(other.ok).toBe(true);
  await new BookTrace(traces, "book", older, memoryLocks()).keep();
  expect([...traces.held.keys()]).toEqual(["book", "book.2"]);
  expect((await bookIn(await traces.folder("book")))?.book).toEqual(whole);
  expect((await bookIn(await traces.folder("book.2")))?.book).toEqual(await older.everything());
  const lost = await new Traces(traces, () => older, memoryLocks).lost(["book"]);
  expect(lost.map(({ folder, isAside }) => ({ folder, isAside }))).toEqual([
    { folder: "book", isAside: true },
  ]);
});

test("a database that is gone is refused, and its trace stays and is offered whole, with its pictures", async () => {
  const { source, traces } = await opened();
  const bytes = new Uint8Array([0xff, 0xd8, 1, 2, 3]);
  const picture: StoredPicture = {
    hash: hashOf(bytes),
    type: "image/jpeg",
    bytes,
    width: 1,
    height: 1,
    keptAt: NOW,
  };
  await source.keepPicture(picture);
  const all = new Traces(traces, () => source, memoryLocks);
  const entry = { id: "book", name: "Vale", isDemonstration: false, database: "" };
  const trace = await all.of(entry);
  await trace.keep();
  const [machine] = await source.machines();
  const pictured = { ...machine, pictures: [{ hash: picture.hash }] };
  const records = [{ section: "machines", id: machine?.id, before: machine, after: pictured }];
  const change = { command: "edit", records: records as unknown as RecordChange[] };
  expect((await source.apply(change, NOW, true)).ok).toBe(true);
  await trace.keep();
  const whole = await source.everything();

  const empty = new DexieTraceSource(`gone-${count}`);
  await expect(new BookTrace(traces, "book", empty, memoryLocks()).keep()).rejects.toThrow(
    BookGone,
  );
  await expect(empty.apply(note(1), NOW, true)).rejects.toThrow(BookGone);
  const [lost] = await all.lost([]);
  expect(lost).toMatchObject({ folder: "book", name: "Vale", isAside: false, endedAt: NOW });
  expect(lost?.counts.machines).toBe(BOOK.machines?.length);
  const back = await all.bookOf("book", NOW);
  expect(back?.book).toEqual(whole);
  expect(back?.pictures).toEqual([{ ...picture, width: 0, height: 0 }]);
});

test("a disk that refuses is told of, and the next change brings everything", async () => {
  const { source, trace, traces, inTrace } = await opened();
  const one = trace();
  await one.keep();
  traces.refusal = new Error("full");
  await log(source, 1);
  await expect(one.keep()).rejects.toThrow("full");
  traces.refusal = null;
  await log(source, 2);
  await one.keep();
  expect((await inTrace())?.book).toEqual(await source.everything());
});
