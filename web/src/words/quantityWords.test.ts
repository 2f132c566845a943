import {
  parseQuantity,
  torqueDoubt,
  type MeasureSystem,
  type Quantity,
  type Unit,
} from "@yonderfell/core";
import {
  asTyped,
  quantityIssueWords,
  quantityWords,
  torqueDoubtWords,
  understoodWords,
} from "./quantityWords.js";
import { DEFAULT_WRITING, typedNumber, writeAs } from "./writing.js";

const plain = (text: string): string => text.replaceAll("\u00a0", " ");
const q = (value: number, unit: Unit, typed?: string): Quantity =>
  typed === undefined ? { value, unit } : { value, unit, typed };

afterEach(() => writeAs(DEFAULT_WRITING));

test.each<[MeasureSystem, Quantity, string]>([
  ["typed", q(12.5, "L"), "12.5 L"],
  ["typed", q(5.3, "us-qt"), "5.3 US qt (5.016 L)"],
  ["typed", q(84, "in-lbf"), "84 in·lbf (9.491 N·m)"],
  ["typed", q(32, "psi"), "32 psi"],
  ["typed", q(1.5, "in", "1 1/2 in"), "1 1/2 in"],
  ["typed", q(0.15625, "in", "5/32"), "5/32 in"],
  ["metric", q(32, "psi"), "2.206 bar (32 psi)"],
  ["metric", q(5, "imp-gal"), "22.73 L (5 imp gal)"],
  ["us", q(4.5, "L"), "4.755 US qt (4.5 L)"],
  ["us", q(5, "imp-gal"), "6.005 US gal (5 imp gal, 22.73 L)"],
  ["imperial", q(-24, "degC"), "−11.2 °F (−24 °C)"],
  ["us", q(9, "Nm"), "79.66 in·lbf (9 N·m)"],
])("shown %s, %j reads %s", (measures, quantity, words) => {
  writeAs({ ...DEFAULT_WRITING, measures });
  expect(plain(quantityWords(quantity))).toBe(words);
});

test.each<[string, Unit, string]>([
  ["4.4 US qt", "L", "4.4 US qt = 4.164 L"],
  ["60", "L", "60 L"],
  ["1,234", "km", "1 234 km; if 1.234 is meant, type 1.234"],
  ["5/32", "mm", "0.15625 in = 3.969 mm; a fraction is taken as inches"],
])("“%s” in a field for %s is understood: %s", (text, unit, words) => {
  const read = parseQuantity(text, { unit, decimal: ".", gallons: null });
  if (!read.ok) throw new Error("it can be read");
  expect(plain(understoodWords(read.value))).toBe(words);
});

test.each<[string, Unit, RegExp]>([
  ["much", "L", /“much” is not a figure; type one such as 4\.5 L/],
  ["5 firkins", "L", /“firkins” is not a unit known here; L is meant/],
  ["5 psi", "L", /psi does not measure this/],
  ["5 qt", "L", /US or imperial\? .* type US qt or imp qt/],
  ["", "L", /^$/],
])("“%s” in a field for %s is answered with what to do", (text, unit, words) => {
  const read = parseQuantity(text, { unit, decimal: ".", gallons: null });
  if (read.ok) throw new Error("it cannot be read");
  expect(quantityIssueWords(read.issues[0]!, unit)).toMatch(words);
});

test("a doubtful torque is asked about with what else it could be", () => {
  const doubt = torqueDoubt(q(84, "ft-lbf"), { code: "cover-screw" });
  expect(plain(torqueDoubtWords(doubt!))).toBe(
    "Inch-pounds? Usual here is 5–12 N·m. 84 in·lbf would be 9.491 N·m. Look again; the handbook wins.",
  );
});

test("what stands in a field can be read again in every way of writing", () => {
  writeAs({ ...DEFAULT_WRITING, figures: "point-comma" });
  expect(plain(asTyped(q(1234.5, "L")))).toBe("1.234,5 L");
  expect(typedNumber("−1.234,5")).toBe(-1234.5);
  expect(typedNumber("cold")).toBeNull();
});
