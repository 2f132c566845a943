import { journeyOil } from "./journeyOil.js";
import type { Fluid } from "../../book/records/fluid.js";
import type { Product } from "../../book/records/product.js";

const PRODUCTS = ["5W-30", "20w50", "0W-20"].map((grade) => ({ id: grade, name: grade, grade }));

/** The answer for an engine oil of which the plate allows 5W-30 from any cold up to 35 °C, and 20W-50 from 0 °C. */
function answer(inside: string | null, coldest: number | null, hottest: number | null) {
  const grades = [
    { grade: "5W-30", to: 35 },
    { grade: "20W-50", from: 0 },
  ];
  const fluid = { id: "f", machine: "van", system: "engine", kind: "engine oil", grades };
  const own = { ...fluid, product: inside } as unknown as Fluid;
  const [oil] = journeyOil([own], PRODUCTS as unknown as Product[], coldest, hottest);
  return oil === undefined ? null : [oil.answer, ...oil.serving];
}

test.each([
  // A journey that says nothing of the weather asks nothing of the oil.
  ["5W-30", null, null, null],
  ["5W-30", -20, 20, ["serves", "5W-30"]],
  // 5W: −30 °C by SAE J300, with 5 °C kept.
  ["5W-30", -25, null, ["serves", "5W-30"]],
  ["5W-30", -26, null, ["too-thick"]],
  ["5W-30", 5, 40, ["too-thin", "20W-50"]],
  ["5W-30", null, 30, ["serves", "5W-30", "20W-50"]],
  ["20w50", -5, null, ["too-thick", "5W-30"]],
  ["20w50", 5, 40, ["serves", "20W-50"]],
  // Not on the plate: not known, but for what is plainly too thick.
  ["0W-20", -10, null, ["not-known", "5W-30"]],
  ["0W-20", -40, null, ["too-thick"]],
  [null, -10, null, ["not-known", "5W-30"]],
])("with %s inside, from %s to %s °C: %j", (inside, coldest, hottest, expected) => {
  expect(answer(inside, coldest, hottest)).toEqual(expected);
});

test("other fluids, and systems without grades by climate, are left alone", () => {
  const coolant = { id: "c", kind: "coolant", grades: [{ grade: "x" }] };
  const bare = { id: "e", kind: "engine oil" };
  expect(journeyOil([coolant, bare] as unknown as Fluid[], [], -10, 30)).toEqual([]);
});
