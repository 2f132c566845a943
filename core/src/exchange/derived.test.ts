import fc from "fast-check";
import { drawing, type Draw } from "../../test/drawnFrom.js";
import { SEED } from "../../test/seeds.js";
import { randomBook } from "../../test/randomBook.js";
import { rounded } from "../../test/rounded.js";
import { applyChange, put, reversed, type Change } from "../book/change/change.js";
import type { Book } from "../book/file/book.js";
import { digestsOf } from "../book/file/digests.js";
import type { Entry } from "../book/records/entry.js";
import type { EntryId, StockMoveId } from "../book/records/ids.js";
import type { RecordOf } from "../book/records/recordSchemas.js";
import type { StockMove } from "../book/records/stockMove.js";
import { dayOf } from "../calendar/dayNumber.js";
import { choicesOf } from "./mergePlan.js";
import { planMerge } from "./planMerge.js";
import { settleMerge } from "./settleMerge.js";
import { bookCosts } from "../ledger/bookCosts.js";
import { openFindings } from "../schedule/findingsDue.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { stockOn, type StockItem } from "../stores/stockOn.js";

const RUNS = { numRuns: Number(process.env["RUNS"] ?? 15) };
const ON = dayOf("2026-06-01");

/** The records of a section that stand: gone through one by one, each asked of all the others. */
function standing<T extends { id: string; replaces?: string | null | undefined }>(
  records: readonly T[],
): T[] {
  return records.filter(
    (one) =>
      (one as { void?: boolean }).void !== true &&
      records.every(({ replaces }) => replaces !== one.id),
  );
}

const LITRES: Readonly<Record<string, number>> = { L: 1, "us-qt": 0.946352946, "imp-gal": 4.54609 };
const litres = (amount: StockMove["amount"]): number =>
  typeof amount === "number" ? amount : amount.value * (LITRES[amount.unit] ?? Number.NaN);

/** Where in the order a record stands: that of the first one it goes back to. */
function placeOf(move: StockMove, moves: readonly StockMove[]): number {
  const earlier = moves.find(({ id }) => id === move.replaces);
  return earlier === undefined ? (move.seq ?? 0) : placeOf(earlier, moves);
}

/** How much of a product there is, from nothing: every step anew. */
function onHand(book: Book, product: string): number {
  const moves = book.stockMoves ?? [];
  const own = standing(moves).filter((one) => one.product === product && one.date <= "2026-06-01");
  const inOrder = own.toSorted(
    (one, other) =>
      Number(one.date > other.date) - Number(one.date < other.date) ||
      placeOf(one, moves) - placeOf(other, moves),
  );
  const from = inOrder.findLastIndex(({ why }) => why === "counted");
  let amount = 0;
  for (const move of inOrder.slice(Math.max(from, 0))) {
    amount += (["sent-back", "scrapped"].includes(move.why) ? -1 : 1) * litres(move.amount);
  }
  const countedOn = inOrder[from]?.date ?? "";
  for (const entry of standing(book.entries ?? [])) {
    if (entry.date > "2026-06-01" || entry.date <= countedOn) continue;
    for (const used of entry.fluids ?? []) {
      const isTaken = used.product === product && used.from === "stock" && used.in;
      if (isTaken) amount -= litres(used.in ?? 0);
    }
  }
  return amount;
}

const productOf = (item: StockItem): string | null => ("product" in item ? item.product : null);

test("what is on hand is what every move and every use since the last count come to, corrections and voids among them", () => {
  fc.assert(
    fc.property(SEED, (seed) => {
      const book = randomBook(seed);
      for (const item of stockOn(book, ON).items) {
        const product = productOf(item);
        if (product !== null) expect(item.onHand).toBeCloseTo(onHand(book, product), 6);
      }
    }),
    RUNS,
  );
});

/** One copy goes on: work with an amount from the shelf, a count, a correction of its own, a finding closed. */
function goneOn(book: Book, copy: string, draw: Draw): Change {
  const own = (book.entries ?? []).filter(({ machine }) => machine === copy);
  const [stands] = standing(own);
  const entry = stands ?? own[0];
  if (entry === undefined) throw new Error("each machine has entries");
  const seq = 1000 + Math.floor(draw() * 1000);
  const product = (book.products ?? [])[0]?.id;
  const finding = (book.findings ?? []).find(({ machine }) => machine === copy)?.id;
  const corrected: Entry = {
    ...entry,
    ...{
      id: `${copy}-e` as EntryId,
      seq,
      replaces: stands?.id,
      date: "2026-04-0" + (1 + Math.floor(draw() * 9)),
    },
    fluids: [],
    parts: [],
    ...(finding === undefined ? {} : { closes: [finding] }),
    ...(draw() < 0.3 ? { void: true } : {}),
  };
  const counted = {
    ...{ id: `${copy}-m` as StockMoveId, seq: seq + 1, date: "2026-03-03", product },
    ...{
      amount: { value: Math.ceil(draw() * 40), unit: "L" },
      why: draw() < 0.5 ? "counted" : "bought",
    },
  } as StockMove;
  return { command: "go-on", records: [put("entries", corrected), put("stockMoves", counted)] };
}

function merged(ours: Book, theirs: Book): Book {
  const keys = planMerge(ours, theirs).conflicts.flatMap(choicesOf);
  expect(keys).toEqual([]);
  const result = settleMerge(ours, theirs, new Map(), "c");
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return applyChange(ours, result.value);
}

/** All that is derived of a book, and not kept in it. */
function derived(book: Book): unknown {
  const costs = bookCosts(book, "2025-01-01", "2026-12-31");
  const open = [...recordsByMachine(book).values()].map((records) =>
    openFindings(records, ON).map(({ id }) => id),
  );
  return rounded({ stock: stockOn(book, ON), costs, open });
}

test("taken back, what was done leaves no trace in what is derived; handed over, both copies derive the same", () => {
  fc.assert(
    fc.property(SEED, (seed) => {
      const draw = drawing(seed + 1);
      const base = randomBook(seed);
      const [a, b] = ["bus", "mower"].map((copy) => goneOn(base, copy, draw)) as [Change, Change];
      const [ours, theirs] = [applyChange(base, a), applyChange(base, b)];
      expect(derived(applyChange(ours, reversed(a)))).toEqual(derived(base));
      const [here, there] = [merged(ours, theirs), merged(theirs, ours)];
      expect(digestsOf(here, [])).toEqual(digestsOf(there, []));
      expect(derived(here)).toEqual(derived(there));
      const both = applyChange(applyChange(base, a), b);
      expect(derived(here)).toEqual(derived(both));
    }),
    RUNS,
  );
});

test("a record of any section that only one copy has comes to the other by a hand-over, and one that was deleted goes", () => {
  fc.assert(
    fc.property(SEED, (seed) => {
      const whole = randomBook(seed);
      const part: Book = { ...whole, jobEvents: [], stockMoves: [], samples: [], closures: [] };
      expect(digestsOf(merged(part, whole), [])).toEqual(digestsOf(whole, []));
      const gone = (whole.jobEvents ?? [])[0] as RecordOf["jobEvents"];
      const without: Book = {
        ...whole,
        jobEvents: (whole.jobEvents ?? []).slice(1),
        removed: [{ section: "jobEvents", id: gone.id, revision: { a: 9, ...gone.revision } }],
      };
      expect(merged(whole, without).jobEvents?.map(({ id }) => id)).not.toContain(gone.id);
    }),
    RUNS,
  );
});
