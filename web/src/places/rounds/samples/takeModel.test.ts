import { dayOf, machineBookOf, settingsOf, type MachineId, type Sample } from "@yonderfell/core";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import {
  livesOf,
  modelOfSample,
  newSample,
  sampleOf,
  takeProblems,
  takeProblemWords,
  type TakeAround,
  type TakeModel,
} from "./takeModel.js";

const ID = "m-carrier" as MachineId;
const book = machineBookOf(BOOK, ID);
if (book === null) throw new Error("no carrier");
const own = <Row extends { readonly machine: string }>(rows: readonly Row[] | undefined): Row[] =>
  (rows ?? []).filter(({ machine }) => machine === ID);
const SAMPLES = own(BOOK.samples);
const AROUND: TakeAround = {
  ...{ book, settings: settingsOf(BOOK), fluids: own(BOOK.fluids), samples: SAMPLES },
  ...{ today: TODAY, corrects: null },
};

test("a new sample has a label that none bears, the lives of machine and oil, and the laboratory of the last", () => {
  const model = newSample(AROUND, "f-carr-oil");
  expect(SAMPLES.map(({ label }) => label)).not.toContain(model.label);
  expect(model).toMatchObject({ fluid: "f-carr-oil", date: "2026-11-23" });
  expect(model.lab).toBe(SAMPLES.at(-1)?.lab);
  expect(Number(model.life)).toBeGreaterThan(3000);
  expect(Number(model.oilLife)).toBeLessThan(100);
  // Another system has run for longer.
  const hydraulics = livesOf(AROUND, "f-carr-hyd", TODAY);
  expect(hydraulics.life).toBe(model.life);
  expect(Number(hydraulics.oilLife)).toBeGreaterThan(Number(model.oilLife));
  expect(livesOf(AROUND, "", TODAY)).toEqual({ life: "", oilLife: "" });
});

test("a label of a machine whose samples were struck out is not given twice", () => {
  const [first, second] = SAMPLES as [Sample, Sample];
  const samples = [{ ...first, label: "25/2" }, second];
  expect(newSample({ ...AROUND, samples: samples.slice(0, 1) }, "").label).toBe("25/3");
});

const RIGHT = newSample(AROUND, "f-carr-oil");

test.each<[string, Partial<TakeModel>, RegExp]>([
  ["no fluid", { fluid: "" }, /Choose which fluid/],
  ["no label", { label: " " }, /Give the bottle a label/],
  ["a label that is taken", { label: "25/1" }, /Another sample/],
  ["a day to come", { date: "2026-11-24" }, /today or earlier/],
  ["no day", { date: "" }, /today or earlier/],
  ["a life that is none", { oilLife: "long" }, /no figure/],
  ["a life below nothing", { life: "-4" }, /no figure/],
])("a sample with %s is answered", (_, patch, words) => {
  const problems = takeProblems({ ...RIGHT, ...patch }, AROUND);
  expect(problems.map(takeProblemWords).join()).toMatch(words);
});

test("lives may be left open; what is typed is kept as it is", () => {
  const model = { ...RIGHT, life: "", oilLife: "12,5", note: " cold " };
  expect(takeProblems(model, AROUND)).toEqual([]);
  expect(sampleOf(model, AROUND)).toMatchObject({
    ...{ life: null, oilLife: 12.5, meter: "hrs", note: "cold" },
  });
});

test("a sample that is corrected comes out of the form as it went in, and may keep its label", () => {
  const [first] = SAMPLES as [Sample];
  const around = { ...AROUND, corrects: first };
  const model = modelOfSample(first);
  expect(takeProblems(model, around)).toEqual([]);
  const { fluid, date, label, life, oilLife, meter, product, lab } = first;
  expect(sampleOf(model, around)).toMatchObject({
    ...{ fluid, date, label, life, oilLife, meter, product, lab },
  });
  expect(dayOf(date)).toBeLessThan(TODAY);
});
