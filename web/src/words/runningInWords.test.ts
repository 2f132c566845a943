import type { RunningInStage } from "@yonderfell/core";
import { runningInWords, stageWords } from "./runningInWords.js";

const plain = (words: string): string => words.replaceAll("\u00a0", " ");
const stage = (more: object): RunningInStage => ({ until: 600, ...more });

test.each([
  [
    { revolutions: 3500, speed: 80, speedUnit: "km/h", load: "no towing" },
    "at most 3 500 rpm · at most 80 km/h · no towing",
  ],
  [{ speed: 40, speedUnit: "mph" }, "at most 40 mph"],
  [{}, ""],
])("the limits of %j", (more, words) => {
  expect(plain(stageWords(stage(more)))).toBe(words);
});

test("how far it is, hours to a tenth", () => {
  const state = { stage: stage({}), number: 1, run: 12.5, left: 7.5, end: 50 };
  expect(plain(runningInWords(state, 2, "h"))).toBe(
    "Stage 1 of 2: 12.5 h of 50 h run, 7.5 h left of this stage.",
  );
});
