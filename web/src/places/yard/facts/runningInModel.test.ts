import type { Machine } from "@yonderfell/core";
import {
  modelOfRunningIn,
  runningInOf,
  runningInProblem,
  type RunningInModel,
} from "./runningInModel.js";

const MACHINE = {
  id: "m",
  meters: [{ id: "odo", measure: "distance", unit: "mi" }],
  runningIn: {
    ...{ meter: "odo", from: 12500, source: "page 14", kept: "as it was" },
    stages: [
      { until: 200, revolutions: 3500, speed: 30, speedUnit: "mph", load: "no hills" },
      { until: 612.5, revolutions: null, speed: null, speedUnit: null, load: null },
    ],
  },
} as unknown as Machine;
const MODEL = modelOfRunningIn(MACHINE);

test("what is read out of the form is what was put in, with what it does not show", () => {
  expect(runningInProblem(MODEL)).toBe("");
  expect(runningInOf(MODEL, MACHINE)).toEqual(MACHINE.runningIn);
});

test("without stages nothing is run in", () => {
  expect(runningInOf({ ...MODEL, stages: [] }, MACHINE)).toBeNull();
  expect(modelOfRunningIn({}).stages).toEqual([]);
});

const withStage = (patch: object): RunningInModel => ({
  ...MODEL,
  stages: MODEL.stages.map((stage, index) => (index === 1 ? { ...stage, ...patch } : stage)),
});

test.each([
  [withStage({ until: "200" }), "Stage 2 of running in ends at a figure above 200."],
  [withStage({ until: "far" }), "Stage 2 of running in ends at a figure above 200."],
  [withStage({ speed: "slow" }), "“slow” in stage 2 is not a figure above 0."],
  [{ ...MODEL, from: "spring" }, "“spring” is not a figure for where running in began."],
])("what is wrong is said with its stage", (model, words) => {
  expect(runningInProblem(model)).toBe(words);
});
