import type { Machine } from "@yonderfell/core";
import { factsProblemWords } from "./factsWords.js";
import {
  modelOfRunningIn,
  runningInOf,
  runningInProblems,
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
  expect(runningInProblems(MODEL)).toEqual([]);
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
  [withStage({ until: "200" }), "stages.1.until", "A stage ends at a figure above 200."],
  [withStage({ until: "far" }), "stages.1.until", "A stage ends at a figure above 200."],
  [withStage({ speed: "slow" }), "stages.1.speed", "A figure above 0, or nothing."],
  [{ ...MODEL, from: "spring" }, "from", "A figure of at least 0, or nothing."],
])("what is wrong is said at its field", (model, field, words) => {
  const problems = runningInProblems(model);
  expect(problems.map((one) => [one.field, factsProblemWords(one)])).toEqual([[field, words]]);
});
