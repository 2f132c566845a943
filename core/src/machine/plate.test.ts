import type { Capacity, Fluid } from "../book/records/fluid.js";
import type { Machine } from "../book/records/machine.js";
import type { Part } from "../book/records/part.js";
import type { Product } from "../book/records/product.js";
import type { Specification } from "../book/records/specification.js";
import { capacityAnswers } from "../fluid/capacity.js";
import { gradesInTheCold, productCovers, type CoverIssue } from "../fluid/covers.js";
import { mixing } from "../fluid/mixing.js";
import { fittedAnswer, numbersAgree } from "./fitted.js";
import { coldOf, plateFindings } from "./plateFindings.js";
import type { Quantity } from "../quantity/quantity.js";
import type { Unit } from "../quantity/unit.js";

const q = (value: number, unit: Unit = "L"): Quantity => ({ value, unit });
const capacity = (id: string, quantity: Quantity, more: Partial<Capacity> = {}): Capacity => ({
  ...{ id, source: id, condition: "with filter", quantity },
  ...more,
});
const engine = (more: Partial<Fluid> = {}): Fluid =>
  ({ id: "f", machine: "m", system: "engine", kind: "engine oil", ...more }) as Fluid;
const product = (more: Partial<Product> = {}): Product =>
  ({ id: "p", name: "Fellside", kind: "engine oil", ...more }) as Product;

describe("capacities", () => {
  const answer = (...capacities: Capacity[]): ReturnType<typeof capacityAnswers>[number] => {
    const [first] = capacityAnswers(engine({ capacities }));
    if (first === undefined) throw new Error("there is a capacity");
    return first;
  };

  test("sources within 5 % agree, and the first is worked by", () => {
    const found = answer(capacity("handbook", q(5)), capacity("label", q(5.25)));
    expect(found).toMatchObject({ disagrees: false, why: { code: "all-agree" } });
    expect(found.working.id).toBe("handbook");
  });

  test("sources more than 5 % apart disagree, and the least is worked by", () => {
    const found = answer(capacity("handbook", q(5.4)), capacity("label", q(5)));
    expect(found).toMatchObject({ disagrees: true, why: { code: "least" }, looksLike: null });
    expect(found.working.id).toBe("label");
    expect(found.spread).toBeCloseTo(0.08);
  });

  test("they are compared whatever unit each is in", () => {
    const found = answer(capacity("handbook", q(5)), capacity("label", q(5.2834, "us-qt")));
    expect(found.spread).toBeLessThan(0.001);
  });

  test.each([
    [q(6), q(6 * 1.20095), "us-or-imperial"],
    [q(5), q(5 * 1.0567), "quarts-or-litres"],
    [q(5), q(5.3), "quarts-or-litres"],
    [q(5), q(5.6), null],
  ] as const)("a difference may look like a misread unit", (one, other, looksLike) => {
    expect(answer(capacity("a", one), capacity("b", other)).looksLike).toBe(looksLike);
  });

  test("conditions are answered apart", () => {
    const dry = capacity("dry", q(6), { condition: "dry" });
    const answers = capacityAnswers(engine({ capacities: [capacity("a", q(5)), dry] }));
    expect(answers.map((one) => [one.condition, one.why.code])).toEqual([
      ["with filter", "only-one"],
      ["dry", "only-one"],
    ]);
  });

  test("a modified part overrides the others with its reason, and a person's choice all of them", () => {
    const pan = capacity("pan", q(6.4), { isModified: true, note: "deep pan" });
    const capacities = [capacity("handbook", q(5)), pan];
    const [modified] = capacityAnswers(engine({ capacities }));
    expect(modified).toMatchObject({ working: pan, why: { code: "modified", note: "deep pan" } });
    const working = [{ capacity: "handbook", reason: "pan is off again" }];
    const [chosen] = capacityAnswers(engine({ capacities, working }));
    expect(chosen?.working.id).toBe("handbook");
    expect(chosen?.why).toEqual({ code: "chosen", reason: "pan is off again" });
  });

  test("a weight and a volume never agree, as they cannot be compared", () => {
    const refrigerant = [capacity("a", q(0.65, "kg")), capacity("b", q(1, "L"))];
    const [found] = capacityAnswers(engine({ capacities: refrigerant }));
    expect(found).toMatchObject({ disagrees: false, why: { code: "not-comparable" } });
  });
});

describe("what a product covers", () => {
  const codes = (issues: readonly CoverIssue[]): string[] => issues.map((issue) => issue.code);
  const grades = [{ grade: "5W-30" }, { grade: "10W-40", from: -20 }];

  test.each<[string, Product, Fluid, number | null, string[]]>([
    [
      "all of it",
      product({ claims: ["SP"], grade: "5w30" }),
      engine({ codes: ["SN"], grades }),
      -24,
      [],
    ],
    [
      "a missing claim",
      product({ claims: ["SL"] }),
      engine({ codes: ["SN"] }),
      null,
      ["code-not-shown"],
    ],
    ["another kind", product({ kind: "gear oil" }), engine(), null, ["wrong-kind"]],
    [
      "a grade that is not allowed",
      product({ grade: "0W-20" }),
      engine({ grades }),
      null,
      ["grade-not-allowed"],
    ],
    ["a grade that is not on the label", product(), engine({ grades }), null, ["grade-not-known"]],
    [
      "a grade too thick for the cold",
      product({ grade: "10W-40" }),
      engine({ grades }),
      -24,
      ["too-thick"],
    ],
    ["the same where it is warmer", product({ grade: "10W-40" }), engine({ grades }), -10, []],
    [
      "too low a brake fluid",
      product({ kind: "brake fluid", brakeType: "3" }),
      engine({ kind: "brake fluid", brakeType: "4" }),
      null,
      ["brake-type"],
    ],
    [
      "a brake fluid of no known type",
      product({ kind: "brake fluid" }),
      engine({ kind: "brake fluid", brakeType: "4" }),
      null,
      ["brake-type-not-known"],
    ],
    [
      "another coolant",
      product({ kind: "coolant", coolantFamily: "hybrid" }),
      engine({ kind: "coolant", coolantFamily: "organic acid" }),
      null,
      ["coolant-family"],
    ],
  ])("%s", (_name, one, fluid, coldest, expected) => {
    expect(codes(productCovers(one, fluid, { coldest, margin: 5 }).issues)).toEqual(expected);
  });

  test("grades are judged by the handbook's own limit and by the winter grade", () => {
    const cold = gradesInTheCold(engine({ grades: [...grades, { grade: "15W-40", from: -30 }] }), {
      coldest: -24,
      margin: 5,
    });
    // The handbook allows 15W-40 from −30 °C: that decides.
    expect(cold.map((one) => one.cold)).toEqual(["serves", "too-thick", "serves"]);
    const unknown = { coldest: null, margin: 5 };
    expect(gradesInTheCold(engine({ grades }), unknown).map((one) => one.cold)).toEqual([
      "not-known",
      "not-known",
    ]);
  });

  test("what is in already decides what may be put to it", () => {
    const silicone = product({ kind: "brake fluid", brakeType: "5" });
    const glycol = product({ kind: "brake fluid", brakeType: "4" });
    expect(mixing(silicone, glycol).code).toBe("ruins-seals");
  });
});

describe("fitted against specified", () => {
  const part = {
    id: "p",
    name: "Filter",
    number: "F 102",
    equivalents: ["K-77"],
    supersededBy: "F 102A",
  } as Part;
  const specified = (more: Partial<Specification>): Specification =>
    ({ id: "s", machine: "m", group: "battery", name: "Battery", ...more }) as Specification;

  test.each<[string, Partial<Specification>, string]>([
    ["nothing recorded", { text: "H4" }, "not-recorded"],
    [
      "the same but for writing",
      { text: "205/65 R16C", fitted: { text: "205/65R16 C" } },
      "as-specified",
    ],
    ["one of the alternatives", { text: "H4 / H7", fitted: { text: "h7" } }, "as-specified"],
    ["another", { text: "H4", fitted: { text: "H1" } }, "other"],
    ["an equivalent number", { text: "F102", fitted: { text: "K 77" } }, "equivalent"],
    ["the number that superseded it", { text: "F 102", fitted: { text: "F102A" } }, "equivalent"],
    ["too weak", { least: q(70, "Ah"), fitted: { quantity: q(60, "Ah") } }, "below"],
    ["strong enough", { least: q(70, "Ah"), fitted: { quantity: q(70, "Ah") } }, "as-specified"],
    [
      "too wide, in another unit",
      { most: q(0.9, "mm"), fitted: { quantity: q(0.04, "in") } },
      "above",
    ],
    [
      "words where a quantity is due",
      { least: q(70, "Ah"), fitted: { text: "big" } },
      "cannot-compare",
    ],
    [
      "amperes against ampere-hours",
      { least: q(70, "Ah"), fitted: { quantity: q(70, "A") } },
      "cannot-compare",
    ],
    [
      "an override that is met",
      { text: "H4", override: { text: "H9", reason: "lamp conversion" }, fitted: { text: "H9" } },
      "as-specified",
    ],
  ])("%s", (_name, more, expected) => {
    expect(fittedAnswer(specified(more), [part]).code).toBe(expected);
  });

  test("numbers that no part joins do not agree", () => {
    expect(numbersAgree("F 102", "F 103", [part])).toBe(false);
  });

  test("the plate names what does not agree, and keeps quiet about what does", () => {
    const machine = { id: "m", duty: { coldestStart: q(-11, "degF") } } as unknown as Machine;
    const plate = {
      fluids: [
        engine({
          product: "p" as Fluid["product"],
          grades: [{ grade: "10W-40" }],
          capacities: [capacity("a", q(5)), capacity("b", q(6))],
        }),
        engine({
          capacities: [capacity("a", q(5)), capacity("b", q(6))],
          working: [{ capacity: "a", reason: "measured" }],
        }),
      ],
      servicePoints: [],
      specifications: [
        specified({ least: q(70, "Ah"), fitted: { quantity: q(60, "Ah") } }),
        specified({ text: "H4", fitted: { text: "H4" } }),
      ],
      fitments: [],
    };
    const shared = { parts: [], products: [product({ grade: "10W-40" })] };
    const found = plateFindings(machine, plate, shared, coldOf(machine, undefined));
    expect(found.map((one) => one.code)).toEqual([
      "mismatch",
      "product-does-not-cover",
      "capacities-disagree",
    ]);
  });
});
