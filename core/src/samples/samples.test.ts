import { seededRandom } from "@yonderfell/demo/random";
import { bookOf, done, read, task, VAN } from "../../test/books.js";
import type { Machine } from "../book/records/machine.js";
import type { Sample } from "../book/records/sample.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { FluidId, MachineId, MeterId } from "../book/records/ids.js";
import { dayOf } from "../calendar/dayNumber.js";
import { SAMPLE } from "../inspect/sample.js";
import { withInterval } from "../schedule/takenInterval.js";
import { intervalChanges } from "./advice.js";
import { readFigure, WEAR_METALS } from "./figures.js";
import { judgeSamples, samplesOf } from "./judgeSample.js";
import { labReportSchema, readAnswer, type LabAnswer } from "./labAnswer.js";
import { oilLifeOn } from "./oilLife.js";
import {
  correctSample,
  keepAnswer,
  leaveAnswer,
  noteSample,
  sendSample,
  strikeSample,
  takeSample,
  type SampleTaken,
} from "./sampleCommands.js";

const MACHINE = VAN as unknown as Machine;
const SETTINGS = { dueWithinDays: 7, leadDays: 30, staleAfterDays: 45 };
const OIL = "f-oil" as FluidId;
const ODO = "odo" as MeterId;
const TODAY = dayOf("2026-06-01");

let count = 0;
const context = {
  today: TODAY,
  newId: () => `new-${(count += 1)}`,
  nextSeq: () => 1000 + (count += 1),
};

const sampled = (id: string, date: string, values: object, more: object = {}): Sample =>
  ({
    ...{ id, seq: dayOf(date), machine: "van", fluid: OIL, date, label: id, meter: "odo" },
    ...{ oilLife: 10_000, result: { on: date, values, ...more } },
  }) as unknown as Sample;

const SAMPLES = [
  sampled("s-1", "2024-01-10", { iron: 20, silicon: 5 }),
  sampled("s-2", "2024-07-10", { iron: 22, silicon: 6 }),
  sampled("s-3", "2025-01-10", { iron: 21, silicon: 5 }),
  sampled("s-4", "2025-07-10", { iron: 19, silicon: 6 }),
  sampled("s-5", "2026-01-10", { iron: 20, silicon: 5 }),
];

test("a sample is judged against the machine's own earlier ones, by hundred of its oil's life", () => {
  const found = judgeSamples([...SAMPLES, sampled("s-6", "2026-05-10", { iron: 60 })], MACHINE);
  const last = found.at(-1);
  expect(last).toMatchObject({ advice: "shorten", earlier: 5 });
  // 10 000 km are a hundred hundreds of kilometres.
  expect(last?.each[0]).toMatchObject({ name: "iron", rate: 60, median: 20, verdict: "watch" });
  expect(found[0]?.each[0]).toMatchObject({ median: null, verdict: "sound" });
});

test("what is not answered, or whose oil's life is not known, says nothing", () => {
  const [first] = SAMPLES as [Sample];
  const waiting = { ...first, id: "w", result: null } as unknown as Sample;
  const unknown = { ...first, id: "u", oilLife: null } as unknown as Sample;
  expect(judgeSamples([waiting, unknown], MACHINE)).toEqual([]);
});

test("the answer is that of the sum, for random samples", () => {
  const draw = seededRandom(11);
  const names = [...WEAR_METALS, "silicon", "water", "viscosity", "base number"];
  for (let run = 0; run < 200; run += 1) {
    const own = Array.from({ length: 1 + Math.floor(draw() * 9) }, (_, at) => {
      const values = Object.fromEntries(
        names.filter(() => draw() < 0.6).map((name) => [name, Math.round(draw() * 100)]),
      );
      const limits = draw() < 0.5 ? { limits: { iron: { watch: 70, stop: 90 } } } : {};
      return sampled(`r-${at}`, `20${10 + at}-01-01`, values, limits);
    });
    const judged = judgeSamples(own, MACHINE);
    own.forEach((sample, at) => {
      const asked = SAMPLE.ask({
        ...{ oilLife: 100, values: sample.result?.values },
        wear: WEAR_METALS.filter((name) => name in (sample.result?.values ?? {})),
        earlier: own.slice(0, at).map((one) => ({ oilLife: 100, values: one.result?.values })),
        ...(sample.result?.limits ? { limits: sample.result.limits } : {}),
      });
      const { each, advice } = judged[at] ?? {};
      expect({ answer: { each, advice } }).toEqual(asked);
    });
  }
});

test("the samples of a system are those that stand, the oldest first", () => {
  const [first, second] = SAMPLES as [Sample, Sample];
  const corrected = { ...first, id: "s-1b", seq: 9e6, replaces: "s-1" } as unknown as Sample;
  const other = { ...second, id: "x", fluid: "f-gear" } as unknown as Sample;
  const found = samplesOf([second, other, first, corrected], OIL);
  expect(found.map(({ id }) => id)).toEqual(["s-1b", "s-2"]);
});

test.each<[string, number, string, unknown]>([
  ["iron", 31, "mg/kg", { name: "iron", value: 31, isConverted: false }],
  ["Water", 1200, "ppm", { name: "water", value: 0.12, isConverted: true }],
  ["copper", 0.002, "%", { name: "copper", value: 20, isConverted: true }],
  ["viscosity", 14.2, "cSt", { name: "viscosity", value: 14.2, isConverted: false }],
  ["viscosity", 75, "SUS", null],
  ["molybdenum", 40, "ppm", { name: "molybdenum", value: 40, isConverted: false }],
])("%s %d %s is read as %j", (name, value, unit, expected) => {
  expect(readFigure({ name, value, unit })).toEqual(expected);
});

const ANSWER: LabAnswer = {
  ...{ number: 1, on: "2026-05-20", remarks: "Normal." },
  figures: [
    { name: "iron", value: 31, unit: "ppm" },
    { name: "water", value: 1200, unit: "ppm" },
    { name: "viscosity", value: 75, unit: "SUS" },
  ],
  limits: { Iron: { watch: 100, stop: 150, said: "by us" } },
};

test("an answer is kept with its limits; another unit, one that is none, another label and a second answer are each asked about", () => {
  const [sample] = SAMPLES as [Sample];
  const { result, doubts } = readAnswer(sample, "s-9", ANSWER);
  expect(result).toEqual({
    ...{ on: "2026-05-20", answer: 1, remarks: "Normal." },
    values: { iron: 31, water: 0.12 },
    limits: { iron: { watch: 100, stop: 150 } },
  });
  expect(doubts.map(({ code }) => code)).toEqual([
    ...["other-label", "answered-before", "other-unit", "unknown-unit"],
  ]);
  const awaited = { ...sample, result: null };
  expect(readAnswer(awaited, "s-1", { ...ANSWER, figures: [] }).doubts).toEqual([]);
});

test("what a laboratory sends that is none of its reports is refused", () => {
  const report = {
    ...{ label: "1", laboratory: "Corrie", simulated: true, promised: "2026-05-01T08:00:00Z" },
    answers: [ANSWER],
  };
  expect(labReportSchema.safeParse(report).success).toBe(true);
  const many = { ...report, answers: [{ ...ANSWER, number: 0 }] };
  expect(labReportSchema.safeParse(many).success).toBe(false);
});

const TAKEN = { fluid: OIL, date: "2026-05-10", label: "01/3", oilLife: 9000 } as SampleTaken;
const slice = (samples: readonly Sample[]) => ({
  machines: [MACHINE] as const,
  samples,
  fluids: [{ id: OIL, machine: VAN.id, name: "Engine oil" }] as never,
});

test.each<[Partial<SampleTaken>, string]>([
  [{ label: " " }, "label-missing"],
  [{ label: "s-1" }, "label-taken"],
  [{ date: "2026-06-02" }, "taken-later"],
  [{ fluid: "f-none" as FluidId }, "fluid-missing"],
])("a sample with %j is refused: %s", (patch, code) => {
  const made = takeSample(slice(SAMPLES), { ...TAKEN, ...patch }, context);
  expect(made).toMatchObject({ ok: false, issues: [{ code }] });
});

const POSTED = { lab: "Corrie", online: false };

/** What a command leaves of the samples. */
function after(samples: readonly Sample[], made: ReturnType<typeof takeSample>): Sample[] {
  if (!made.ok) throw new Error(JSON.stringify(made.issues));
  const [record] = made.value.records;
  const put = record?.after as unknown as Sample;
  return [...samples.filter(({ id }) => id !== put.id), put];
}

test("a sample is taken, sent and answered; a second answer never takes the place of the first by itself", () => {
  let held = after([], takeSample(slice([]), TAKEN, context));
  const id = held[0]?.id ?? "";
  held = after(held, sendSample(slice(held), id, POSTED, context));
  expect(held[0]).toMatchObject({ sent: "2026-06-01", lab: "Corrie", label: "01/3" });
  const result = { on: "2026-05-20", values: { iron: 31 }, answer: 1 };
  held = after(held, keepAnswer(slice(held), id, result, false, context));
  const again = { ...result, values: { iron: 44 }, answer: 2 };
  const refused = keepAnswer(slice(held), id, again, false, context);
  expect(refused).toMatchObject({ ok: false, issues: [{ code: "answered-before" }] });
  const left = after(held, leaveAnswer(slice(held), id, 2));
  expect(left[0]?.result).toMatchObject({ values: { iron: 31 }, seen: 2 });
  held = after(held, keepAnswer(slice(held), id, again, true, context));
  expect(held).toHaveLength(2);
  const [standing] = samplesOf(held, OIL);
  expect(standing).toMatchObject({ replaces: id, result: { values: { iron: 44 }, seen: 2 } });
  held = after(held, strikeSample(slice(held), standing?.id ?? "", "spilled", context));
  expect(samplesOf(held, OIL)).toEqual([]);
  const gone = sendSample(slice(held), id, POSTED, context);
  expect(gone).toMatchObject({ ok: false, issues: [{ code: "sample-missing" }] });
});

test("a sample that was written wrong is corrected, and keeps what was answered", () => {
  const made = correctSample(slice(SAMPLES), "s-1", { ...TAKEN, label: "s-1" }, context);
  const [standing] = samplesOf(after(SAMPLES, made), OIL).toReversed();
  expect(standing).toMatchObject({ replaces: "s-1", oilLife: 9000, date: "2026-05-10" });
  expect(standing?.result).toEqual(SAMPLES[0]?.result);
  const taken = correctSample(slice(SAMPLES), "s-1", { ...TAKEN, label: "s-2" }, context);
  expect(taken).toMatchObject({ ok: false, issues: [{ code: "label-taken" }] });
  const gone = correctSample(slice([]), "s-1", TAKEN, context);
  expect(gone).toMatchObject({ ok: false, issues: [{ code: "sample-missing" }] });
});

test("the oil's life runs from the work that renewed it, not from a top-up", () => {
  const change = task("oil", [{ months: 12 }], { uses: [{ fluid: OIL }] });
  const topUp = done("e-2", "2026-04-01", [], { isTopUp: true });
  const book = bookOf({
    ...{ machines: [VAN], tasks: [change] },
    entries: [done("e-1", "2026-02-01", ["oil"], { meters: { odo: 2000 } }), topUp],
    readings: [read("2026-01-01", 1000), read("2026-06-01", 3300)],
  });
  const own = machineBookOf(book, "van" as MachineId);
  if (own === null) throw new Error("there is a van");
  const found = oilLifeOn(own, OIL, SETTINGS, TODAY);
  expect(found).toMatchObject({ meter: "odo", life: 3300 });
  expect(found?.oilLife).toBeCloseTo(1300, 6);
  // On the day of the change itself the old oil is in the bottle.
  expect(oilLifeOn(own, OIL, SETTINGS, dayOf("2026-02-01"))?.oilLife).toBeNull();
  expect(oilLifeOn(own, "f-gear" as FluidId, SETTINGS, TODAY)?.oilLife).toBeNull();
});

test("advice changes an interval by a fifth, up to the handbook's figure first, and says where it goes past it", () => {
  const own = (every: number, handbook = 20_000) =>
    ({
      ...{ id: "t", machine: "van", name: "Engine oil", uses: [{ fluid: OIL }] },
      regimes: {
        handbook: [{ meter: "odo", every: handbook }],
        cautious: [{ meter: "odo", every }],
      },
      regime: "cautious",
    }) as never;
  const change = (advice: "shorten" | "extend" | "keep", every: number) =>
    intervalChanges(advice, { fluid: OIL, meter: ODO }, [own(every)], MACHINE)[0];
  expect(change("shorten", 10_000)).toMatchObject({ from: 10_000, to: 8000, isPast: false });
  expect(change("extend", 10_000)).toMatchObject({ to: 12_000, maker: 20_000, isPast: false });
  expect(change("extend", 18_000)).toMatchObject({ to: 20_000, isPast: false });
  expect(change("extend", 20_000)).toMatchObject({ to: 24_000, isPast: true });
  expect(change("keep", 10_000)).toBeUndefined();
  const found = change("shorten", 10_000);
  if (found === undefined) throw new Error("it is shortened");
  const after = withInterval(found, MACHINE, "sample 01/3", "by sample");
  expect(after).toMatchObject({ regime: "measured", regimeReason: "sample 01/3" });
  expect(after.regimes).toEqual({
    handbook: [{ meter: "odo", every: 20_000 }],
    cautious: [{ meter: "odo", every: 10_000 }],
    measured: [{ meter: "odo", every: 8000 }],
  });
});

test("limits of a school named measured that says something else are not written over", () => {
  const own = {
    ...{ id: "t", machine: "van", name: "Engine oil", uses: [{ fluid: OIL }], regime: "cautious" },
    regimes: {
      cautious: [{ meter: "odo", every: 10_000 }],
      measured: [{ meter: "odo", every: 18_000 }],
    },
  } as never;
  const [change] = intervalChanges("shorten", { fluid: OIL, meter: ODO }, [own], MACHINE);
  if (change === undefined) throw new Error("it is shortened");
  const once = withInterval(change, MACHINE, "sample 01/3", "by sample");
  expect(once).toMatchObject({ regime: "by sample" });
  expect(once.regimes).toMatchObject({
    ...{
      measured: [{ meter: "odo", every: 18_000 }],
      "by sample": [{ meter: "odo", every: 8000 }],
    },
  });
  const [again] = intervalChanges("shorten", { fluid: OIL, meter: ODO }, [once], MACHINE);
  expect(again).toMatchObject({ from: 8000, to: 6400 });
});

test("what a sample found is noted as a finding with the worst of its verdicts; one that is all sound is not", () => {
  const found = judgeSamples([...SAMPLES, sampled("s-6", "2026-05-10", { iron: 60 })], MACHINE);
  const last = found.at(-1);
  const [first] = found;
  if (last === undefined || first === undefined) throw new Error("they are judged");
  const on = { machines: [MACHINE] as const, findings: [] };
  const made = noteSample(on, last, "engine", context);
  if (!made.ok) throw new Error("it is noted");
  expect(made.value.records[0]?.after).toMatchObject({
    ...{ verdict: "watch", decision: "next visit", where: "engine" },
    evidence: "sample s-6: iron 60 ppm",
  });
  const sound = noteSample(on, first, "engine", context);
  expect(sound).toMatchObject({ ok: false, issues: [{ code: "nothing-found" }] });
});
