import { coverage, coversCode, slipsWetClutch } from "./claims.js";
import { coldestStart, isSameGrade, parseGrade, servesCold } from "./grade.js";
import type { BrakeType, CoolantFamily } from "./kinds.js";
import { brakeTypeServes, isRefused, mixing } from "./mixing.js";

test.each([
  ["SP", "SN", true],
  ["SN", "SP", false],
  ["API SP", "sn plus", true],
  ["CK-4", "CJ-4", true],
  ["CK-4", "CI-4 PLUS", true],
  ["CK4", "CH-4", true],
  ["FA-4", "CJ-4", false],
  ["FA-4", "FA-4", true],
  ["CI-4", "CI-4 PLUS", false],
  ["C3", "C2", false],
  ["C3", "C3", true],
  ["A3/B4", "A3/B4", true],
  // Each of the categories written together is claimed, and each is required.
  ["A3/B4", "A3", true],
  ["A3", "A3/B4", false],
  ["SN/CF", "SN", true],
  ["SN/CF", "SJ", true],
  ["SN/CF", "CF", true],
  ["API SN/CF", "SL/CF", true],
  ["CI-4+", "CI-4 PLUS", true],
  ["SN+", "SN PLUS", true],
  ["SN", "SN+", false],
  ["SL", "SA", true],
  ["SG", "SH", false],
  ["ACEA C3", "C3", true],
  ["C3", "ACEA C3", true],
  ["GF6A", "GF-5", true],
  ["ILSAC GF-6A", "GF6A", true],
  ["MA2", "JASO MA2", true],
  ["JASO MA2", "MA", true],
  ["MB", "MA", false],
  ["SP", "MA", false],
  ["HV-204/1", "HV-204", false],
  ["HV-204.1", "hv–204.1", true],
  ["JASO MA2", "JASO MA", true],
  ["JASO MA", "JASO MA2", false],
  ["JASO MA1", "JASO MA2", false],
])("a claim of %s covers %s: %s", (claimed, required, covers) => {
  expect(coversCode(claimed, required)).toBe(covers);
});

test("every required code is answered by the claim that covers it, or is named as missing", () => {
  expect(coverage(["CK-4", "E9"], ["CJ-4", "HV-204"])).toEqual([
    { required: "CJ-4", by: "CK-4" },
    { required: "HV-204", by: null },
  ]);
});

test("a requirement of two written together may be met by two claims, and names both", () => {
  expect(coverage(["A3", "B4"], ["A3/B4"])).toEqual([{ required: "A3/B4", by: "A3 and B4" }]);
  expect(coverage(["A3"], ["A3/B4"])).toEqual([{ required: "A3/B4", by: null }]);
});

test("a class for dry clutches refuses what requires one for wet clutches", () => {
  expect(slipsWetClutch(["SN", "JASO MB"], "JASO MA2")).toBe(true);
  expect(slipsWetClutch(["SN"], "JASO MA2")).toBe(false);
  expect(slipsWetClutch(["MA", "MB"], "MA2")).toBe(false);
  expect(slipsWetClutch(["MB"], "SN")).toBe(false);
});

test.each([
  "automatic transmission fluid",
  "grease",
  "fuel",
  "refrigerant",
  "washer fluid",
] as const)("two of %s are not shown to mix", (kind) =>
  expect(mixing({ kind }, { kind })).toEqual({ code: "not-shown" }),
);

test.each(["engine oil", "gear oil", "hydraulic oil", "differential oil"] as const)(
  "two of %s mix",
  (kind) => expect(mixing({ kind }, { kind })).toEqual({ code: "mixes" }),
);

test("coolants of one family, and silicone or mineral brake fluids of one type, are not shown to mix", () => {
  expect(mixing(coolant("hybrid"), coolant("hybrid")).code).toBe("not-shown");
  expect(mixing(brake("5"), brake("5")).code).toBe("not-shown");
  expect(mixing(brake("mineral"), brake("mineral")).code).toBe("not-shown");
});

test("grades are the same however they are written", () => {
  for (const text of ["SAE 5W-30", "5W–30", "5w30", "sae 5w‑30"]) {
    expect([text, isSameGrade(text, "5W-30")]).toEqual([text, true]);
    expect(parseGrade(text)).toEqual({ winter: "5W", hot: 30 });
  }
  expect(isSameGrade("5W-30", "5W-40")).toBe(false);
});

test("of alternatives one is enough", () => {
  expect(coverage(["C3"], ["C2 / C3"])).toEqual([{ required: "C2 / C3", by: "C3" }]);
});

const coolant = (coolantFamily: CoolantFamily | null) =>
  ({ kind: "coolant", coolantFamily }) as const;
const brake = (brakeType: BrakeType | null) => ({ kind: "brake fluid", brakeType }) as const;

test("coolants of unlike families are refused", () => {
  const answer = mixing(coolant("organic acid"), coolant("conventional"));
  expect(answer).toEqual({ code: "unlike-coolants", one: "organic acid", other: "conventional" });
  expect(isRefused(answer)).toBe(true);
  expect(isRefused(mixing(coolant("hybrid"), coolant("hybrid")))).toBe(false);
});

test("a coolant of unknown family is not judged", () => {
  expect(mixing(coolant(null), coolant("hybrid"))).toEqual({
    code: "not-known",
    of: "coolant family",
  });
});

test.each<[BrakeType, BrakeType, string]>([
  ["4", "4", "mixes"],
  ["5.1", "3", "counts-as"],
  ["5", "4", "ruins-seals"],
  ["5", "5.1", "ruins-seals"],
  ["mineral", "4", "ruins-seals"],
])("brake fluid %s with %s: %s", (one, other, code) => {
  expect(mixing(brake(one), brake(other)).code).toBe(code);
});

test("a mixture of brake fluids counts as the lowest, whichever is put to which", () => {
  expect(mixing(brake("5.1"), brake("4"))).toEqual({ code: "counts-as", brakeType: "4" });
  expect(mixing(brake("3"), brake("5.1"))).toEqual({ code: "counts-as", brakeType: "3" });
});

test("unlike kinds of fluid never mix", () => {
  expect(mixing(coolant("hybrid"), { kind: "engine oil" }).code).toBe("unlike-kinds");
});

test.each<[BrakeType, BrakeType, boolean]>([
  ["5.1", "4", true],
  ["4", "5.1", false],
  ["5", "4", false],
  ["4", "5", false],
  ["mineral", "mineral", true],
])("brake fluid %s serves where %s is required: %s", (fitted, required, serves) => {
  expect(brakeTypeServes(fitted, required)).toBe(serves);
});

test.each([
  ["5W-30", { winter: "5W", hot: 30 }],
  ["10w40", { winter: "10W", hot: 40 }],
  ["SAE 30", { winter: null, hot: 30 }],
  ["75W-90", null],
  ["thick", null],
  ["", null],
])("the grade %s is taken apart", (text, grade) => {
  expect(parseGrade(text)).toEqual(grade);
});

test("each grade serves down to its limit and the margin", () => {
  expect(coldestStart({ winter: "5W", hot: 30 })).toBe(-25);
  expect(coldestStart({ winter: "5W", hot: 30 }, 0)).toBe(-30);
  expect(coldestStart({ winter: null, hot: 30 })).toBeNull();
});

test.each([
  ["5W-30", -24, "serves"],
  ["10W-40", -24, "too-thick"],
  ["5W-30", -25, "serves"],
  ["5W-30", -26, "too-thick"],
  ["SAE 30", -5, "not-known"],
])("%s at a coldest start of %d °C: %s", (grade, coldest, answer) => {
  expect(servesCold(grade, coldest)).toBe(answer);
});
