import fc from "fast-check";
import { isDeepStrictEqual } from "node:util";
import { bookOf, VAN } from "../../test/books.js";
import { reckonMachineBook } from "../board/board.js";
import { applyChange, put, type Change } from "../book/change/change.js";
import { takenBack } from "../book/change/takenBack.js";
import type { Book } from "../book/file/book.js";
import { readBookData } from "../book/file/readBook.js";
import type { Finding } from "../book/records/finding.js";
import type { MachineId } from "../book/records/ids.js";
import { nextRevision, revisionOf, withRevision } from "../book/records/revision.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import { dayOf } from "../calendar/dayNumber.js";
import { choicesOf } from "../exchange/mergePlan.js";
import { planMerge } from "../exchange/planMerge.js";
import { settleMerge } from "../exchange/settleMerge.js";
import { keepFinding } from "../machine/keepFinding.js";
import { checklist, look } from "./library/draft.js";
import { isFound } from "./places.js";
import { tellResult } from "./roundCommands.js";

const TODAY = dayOf("2026-11-30");
const LIST = checklist("Trial", [], "daily", [
  look("Belt", "engine", "whole"),
  look("Hose", "engine", "dry"),
]);
const CHECKS = (LIST.checks ?? []).map(({ id }) => id);
const ROUND = { id: "r1", machine: "van", checklist: LIST.id, date: "2026-11-30", seq: 1 };
const BOOK = bookOf({ machines: [VAN], checklists: [LIST], rounds: [ROUND] } as never);
const SETTINGS = { dueWithinDays: 7, leadDays: 30, staleAfterDays: 45 } as never;

/** A copy of the book, as one device has it; two tabs of it run their commands one after the other. */
class Copy {
  book: Book = BOOK;
  /** What can be taken back, and whether it has left this copy since. */
  readonly done: { change: Change; wasHandedOver: boolean }[] = [];
  private ids = 0;
  constructor(readonly name: string) {}

  newId = (): string => `${this.name}${(this.ids += 1)}`;
  nextSeq = (): number => 100 + (this.ids += 1);
  get own() {
    const own = machineBookOf(this.book, VAN.id as MachineId);
    if (own === null) throw new Error("the van is in the book");
    return { ...own, specifications: [] };
  }
  get findings(): readonly Finding[] {
    return this.book.findings ?? [];
  }

  /** Takes a change as the storage does: every record gets its revision. */
  take(change: Change): void {
    const records = change.records.map((record) => {
      if (record.after === null) return record;
      const revision = nextRevision(revisionOf(record.before ?? {}), this.name);
      return { ...record, after: withRevision(record.after, revision) };
    });
    this.keep({ ...change, records });
  }
  keep(change: Change): void {
    this.book = applyChange(this.book, change);
    this.done.push({ change, wasHandedOver: false });
  }

  /** Takes the last change back, where everything still stands as it left it. */
  undo(): void {
    const last = this.done.at(-1);
    const stands = (last?.change.records ?? []).every(({ section, id, after }) => {
      const records = (this.book[section] ?? []) as readonly { readonly id: string }[];
      return isDeepStrictEqual(records.find((one) => one.id === id) ?? null, after);
    });
    if (last === undefined || !stands) return;
    this.done.pop();
    const back = takenBack(last.change, last.wasHandedOver, this.name, {
      at: 1,
      newId: this.newId,
    });
    this.book = applyChange(this.book, back);
  }

  takeIn(other: Copy, side: "ours" | "theirs"): void {
    const keys = planMerge(this.book, other.book).conflicts.flatMap(choicesOf);
    const choices = new Map(keys.map((key) => [key, side]));
    const settled = settleMerge(this.book, other.book, choices, this.name);
    if (!settled.ok) throw new Error(JSON.stringify(settled.issues));
    for (const one of other.done) one.wasHandedOver = true;
    this.keep(settled.value);
  }
}

type Step =
  | { readonly do: "tell"; readonly check: number; readonly verdict: string }
  | { readonly do: "decide"; readonly which: number; readonly decision: Finding["decision"] }
  | { readonly do: "close" | "work"; readonly which: number }
  | { readonly do: "undo" }
  | { readonly do: "take-in"; readonly side: "ours" | "theirs" };

const which = fc.nat(5);
const step: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record({
      do: fc.constant("tell" as const),
      check: fc.nat(CHECKS.length - 1),
      verdict: fc.constantFrom("sound", "watch", "attend", "stop"),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant("decide" as const),
      which,
      decision: fc.constantFrom("now", "next visit", "watch", "declined"),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({ do: fc.constantFrom("close" as const, "work" as const), which }),
  },
  { weight: 2, arbitrary: fc.record({ do: fc.constant("undo" as const) }) },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant("take-in" as const),
      side: fc.constantFrom("ours" as const, "theirs" as const),
    }),
  },
);

function go(copy: Copy, other: Copy, one: Step): void {
  const context = { today: TODAY, newId: copy.newId, nextSeq: copy.nextSeq };
  const finding =
    "which" in one ? copy.findings[one.which % Math.max(1, copy.findings.length)] : undefined;
  const edit = (after: Finding): void => {
    const kept = keepFinding(copy.own, finding ?? null, after, context);
    if (kept.ok) copy.take(kept.value);
  };
  switch (one.do) {
    case "tell": {
      const told = { check: CHECKS[one.check] ?? "", verdict: one.verdict };
      const answer = tellResult(copy.own, "r1", LIST, told as never, context);
      if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
      return copy.take(answer.value);
    }
    case "decide":
      if (finding !== undefined) edit({ ...finding, decision: one.decision, reason: "so" });
      return;
    case "close":
      if (finding !== undefined)
        edit({ ...finding, closed: { on: "2026-11-30", by: "E", how: "looked" } });
      return;
    case "work": {
      if (finding === undefined) return;
      const entry = { id: copy.newId(), seq: copy.nextSeq(), machine: "van", date: "2026-11-30" };
      const records = [put("entries", { ...entry, tasks: [], closes: [finding.id] } as never)];
      return copy.take({ command: "log", records });
    }
    case "undo":
      return copy.undo();
    case "take-in":
      return copy.takeIn(other, one.side);
  }
}

/** Every finding is on the board or closed, what was declined says why, and nothing that is not sound is without one. */
function expectNothingForgotten({ book, own, findings }: Copy): void {
  const onBoard = new Set(
    reckonMachineBook(own, SETTINGS, TODAY).findings.map(({ finding }) => finding.id),
  );
  const byWork = new Set(
    currentRecords(book.entries ?? []).flatMap(({ record }) => record.closes ?? []),
  );
  for (const { id, closed, decision, reason } of findings) {
    expect([id, onBoard.has(id)]).toEqual([id, !closed && !byWork.has(id)]);
    if (decision === "declined") expect(reason).toBeTruthy();
  }
  const [round] = book.rounds ?? [];
  for (const { check, verdict } of round?.results ?? []) {
    if (isFound(verdict)) expect(findings.map((one) => one.check)).toContain(check);
  }
  expect(readBookData(JSON.parse(JSON.stringify(book)))).toMatchObject({ ok: true });
}

test("a finding is on the board, or closed, or declined with a reason, through undo, hand-over and two copies", () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.boolean(), step), { maxLength: 14 }), (steps) => {
      const copies = [new Copy("a"), new Copy("b")] as const;
      for (const [isFirst, one] of steps) {
        const [copy, other] = isFirst ? copies : ([copies[1], copies[0]] as const);
        go(copy, other, one);
        expectNothingForgotten(copy);
      }
    }),
    { numRuns: 300 },
  );
});
