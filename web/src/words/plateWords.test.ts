import {
  capacityAnswers,
  type Capacity,
  type CoverIssue,
  type FittedAnswer,
  type Fluid,
  type MixingAnswer,
  type PlateFinding,
  type Product,
  type Quantity,
  type Specification,
  type Unit,
} from "@yonderfell/core";
import {
  apartWords,
  coverIssueWords,
  findingWords,
  fittedAnswerWords,
  gradeWords,
  isFarApart,
  looksLikeWords,
  mixingWords,
  productWords,
  specifiedWords,
  workingWords,
} from "./plateWords.js";

const plain = (text: string): string => text.replaceAll("\u00a0", " ");
const q = (value: number, unit: Unit = "L"): Quantity => ({ value, unit });
const capacity = (id: string, value: number, more: Partial<Capacity> = {}): Capacity => ({
  ...{ id, source: id, condition: "with filter", quantity: q(value) },
  ...more,
});
const fluidOf = (more: Partial<Fluid>): Fluid =>
  ({ id: "f", machine: "m", system: "engine", kind: "engine oil", ...more }) as Fluid;
const answerOf = (more: Partial<Fluid>): ReturnType<typeof capacityAnswers>[number] => {
  const [answer] = capacityAnswers(fluidOf(more));
  if (answer === undefined) throw new Error("there is a capacity");
  return answer;
};

test.each<[string, Partial<Fluid>, string]>([
  ["one source", { capacities: [capacity("label", 5)] }, "label"],
  [
    "two that agree",
    { capacities: [capacity("label", 5), capacity("dealer", 5.1)] },
    "label; both sources agree",
  ],
  [
    "three that agree",
    { capacities: [capacity("label", 5), capacity("dealer", 5.1), capacity("own", 5)] },
    "label; 3 sources agree",
  ],
  [
    "two that disagree",
    { capacities: [capacity("label", 6), capacity("dealer", 5)] },
    "dealer; the least, as the sources disagree: fill, run, and bring it up to the mark",
  ],
  [
    "a modified part",
    {
      capacities: [
        capacity("handbook", 5),
        capacity("pan maker", 6.4, { isModified: true, note: "deep pan" }),
      ],
    },
    "set by pan maker, which overrides the handbook: deep pan",
  ],
  [
    "a choice",
    {
      capacities: [capacity("label", 5), capacity("dealer", 6)],
      working: [{ capacity: "dealer", reason: "tried" }],
    },
    "chosen: dealer; tried",
  ],
  [
    "a choice without a reason",
    { capacities: [capacity("label", 5)], working: [{ capacity: "label", reason: "" }] },
    "chosen: label",
  ],
])("why a capacity is worked by, with %s", (_name, more, words) => {
  expect(workingWords(answerOf(more))).toBe(words);
});

test("how far a source stands from the figure worked by", () => {
  const five = capacity("a", 5);
  expect(plain(apartWords(capacity("b", 5.4), five))).toBe("8 % above");
  expect(plain(apartWords(capacity("b", 4.75), five))).toBe("5 % below");
  expect(apartWords(capacity("b", 5.01), five)).toBe("the same");
  expect([isFarApart(capacity("b", 5.4), five), isFarApart(capacity("b", 5.2), five)]).toEqual([
    true,
    false,
  ]);
});

test.each([
  [6.005, 5, /US and imperial measure/],
  [5.28, 5, /quarts and litres/],
  [5.6, 5, /^$/],
])("what %d against %d looks like", (one, other, words) => {
  expect(
    looksLikeWords(answerOf({ capacities: [capacity("a", one), capacity("b", other)] })),
  ).toMatch(words);
});

test.each<[CoverIssue, string]>([
  [{ code: "wrong-kind" }, "it is not brake fluid"],
  [{ code: "code-not-shown", required: "HV-204" }, "not shown to meet HV-204"],
  [
    { code: "grade-not-allowed", grade: "0W-20", allowed: ["5W-30"] },
    "0W-20 is not allowed here (5W-30)",
  ],
  [{ code: "grade-not-known", allowed: ["5W-30"] }, "its grade is not recorded (allowed: 5W-30)"],
  [
    { code: "too-thick", grade: "15W-40", coldest: -24 },
    "15W-40 is too thick for starts at −24 °C",
  ],
  [{ code: "brake-type" }, "it does not serve where type 4 is required"],
  [{ code: "brake-type-not-known" }, "its type is not recorded"],
  [{ code: "coolant-family" }, "its family is not hybrid; do not mix, flush"],
  [{ code: "coolant-family-not-known" }, "its family is not recorded; colour proves nothing"],
])("%j is said", (issue, words) => {
  const fluid = fluidOf({ kind: "brake fluid", brakeType: "4", coolantFamily: "hybrid" });
  expect(plain(coverIssueWords(issue, fluid))).toBe(words);
});

test.each<[MixingAnswer, RegExp]>([
  [{ code: "mixes" }, /^mixes with what is in$/],
  [{ code: "counts-as", brakeType: "3" }, /counts as type 3/],
  [
    { code: "unlike-kinds", one: "engine oil", other: "gear oil" },
    /^Refused: gear oil does not go to engine oil/,
  ],
  [
    { code: "unlike-coolants", one: "hybrid", other: "organic acid" },
    /^Refused: .* must not mix; flush first/,
  ],
  [{ code: "ruins-seals", one: "4", other: "5" }, /^Refused: types 5 and 4 .* ruins the seals/],
  [{ code: "not-known", of: "coolant family" }, /coolant family is not recorded/],
])("%j is said", (answer, words) => {
  expect(mixingWords(answer)).toMatch(words);
});

test.each<[number | null, number | null, string]>([
  [null, null, "5W-30"],
  [-25, null, "5W-30 from −25 °C"],
  [null, 30, "5W-30 to 30 °C"],
  [-25, 30, "5W-30 from −25 °C to 30 °C"],
])("a grade from %d to %d", (from, to, words) => {
  expect(plain(gradeWords({ grade: "5W-30", from, to, cold: "serves" }))).toBe(words);
  expect(plain(gradeWords({ grade: "5W-30", from, to, cold: "too-thick" }))).toBe(
    `${words}, too thick for the coldest start here`,
  );
});

const specification = (more: Partial<Specification>): Specification =>
  ({ id: "s", machine: "m", group: "battery", name: "Battery", ...more }) as Specification;

test.each<[Partial<Specification>, string]>([
  [{ text: "H4" }, "H4"],
  [{ least: q(70, "Ah") }, "at least 70 Ah"],
  [{ most: q(0.9, "mm") }, "at most 0.9 mm"],
  [{ least: q(0.8, "mm"), most: q(0.9, "mm") }, "0.8 mm to 0.9 mm"],
  [{ least: q(600, "mm"), most: q(600, "mm") }, "600 mm"],
  [{ text: "AGM", least: q(70, "Ah") }, "AGM, at least 70 Ah"],
  [{ text: "H4", override: { text: "H9", reason: "conversion" } }, "H9"],
])("%j is specified as", (more, words) => {
  expect(plain(specifiedWords(specification(more)))).toBe(words);
});

test.each<[FittedAnswer, string]>([
  [{ code: "as-specified" }, "as specified"],
  [{ code: "equivalent", number: "HD 1" }, "stands for HD 1"],
  [{ code: "below", least: q(1), fitted: q(0) }, "too little"],
  [{ code: "above", most: q(1), fitted: q(2) }, "too much"],
  [{ code: "other", specified: "a", fitted: "b" }, "not what is specified"],
  [{ code: "cannot-compare" }, "cannot be compared"],
  [{ code: "not-recorded" }, "not recorded"],
])("%j is said", (answer, words) => {
  expect(fittedAnswerWords(answer)).toBe(words);
});

const PRODUCT = {
  id: "p",
  name: "Rime Classic",
  kind: "coolant",
  coolantFamily: "conventional",
} as Product;

test.each<[PlateFinding, string, string]>([
  [
    {
      code: "mismatch",
      specification: specification({ least: q(70, "Ah"), fitted: { quantity: q(60, "Ah") } }),
      answer: { code: "below", least: q(70, "Ah"), fitted: q(60, "Ah") },
    },
    "Battery",
    "60 Ah fitted; at least 70 Ah specified",
  ],
  [
    {
      code: "product-does-not-cover",
      fluid: fluidOf({}),
      product: PRODUCT,
      issues: [{ code: "wrong-kind" }],
    },
    "engine, Rime Classic",
    "it is not engine oil",
  ],
  [
    {
      code: "capacities-disagree",
      fluid: fluidOf({}),
      answer: answerOf({ capacities: [capacity("label", 6), capacity("dealer", 5)] }),
    },
    "engine, capacity with filter",
    "sources disagree: label 6 L, dealer 5 L",
  ],
])("a finding says what and why", (finding, what, why) => {
  const words = findingWords(finding);
  expect([words.what, plain(words.why)]).toEqual([what, why]);
});

test("a product is named with what its name does not say", () => {
  expect(productWords(PRODUCT)).toBe("Rime Classic, conventional");
  expect(
    productWords({ ...PRODUCT, name: "Tarn 5W-30", grade: "5W-30", coolantFamily: null }),
  ).toBe("Tarn 5W-30");
  expect(productWords({ ...PRODUCT, coolantFamily: null, brakeType: "5.1" })).toBe(
    "Rime Classic, type 5.1",
  );
});
