import fc from "fast-check";
import { roundGround } from "../../test/roundGround.js";
import { RECORD_SCHEMAS } from "../book/records/recordSchemas.js";
import type { Specification } from "../book/records/specification.js";
import { dayOf } from "../calendar/dayNumber.js";
import { checklist, look, measure, sound, stop, watch } from "./library/draft.js";
import { checkLimits } from "./checkLimits.js";
import { isAsked, judgeReadings, proposedVerdict, readAgain } from "./judgeCheck.js";
import { CHECKLIST_LIBRARY } from "./library/index.js";
import { openPlaces, placesOf } from "./places.js";
import { dropRound, finishRound, leaveTheRest } from "./roundCommands.js";
import { verdictOf } from "./verdict.js";

const mm = (value: number) => ({ value, unit: "mm" as const });

const LIST = checklist("Trial", [], "monthly", [
  measure("Pads", "brakes", "thick", {
    ...{ unit: "mm", wears: "down", points: ["left", "right"], least: 3, watchLeast: 4.5 },
    ...{ severity: "stop", uncertainty: 0.2, resolution: 0.1, specification: "brake lining" },
  }),
  look("Hose", "brakes", "dry", {
    picks: [sound("dry", "good"), watch("cracked", "it ages", "renew"), stop("wet", "it leaks")],
    separates: { ask: "Near the exhaust?", yes: "heat", no: "age" },
  }),
]);
const [PADS, HOSE] = LIST.checks as [
  NonNullable<typeof LIST.checks>[number],
  NonNullable<typeof LIST.checks>[number],
];

const ground = (specifications: readonly Specification[] = []) => roundGround(LIST, specifications);

describe("the limits of a check", () => {
  const plate = (least: number): Specification =>
    ({ id: "s1", machine: "m", group: "other", name: "Brake lining", least: mm(least) }) as never;

  test("are its own unless the plate of the machine has some, which win and say so", () => {
    expect(checkLimits(PADS, [])).toMatchObject({ least: 3, watchLeast: 4.5, isOfPlate: false });
    const own = checkLimits(PADS, [plate(4)]);
    expect(own).toMatchObject({ least: 4, watchLeast: 4.5, isOfPlate: true });
    expect(own?.source).toBe("the machine's plate");
    // Nothing to watch is left between.
    expect(checkLimits(PADS, [plate(5)])).toMatchObject({ least: 5, watchLeast: null });
  });

  test("of another dimension do not count, and what is only looked at has none", () => {
    const volts = { ...plate(4), least: { value: 4, unit: "V" } } as Specification;
    expect(checkLimits(PADS, [volts])).toMatchObject({ least: 3, isOfPlate: false });
    expect(checkLimits(HOSE, [])).toBeNull();
  });
});

test("a verdict from figures is that of the sum, whatever the unit they are read in", () => {
  const limits = checkLimits(PADS, []);
  if (limits === null) throw new Error("pads are measured");
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0, max: 12, noNaN: true }), { minLength: 1, maxLength: 4 }),
      (values) => {
        const { value, verdict } = verdictOf({
          ...{ readings: values, least: 3, most: null, watchLeast: 4.5, watchMost: null },
          ...{ uncertainty: 0.2, resolution: 0.1, severity: "stop" },
        });
        const judged = judgeReadings(
          limits,
          values.map((one) => ({ value: one / 10, unit: "cm" as const })),
        );
        expect(judged?.value).toBeCloseTo(value, 9);
        const isNear = [3, 4.5].some((limit) => Math.abs(Math.abs(value - limit) - 0.2) < 1e-6);
        if (!isNear) expect(judged?.verdict).toBe(verdict);
      },
    ),
    { numRuns: 500 },
  );
});

test("near a limit it is read again, three times at most", () => {
  const limits = checkLimits(PADS, []);
  if (limits === null) throw new Error("pads are measured");
  const near = [mm(3.1), mm(3)];
  expect(judgeReadings(limits, near)?.verdict).toBe("too close to call");
  expect(readAgain(judgeReadings(limits, near), near)).toBe(true);
  const often = [...near, mm(3.05)];
  expect(readAgain(judgeReadings(limits, often), often)).toBe(false);
  expect(proposedVerdict(PADS, limits, { readings: [mm(2)] })).toBe("stop");
  expect(proposedVerdict(HOSE, null, { picked: "cracked" })).toBe("watch");
  expect(proposedVerdict(HOSE, null, {})).toBeNull();
});

describe("what is told in a round", () => {
  test("keeps the limits it was judged by, one result a place, in the order of the walk", () => {
    const { tell, round } = ground();
    tell({ check: HOSE.id, verdict: "sound" });
    tell({ point: "right", readings: [mm(7)], verdict: "sound" });
    tell({ point: "left", readings: [mm(8)], verdict: "sound" });
    tell({ point: "left", readings: [mm(6)], verdict: "sound" });
    const { results = [] } = round();
    expect(results.map(({ check, point }) => [check, point ?? null])).toEqual([
      [PADS.id, "left"],
      [PADS.id, "right"],
      [HOSE.id, null],
    ]);
    expect(results[0]).toMatchObject({
      readings: [mm(6)],
      judgedBy: { least: 3, watchLeast: 4.5, severity: "stop", unit: "mm" },
    });
    expect(RECORD_SCHEMAS.rounds.safeParse(round()).success).toBe(true);
  });

  test("makes a finding where it is not sound, with evidence, meaning and what to do; told again it is the same finding", () => {
    const { held, tell } = ground();
    tell({ check: HOSE.id, picked: "cracked", verdict: "watch", note: "two of them" });
    expect(held.findings).toHaveLength(1);
    expect(held.findings[0]).toMatchObject({
      ...{ verdict: "watch", decision: "watch", lookOn: "2026-12-30", found: "2026-11-30" },
      ...{ evidence: "cracked; two of them", consequence: "it ages", todo: "renew" },
      ...{ where: "brakes", check: HOSE.id, by: "pe-et" },
    });
    tell({ check: HOSE.id, picked: "wet", verdict: "attend" });
    expect(held.findings).toHaveLength(1);
    expect(held.findings[0]).toMatchObject({
      ...{ verdict: "attend", evidence: "wet; two of them", decision: "next visit" },
    });
    expect(held.findings[0]).not.toHaveProperty("lookOn");
    expect(RECORD_SCHEMAS.findings.safeParse(held.findings[0]).success).toBe(true);
    tell({ check: HOSE.id, picked: "dry", verdict: "sound" });
    expect(held.findings[0]).toMatchObject({ closed: { on: "2026-11-30", by: "pe-et" } });
  });

  test("of a finding that nobody decided yet moves what is decided with the verdict; what a person decided stays, but for a stop", () => {
    const { held, tell, decide } = ground();
    tell({ point: "left", readings: [mm(4.2)], verdict: "watch" });
    expect(held.findings[0]).toMatchObject({ decision: "watch", point: "left" });
    tell({ point: "left", readings: [mm(4.2), mm(3.9)], verdict: "attend" });
    expect(held.findings[0]).toMatchObject({ decision: "next visit" });
    decide({ decision: "declined", reason: "to be sold", decided: "2026-11-30", where: "typed" });
    tell({ point: "left", note: "looked at twice" });
    expect(held.findings).toHaveLength(1);
    expect(held.findings[0]).toMatchObject({ decision: "declined", verdict: "attend" });
    tell({ point: "left", readings: [mm(2)], verdict: "stop" });
    expect(held.findings[0]).toMatchObject({
      ...{ decision: "now", verdict: "stop" },
      decisions: [{ decision: "declined", reason: "to be sold" }],
    });
  });

  test("a decision that a person stands for is not the round's to move, and a stop is nobody's decision", () => {
    const { held, tell, decide } = ground();
    tell({ point: "left", readings: [mm(4.2)], verdict: "watch" });
    decide({ decidedBy: "pe-et" });
    tell({ point: "left", readings: [mm(2.9)], verdict: "attend" });
    expect(held.findings[0]).toMatchObject({ decision: "watch", decidedBy: "pe-et" });
    tell({ point: "left", readings: [mm(2)], verdict: "stop" });
    expect(held.findings[0]).toMatchObject({
      decision: "now",
      decisions: [{ decision: "watch", by: "pe-et" }],
    });
    expect(held.findings[0]).not.toHaveProperty("decidedBy");
  });

  test("of a finding from before keeps its words, with those of this round beside them, once", () => {
    const { held, tell, decide } = ground();
    tell({ check: HOSE.id, verdict: "watch", note: "fine cracks" });
    decide({ round: "n-old" as never, evidence: "fine cracks in June", todo: "both sides" });
    tell({ check: HOSE.id, verdict: "attend", note: "deeper" });
    tell({ check: HOSE.id, verdict: "attend", note: "deeper, and wet" });
    expect(held.findings).toHaveLength(1);
    expect(held.findings[0]).toMatchObject({
      ...{ verdict: "attend", todo: "both sides" },
      evidence: "fine cracks in June; 2026-11-30: deeper, and wet",
    });
  });

  test("is told beside what was told before, and readings one by one are judged together", () => {
    const { round, tell, read } = ground();
    tell({ point: "left", note: "rusty", pictures: [] });
    read("left", 3.1);
    read("left", 3.3);
    const [result] = round().results ?? [];
    expect(result).toMatchObject({ note: "rusty", readings: [mm(3.1), mm(3.3)] });
    expect(result?.verdict).toBe("watch");
    expect(read("middle", 3)).toBe("no-such-check");
    tell({ point: "right", verdict: "could not measure", reason: "seized" });
    read("right", 8);
    expect(round().results?.[1]).toMatchObject({ verdict: "sound", reason: null });
  });

  test("asks what tells two causes apart until it is answered, and the answer is what to suspect", () => {
    const { held, tell, round } = ground();
    tell({ check: HOSE.id, verdict: "watch" });
    expect(isAsked(HOSE, round().results?.[0] ?? null)).toBe(true);
    tell({ check: HOSE.id, answered: "yes" });
    expect(isAsked(HOSE, round().results?.[0] ?? null)).toBe(false);
    expect(held.findings[0]).toMatchObject({ evidence: "Near the exhaust? yes", also: ["heat"] });
    expect(RECORD_SCHEMAS.rounds.safeParse(round()).success).toBe(true);
  });

  test("that says stop takes the machine out of service at once", () => {
    const { held, tell } = ground();
    tell({ point: "left", readings: [mm(2.1)], verdict: "stop" });
    expect(held.machines[0].stops).toMatchObject([
      { since: "2026-11-30", reason: "Pads, left", by: "pe-et" },
    ]);
    expect(held.findings[0]).toMatchObject({ verdict: "stop", decision: "now" });
    expect(held.findings[0]?.evidence).toBe("2.1 mm (least 3)");
    tell({ point: "right", readings: [mm(2)], verdict: "stop" });
    expect(held.machines[0].stops).toHaveLength(1);
    expect(held.findings).toHaveLength(2);
  });

  test("without a look needs a reason, and only what is on the list can be told", () => {
    const { tell } = ground();
    expect(tell({ point: "left", verdict: "left closed" })).toBe("reason-missing");
    expect(tell({ point: "left", verdict: "left closed", reason: "not due" })).toBe("told");
    expect(tell({ point: "middle", verdict: "sound" })).toBe("no-such-check");
    expect(tell({ verdict: "sound" })).toBe("no-such-check");
  });

  test("is not lost with a round that is put down, and what is left closed says why", () => {
    const { held, round, tell, take, context } = ground();
    tell({ point: "left", readings: [mm(6)], verdict: "sound" });
    expect(openPlaces(round(), LIST)).toHaveLength(2);
    const early = finishRound(held, round().id, LIST, { meters: {}, note: "" });
    expect(early).toMatchObject({ ok: false, issues: [{ code: "still-open", count: 2 }] });
    expect(dropRound(held, round().id)).toMatchObject({ ok: false });
    const left = leaveTheRest(held, round().id, LIST, "rain");
    if (!left.ok) throw new Error("the rest can be left");
    take(left.value);
    const done = finishRound(held, round().id, LIST, {
      ...{ meters: { odo: 11252 } as never, note: "" },
    });
    if (!done.ok) throw new Error("it can be finished");
    take(done.value);
    expect(round()).toMatchObject({ finished: true, meters: { odo: 11252 } });
    expect(tell({ point: "left", verdict: "sound" })).toBe("round-finished");
    expect(context.today).toBe(dayOf("2026-11-30"));
  });

  test("whatever is told, each place that is not sound has one open finding, and each other none of this round", () => {
    const verdicts = ["sound", "watch", "attend", "stop", "too close to call"] as const;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat({ max: 2 }), fc.constantFrom(...verdicts)), { maxLength: 25 }),
        (tellings) => {
          const { held, round, tell } = ground();
          const places = placesOf(LIST);
          for (const [at, verdict] of tellings) {
            const { check, point } = places[at] as (typeof places)[number];
            expect(tell({ check: check.id, ...(point === null ? {} : { point }), verdict })).toBe(
              "told",
            );
          }
          for (const { check, point } of places) {
            const result = (round().results ?? []).find(
              (one) => one.check === check.id && (one.point ?? null) === point,
            );
            const isBad = ["watch", "attend", "stop"].includes(result?.verdict ?? "");
            const where = [check.where, point].filter(Boolean).join(", ");
            const open = held.findings.filter(
              (one) => one.check === check.id && one.where === where && !one.closed,
            );
            expect(open.map(({ verdict }) => verdict)).toEqual(isBad ? [result?.verdict] : []);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe("the library", () => {
  test.each(CHECKLIST_LIBRARY.map((one) => [one.name, one] as const))(
    "%s is sound by the book's own schema, and says what good looks like of each check",
    (_, list) => {
      expect(RECORD_SCHEMAS.checklists.safeParse(list).error).toBeUndefined();
      expect((list.checks ?? []).length).toBeGreaterThan(2);
      for (const check of list.checks ?? []) {
        expect(check.good ?? "").not.toBe("");
        expect(check.where ?? "").not.toBe("");
        const limits = checkLimits(check, []);
        const hasLimit = limits !== null && (limits.least ?? limits.most) !== null;
        // A limit says whose it is, and so does one that the plate must give.
        if (limits !== null) expect(check.source ?? check.specification).toBeTruthy();
        if (check.wears && !hasLimit) expect(check.specification).toBeTruthy();
      }
    },
  );

  test("has each list once, and one for every kind of round that is walked", () => {
    const names = CHECKLIST_LIBRARY.map(({ name }) => name);
    expect(new Set(CHECKLIST_LIBRARY.map(({ id }) => id)).size).toBe(names.length);
    expect(names).toEqual(
      expect.arrayContaining([
        ...["Before use, car or van", "After use, tracked machine", "Monthly, bonnet open"],
        ...["First service of a new machine", "Running in", "Wheels off, all round"],
        ...["Milestone inspection", "Before a journey", "Before the season", "After the season"],
        ...["Taking on or buying a machine", "Hours service of an engine on skids"],
        "Lifting gear and others by law",
      ]),
    );
    const monthly = CHECKLIST_LIBRARY.find(({ name }) => name === "Monthly, bonnet open");
    expect(monthly?.checks).toHaveLength(20);
  });
});
