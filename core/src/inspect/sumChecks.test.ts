import fc from "fast-check";
import { roundGround } from "../../test/roundGround.js";
import { RECORD_SCHEMAS } from "../book/records/recordSchemas.js";
import type { Round } from "../book/records/round.js";
import { SUMS } from "../sums/registry.js";
import { checkLimits } from "./checkLimits.js";
import { CHECK_SUMS, figuresBefore, judgeSum, plateFigures, type Figures } from "./judgeSum.js";
import { attend, checklist, look, measure, sound } from "./library/draft.js";
import { resultAt } from "./places.js";
import { sharedCauses, unevenPairs } from "./together.js";

const POINTS = ["front left", "front right"];
const EDGE = "alignment, or worn joints";
const LIST = checklist("Trial", [], "monthly", [
  measure("Tread", "wheels", "even", {
    ...{ unit: "mm", points: POINTS, sum: "tread", least: 1.6, uneven: 1, source: "law" },
  }),
  measure("Battery", "battery", "rested", { unit: "V", sum: "battery", given: { rested: 4 } }),
  look("Tyres", "wheels", "sound", {
    points: POINTS,
    picks: [sound("sound", "good"), attend("worn on one edge", EDGE, "measure it")],
    separates: { ask: "Does it pull?", yes: "a brake that binds", no: "a worn damper" },
  }),
]);
const [TREAD, BATTERY, TYRES] = (LIST.checks ?? []).map(({ id }) => id) as [string, string, string];

const figures = fc.record({
  inner: fc.double({ min: 0, max: 12, noNaN: true }),
  middle: fc.double({ min: 0, max: 12, noNaN: true }),
  outer: fc.double({ min: 0, max: 12, noNaN: true }),
});

test("a check that names a sum has its verdict, and a finding exactly where it is not sound", () => {
  const tread = SUMS.find(({ name }) => name === "tread");
  fc.assert(
    fc.property(figures, (asked) => {
      const { held, ask, round } = roundGround(LIST);
      expect(ask({ point: "front left" }, asked)).toBe("told");
      const found = tread?.ask(asked);
      if (found === undefined || "wrong" in found) throw new Error("it can be asked");
      const { verdict, least } = found.answer as { verdict: string; least: number };
      const [result] = round().results ?? [];
      expect(result).toMatchObject({ verdict, readings: [{ value: least, unit: "mm" }] });
      expect(held.findings.map((one) => one.verdict)).toEqual(verdict === "sound" ? [] : [verdict]);
      expect(RECORD_SCHEMAS.rounds.safeParse(round()).success).toBe(true);
    }),
    { numRuns: 500 },
  );
});

test("each sum that a check may name is one of the book's, and an unknown one judges nothing", () => {
  const names = SUMS.map(({ name }) => name);
  expect(CHECK_SUMS.filter((name) => !names.includes(name))).toEqual([]);
  expect(judgeSum({ sum: "of tomorrow" }, { volts: 12 })).toBeNull();
  expect(judgeSum({ sum: "toString" }, { volts: 12 })).toBeNull();
  expect(judgeSum({}, { volts: 12 })).toBeNull();
});

test.each<readonly [string, Figures, string | null, unknown, string]>([
  ["battery", { volts: 12.3, system: 12, kind: "flooded", rested: 5 }, "watch", 12.3, ""],
  ["tyre-age", { code: "4814", on: "2026-11-30" }, "attend", null, ""],
  ["tread", { inner: 3.4, middle: 4.4, outer: 5 }, "sound", 3.4, "worn inside"],
  [
    "coolant-judge",
    { glycol: "ethylene", freezesAt: -12, coldest: -15 },
    "attend",
    -12,
    "a weak mix",
  ],
  [
    "brake-fluid",
    { required: "4", inside: ["4"], moisture: 2 },
    "watch",
    2,
    "1.5 % of water or more",
  ],
  ["brake-fluid", { required: "4", inside: ["4"] }, null, null, ""],
])("%s %j: %s", (sum, asked, verdict, reading, seen) => {
  const judged = judgeSum({ sum }, asked);
  expect(judged?.verdict).toBe(verdict);
  expect(judged?.reading?.value ?? null).toBe(reading);
  expect(judged?.signs.map((sign) => sign.seen).join()).toBe(seen);
});

test("figures without an answer are refused, and so is a check without a sum", () => {
  const { ask, round } = roundGround(LIST);
  const flat = { volts: 14.4, system: 12, kind: "flooded", rested: 5 };
  expect(ask({ check: BATTERY }, flat)).toBe("no-answer");
  expect(ask({ check: BATTERY }, { volts: "many" })).toBe("no-answer");
  expect(ask({ check: TYRES, point: "front left" }, flat)).toBe("no-such-check");
  expect(round().results).toEqual([]);
});

test("a finding says what its figures show, what that means and what to do", () => {
  const { held, ask } = roundGround(LIST);
  ask({ point: "front left" }, { inner: 1.8, middle: 3, outer: 4 });
  expect(held.findings[0]).toMatchObject({
    ...{ verdict: "attend", consequence: EDGE },
    evidence: "1.8 mm (least 1.6, law); 1.8, 3, 4 mm across; worn inside",
    todo: "feel for play and measure the alignment before new tyres",
  });
});

test("what stays from round to round is known at the next point, and in the next round", () => {
  const [check] = LIST.checks ?? [];
  if (check === undefined) throw new Error("there is a check");
  const told = (id: string, date: string, limit: number): Round =>
    ({
      ...{ id, date, seq: 1, machine: "m", checklist: LIST.id },
      results: [{ check: check.id, point: "front left", figures: { limit, inner: 5 } }],
    }) as unknown as Round;
  const now = { ...told("n", "2026-11-30", 1), results: [] } as Round;
  const earlier = [told("a", "2026-09-01", 2), told("b", "2026-10-01", 3)];
  expect(figuresBefore(check, now, earlier)).toEqual({ limit: 3 });
  expect(figuresBefore(check, told("n", "2026-11-30", 4), earlier)).toEqual({ limit: 4 });
  expect(figuresBefore(check, now, [])).toEqual({});
});

test("what is read beside the reading is told, so that a finding without one says what it stands on", () => {
  const told = (sum: string, asked: Figures): string => judgeSum({ sum }, asked)?.told ?? "";
  expect(told("tyre-age", { code: "4814", on: "2026-11-30" })).toBe("code 4814, 12.0 years");
  expect(told("tyre-age", { code: "129", on: "2026-11-30" })).toBe("code 129");
  expect(told("tread", { middle: 4 })).toBe("");
  expect(told("tread", { inner: 3, outer: 5 })).toBe("3, 5 mm across");
  expect(told("brake-fluid", { required: "4", inside: ["4"], boiling: 150 })).toBe(
    "boils at 150 °C",
  );
});

test("a limit of the machine's own plate goes before what a check gives its sum", () => {
  const [check] = LIST.checks ?? [];
  if (check === undefined) throw new Error("there is a check");
  const named = { ...check, specification: "tread" };
  const plate = { id: "s", machine: "m", name: "Tread", least: { value: 0.3, unit: "cm" } };
  const limits = checkLimits(named, [plate] as never);
  const own = checkLimits(check, []);
  if (limits === null || own === null) throw new Error("it is read");
  expect(plateFigures(named, limits)).toEqual({ limit: 3 });
  expect(plateFigures(named, own)).toEqual({});
  expect(plateFigures({ sum: "battery" }, limits)).toEqual({});
});

test("sides that wear unlike are told apart from sides that wear alike", () => {
  const { ask, round } = roundGround(LIST);
  ask({ point: "front left" }, { middle: 6 });
  ask({ point: "front right" }, { middle: 5 });
  expect(unevenPairs(round(), LIST)).toEqual([]);
  ask({ point: "front right" }, { middle: 4.9 });
  const [pair] = unevenPairs(round(), LIST);
  expect(pair).toMatchObject({ check: { id: TREAD }, points: POINTS });
  expect(pair?.difference).toBeCloseTo(1.1, 9);
});

test("what shares a cause is one, whether a word, a figure or an answer says so", () => {
  const { tell, ask, round } = roundGround(LIST);
  const edge = { check: TYRES, picked: "worn on one edge", verdict: "attend" } as const;
  tell({ ...edge, point: "front left" });
  expect(sharedCauses(round(), LIST)).toEqual([]);
  ask({ point: "front left" }, { inner: 1.8, outer: 4 });
  const [shared] = sharedCauses(round(), LIST);
  expect(shared?.cause).toBe(EDGE);
  expect(shared?.places.map(({ check, point }) => [check.id, point])).toEqual([
    [TREAD, "front left"],
    [TYRES, "front left"],
  ]);
  // Once it is answered, the answer is its cause.
  tell({ check: TYRES, point: "front left", answered: "yes" });
  tell({ ...edge, point: "front right", answered: "yes" });
  expect(sharedCauses(round(), LIST).map(({ cause }) => cause)).toEqual(["a brake that binds"]);
  expect(resultAt(round(), { check: { id: TYRES }, point: "front right" })?.answered).toBe("yes");
});
