import { readBookData } from "../book/file/readBook.js";
import { applyChange } from "../book/change/change.js";
import { machinePlateOf, sharedBookOf } from "../book/slice/machinePlate.js";
import { sharedReferences } from "../book/references/referencesIn.js";
import type { Book } from "../book/file/book.js";
import type { MachineId } from "../book/records/ids.js";
import { bookOf } from "../../test/books.js";
import { choicesOf, type Side } from "./mergePlan.js";
import { planMerge } from "./planMerge.js";
import { settleMerge } from "./settleMerge.js";

const OIL = { id: "oil", machine: "van", system: "engine", kind: "engine oil", product: "tarn" };
const COOLANT = { id: "cool", machine: "van", system: "cooling system", kind: "coolant" };
const PART = { id: "p1", name: "Oil filter", number: "F 102" };
const TARN = { id: "tarn", name: "Tarnside", kind: "engine oil" };
const FITMENT = { id: "fit", machine: "van", part: "p1" };
const edited = (record: object, fields: object, copy: string): object => ({
  ...record,
  ...fields,
  revision: { [copy]: 1 },
});

const withPlate = (sections: object): Book => ({ ...bookOf({}), ...sections });
const BASE = withPlate({ fluids: [OIL, COOLANT], products: [TARN] });

function merged(ours: Book, theirs: Book, side: Side = "ours"): Book {
  const keys = planMerge(ours, theirs).conflicts.flatMap(choicesOf);
  const result = settleMerge(ours, theirs, new Map(keys.map((key) => [key, side])), "a");
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  const book = applyChange(ours, result.value);
  expect(readBookData(JSON.parse(JSON.stringify(book)))).toMatchObject({ ok: true });
  return book;
}

test("parts, products and fitments that only the other copy has are added with what they refer to", () => {
  const theirs = withPlate({
    fluids: [OIL, COOLANT],
    products: [TARN],
    parts: [PART],
    fitments: [FITMENT],
  });
  const book = merged(BASE, theirs);
  expect(book.parts).toEqual([PART]);
  expect(book.fitments).toEqual([FITMENT]);
});

test("two people who write down two fluids of one machine do not stand in each other's way", () => {
  const ours = withPlate({
    fluids: [edited(OIL, { note: "deep pan" }, "a"), COOLANT],
    products: [TARN],
  });
  const theirs = withPlate({
    fluids: [OIL, edited(COOLANT, { note: "flushed" }, "b")],
    products: [TARN],
  });
  expect(planMerge(ours, theirs).conflicts).toEqual([]);
  expect(merged(ours, theirs).fluids).toMatchObject([{ note: "deep pan" }, { note: "flushed" }]);
});

test.each(["ours", "theirs"] as const)(
  "one fluid written down apart is chosen field by field: %s",
  (side) => {
    const ours = withPlate({
      fluids: [edited(OIL, { note: "deep pan", codes: ["SP"] }, "a"), COOLANT],
      products: [TARN],
    });
    const theirs = withPlate({
      fluids: [edited(OIL, { note: "shallow pan", codes: ["SP"] }, "b"), COOLANT],
      products: [TARN],
    });
    const [conflict] = planMerge(ours, theirs).conflicts;
    expect(conflict).toMatchObject({
      code: "changed-apart",
      section: "fluids",
      fields: [{ name: "note" }],
    });
    const note = side === "ours" ? "deep pan" : "shallow pan";
    expect(merged(ours, theirs, side).fluids?.[0]).toMatchObject({ note, codes: ["SP"] });
  },
);

test("what the other copy still has comes back, so that nothing refers to what is gone", () => {
  const ours = withPlate({ fluids: [{ ...OIL, product: null, revision: { a: 1 } }, COOLANT] });
  const book = merged(ours, BASE);
  expect(book.products).toEqual([TARN]);
});

test("a machine's plate and what belongs to no machine are told apart", () => {
  const book = withPlate({
    fluids: [OIL, { ...COOLANT, machine: "other" }],
    products: [TARN],
    parts: [PART],
  });
  expect(machinePlateOf(book, "van" as MachineId).fluids.map((fluid) => fluid.id)).toEqual(["oil"]);
  const shared = sharedBookOf(book);
  expect([shared.parts.length, shared.products.length, shared.people.length]).toEqual([1, 1, 0]);
});

test("every reference to a shared record is known with its place", () => {
  const [fluid] = BASE.fluids ?? [];
  if (fluid === undefined) throw new Error("it has fluids");
  expect(sharedReferences("fluids", fluid)).toEqual([
    { section: "products", id: "tarn", path: ["product"] },
  ]);
  expect(sharedReferences("fluids", { ...fluid, product: null })).toEqual([]);
});
