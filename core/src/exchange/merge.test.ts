import { readBookData } from "../book/file/readBook.js";
import type { Book } from "../book/file/book.js";
import type { RecordOf } from "../book/records/recordSchemas.js";
import { applyChange } from "../book/change/change.js";
import type { Machine } from "../book/records/machine.js";
import { compareRevisions, joinedRevisions, nextRevision } from "../book/records/revision.js";
import { headAfter } from "../book/change/removed.js";
import { takenBack } from "../book/change/takenBack.js";
import { bookOf, read } from "../../test/books.js";
import { choicesOf, isEmptyPlan, type Side } from "./mergePlan.js";
import { planMerge } from "./planMerge.js";
import { settleMerge } from "./settleMerge.js";

const MACHINE = bookOf({}).machines?.[0] as Machine;
const READING = read("2026-01-01", 100, { id: "r1", seq: 1 }) as RecordOf["readings"];
const BASE = bookOf({ readings: [READING] });

const withMachine = (book: Book, fields: object): Book => ({
  ...book,
  machines: [{ ...MACHINE, ...fields }],
});
const withReadings = (book: Book, ...readings: readonly object[]): Book => ({
  ...book,
  readings: [...(book.readings ?? []), ...(readings as RecordOf["readings"][])],
});
const reading = (id: string, seq: number, more: object = {}): object =>
  read("2026-02-01", 200 + seq, { id, seq, ...more });

/** Both hand-overs, each with every conflict chosen for one side. */
function merged(ours: Book, theirs: Book, side: Side = "ours", copy = "a"): Book {
  const keys = planMerge(ours, theirs).conflicts.flatMap(choicesOf);
  const choices = new Map(keys.map((key) => [key, side]));
  const result = settleMerge(ours, theirs, choices, copy);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  const book = applyChange(ours, result.value);
  expect(readBookData(JSON.parse(JSON.stringify(book)))).toMatchObject({ ok: true });
  return book;
}

const standing = (book: Book): string[] => {
  const replaced = new Set((book.readings ?? []).map((record) => record.replaces));
  return (book.readings ?? [])
    .filter((record) => !replaced.has(record.id) && record.void !== true)
    .map((record) => record.id)
    .sort();
};

describe("revisions", () => {
  test("tell which version follows from which", () => {
    const first = nextRevision({}, "a");
    const second = nextRevision(first, "b");
    expect(compareRevisions(first, second)).toBe("before");
    expect(compareRevisions(second, first)).toBe("after");
    expect(compareRevisions(first, { ...first })).toBe("same");
    expect(compareRevisions(nextRevision(first, "a"), second)).toBe("apart");
    expect(joinedRevisions({ a: 2, b: 1 }, { b: 3 })).toEqual({ a: 2, b: 3 });
  });

  test("take the name of a copy as data, whatever it is", () => {
    const odd = nextRevision({}, "constructor");
    expect(odd).toEqual({ constructor: 1 });
    expect(compareRevisions({}, odd)).toBe("before");
  });
});

test("what only the other copy has is added, what only this one has stays", () => {
  const ours = withReadings(BASE, reading("mine", 2));
  const theirs = withReadings(BASE, reading("other", 2));
  expect(standing(merged(ours, theirs))).toEqual(["mine", "other", "r1"]);
  expect(planMerge(ours, ours)).toEqual({
    added: [],
    changed: [],
    joined: [],
    removed: [],
    fields: [],
    conflicts: [],
  });
});

test("of two versions the one that follows from the other stands, on either side", () => {
  const changed = withMachine(BASE, { name: "Bog pump", revision: { b: 1 } });
  expect(merged(BASE, changed).machines?.[0]?.name).toBe("Bog pump");
  expect(merged(changed, BASE)).toEqual(changed);
  expect(planMerge(changed, BASE).conflicts).toEqual([]);
});

test("versions made apart are chosen field by field, and the choice follows from both", () => {
  const ours = withMachine(BASE, { name: "Bog pump", tag: "21", revision: { a: 1 } });
  const theirs = withMachine(BASE, { name: "Fen pump", kind: "pump", revision: { b: 1 } });
  const [conflict] = planMerge(ours, theirs).conflicts;
  if (conflict?.code !== "changed-apart") throw new Error("they were changed apart");
  expect(conflict.fields.map((field) => field.name).sort()).toEqual(["kind", "name", "tag"]);
  const choices = new Map<string, Side>([
    [`${conflict.key} name`, "theirs"],
    [`${conflict.key} kind`, "theirs"],
    [`${conflict.key} tag`, "ours"],
  ]);
  const result = settleMerge(ours, theirs, choices, "a");
  if (!result.ok) throw new Error("all is chosen");
  const book = applyChange(ours, result.value);
  const settled = { name: "Fen pump", kind: "pump", tag: "21", revision: { a: 2, b: 1 } };
  expect(book.machines?.[0]).toMatchObject(settled);
  expect(isEmptyPlan(planMerge(book, theirs))).toBe(true);
  expect(merged(theirs, book).machines).toEqual(book.machines);
});

test("versions without counts that differ are a conflict: nothing says which is newer", () => {
  const conflicts = planMerge(BASE, withMachine(BASE, { name: "Fen pump" })).conflicts;
  expect(conflicts).toMatchObject([{ code: "changed-apart" }]);
});

test("a conflict without a choice is refused", () => {
  const theirs = withMachine(BASE, { name: "Fen pump" });
  expect(settleMerge(BASE, theirs, new Map(), "a")).toMatchObject({
    ok: false,
    issues: [{ code: "not-chosen" }],
  });
});

describe("two corrections of one reading", () => {
  const ours = withReadings(BASE, reading("mine", 2, { replaces: "r1" }));
  const theirs = withReadings(
    BASE,
    reading("other", 2, { replaces: "r1" }),
    reading("again", 3, { replaces: "other" }),
  );

  test.each([
    ["ours", "mine"],
    ["theirs", "again"],
  ] as const)("the one of %s stands, and the other stays in the history", (side, expected) => {
    const book = merged(ours, theirs, side);
    expect(standing(book)).toEqual([expected]);
    expect(book.readings).toHaveLength(4);
    expect(isEmptyPlan(planMerge(book, theirs))).toBe(true);
    expect(standing(merged(theirs, book, "ours", "b"))).toEqual([expected]);
  });

  test("settled in opposite orders are asked about once more", () => {
    const here = merged(ours, theirs, "ours", "a");
    const there = merged(theirs, ours, "ours", "b");
    expect(planMerge(here, there).conflicts).toMatchObject([{ code: "settled-apart" }]);
    expect(standing(merged(here, there, "ours"))).toEqual(["mine"]);
    expect(standing(merged(here, there, "theirs"))).toEqual(["again"]);
  });
});

test("two changes of one meter on one date are chosen between, and the other stays in the history", () => {
  const change = (id: string, oldFinal: number): RecordOf["meterChanges"] =>
    ({
      id,
      seq: 5,
      machine: MACHINE.id,
      meter: MACHINE.meters?.[0]?.id,
      date: "2026-03-01",
      oldFinal,
      newStart: 0,
    }) as RecordOf["meterChanges"];
  const ours = { ...BASE, meterChanges: [change("c1", 300)] };
  const theirs = { ...BASE, meterChanges: [change("c2", 310)] };
  expect(planMerge(ours, theirs).conflicts).toMatchObject([{ code: "both-changed-meter" }]);
  const book = merged(ours, theirs, "theirs");
  expect(book.meterChanges?.find((one) => one.id === "c2")).toMatchObject({ replaces: "c1" });
  expect(book.meterChanges).toHaveLength(2);
});

test("fields of the book are taken where only the other copy has them, and asked about where both do", () => {
  const theirs = { ...BASE, settings: { leadDays: 60 }, stock: [{ id: "s1" }] } as Book;
  expect(merged(BASE, theirs)).toMatchObject({ settings: { leadDays: 60 }, stock: [{ id: "s1" }] });
  const ours = { ...BASE, settings: { leadDays: 14 } };
  expect(planMerge(ours, theirs).conflicts).toMatchObject([
    { code: "field-changed-apart", field: "settings" },
  ]);
  expect(merged(ours, theirs, "theirs").settings).toMatchObject({ leadDays: 60 });
  expect(merged(ours, theirs, "ours").settings).toMatchObject({ leadDays: 14 });
});

test("the name of a copy is its own", () => {
  expect(
    isEmptyPlan(planMerge({ ...BASE, name: "At the shed" }, { ...BASE, name: "On the phone" })),
  ).toBe(true);
});

test("choices that would leave a reading of a meter that is gone are refused with the place", () => {
  const ours = withMachine(BASE, { meters: [], revision: { a: 1 } });
  const theirs = withReadings(BASE, reading("other", 2));
  const result = settleMerge({ ...ours, readings: [] }, theirs, new Map(), "a");
  expect(result).toMatchObject({
    ok: false,
    issues: [{ code: "does-not-fit", issue: { path: ["readings", 0, "meter"] } }],
  });
});

describe("what was deleted", () => {
  const PLACE = { id: "shed", name: "Shed" } as RecordOf["places"];
  const both: Book = { ...BASE, places: [PLACE] };
  const deletedIn = (book: Book, copy: string): Book => {
    const records = [{ section: "places" as const, id: "shed", before: PLACE, after: null }];
    const change = { command: "delete", records };
    return headAfter(applyChange(book, change), change, copy);
  };
  const names = (book: Book): string[] => (book.places ?? []).map(({ name }) => name);

  test("does not come back from a copy that still has it, and goes from there", () => {
    const ours = deletedIn(both, "a");
    expect(ours.removed).toEqual([{ section: "places", id: "shed", revision: { a: 1 } }]);
    expect(planMerge(ours, both)).toMatchObject({ added: [], removed: [], conflicts: [] });
    const there = merged(both, ours, "ours", "b");
    expect([names(there), there.removed]).toEqual([[], ours.removed]);
  });

  test("stays where something that stays refers to it, and comes back with what refers to it", () => {
    const ours = deletedIn(both, "a");
    const living = withMachine(both, { place: "shed", revision: { b: 1 } });
    expect(names(merged(ours, living))).toEqual(["Shed"]);
    expect(merged(ours, living).removed).toEqual([]);
    expect(names(merged(living, ours, "ours", "b"))).toEqual(["Shed"]);
  });

  test.each(["ours", "theirs"] as const)(
    "and changed in the other since is asked about, and %s is then the same in both",
    (side) => {
      const ours = deletedIn(both, "a");
      const theirs = { ...both, places: [{ ...PLACE, name: "Barn", revision: { b: 1 } }] } as Book;
      expect(planMerge(ours, theirs).conflicts).toMatchObject([{ code: "deleted-apart" }]);
      const here = merged(ours, theirs, side, "a");
      expect(names(here)).toEqual(side === "ours" ? [] : ["Barn"]);
      const there = merged(theirs, here, "ours", "b");
      expect(names(there)).toEqual(names(here));
      expect(planMerge(there, here).conflicts).toEqual([]);
    },
  );

  /** The book without its machines and places, deleted in a copy. */
  const withoutBoth = (book: Book, copy: string): Book => {
    const records = (["machines", "places"] as const).flatMap((section) =>
      (book[section] ?? []).map((before) => ({ section, id: before.id, before, after: null })),
    );
    const change = { command: "delete", records };
    return headAfter(applyChange(book, change), change, copy);
  };

  test("stays where what refers to it stays only because of another", () => {
    const bare = { ...withMachine(both, { place: "shed" }), readings: [] };
    const theirs = withoutBoth(bare, "b");
    expect(names(merged(bare, theirs))).toEqual([]);
    const ours = withReadings(bare, reading("since", 2));
    for (const book of [merged(ours, theirs), merged(theirs, ours, "ours", "b")]) {
      expect([book.machines?.length, names(book)]).toEqual([1, ["Shed"]]);
    }
  });

  test("and changed in the other since comes back unasked where something refers to it", () => {
    const ours = deletedIn(both, "a");
    const barn = { ...PLACE, name: "Barn", revision: { b: 1 } } as RecordOf["places"];
    const theirs = withMachine({ ...both, places: [barn] }, { place: "shed", revision: { b: 1 } });
    expect(planMerge(ours, theirs)).toMatchObject({ added: [{ id: "shed" }], conflicts: [] });
    expect(names(merged(ours, theirs))).toEqual(["Barn"]);
    expect(names(merged(theirs, ours, "ours", "b"))).toEqual(["Barn"]);
  });

  test("and restored after it was handed over stays", () => {
    const ours = deletedIn(both, "a");
    const records = [{ section: "places" as const, id: "shed", before: PLACE, after: null }];
    const back = takenBack({ command: "delete", records }, true, "a", { at: 1, newId: () => "x" });
    const again = headAfter(applyChange(ours, back), back, "a");
    const there = merged(both, ours, "ours", "b");
    expect(names(merged(there, again, "ours", "b"))).toEqual(["Shed"]);
    expect(names(merged(again, there))).toEqual(["Shed"]);
  });
});
