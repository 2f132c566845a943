import { look, measure, type CheckDraft } from "./draft.js";

/** The age of tyres by the code on their sides. */
export const tyreAge = (points: readonly string[]): CheckDraft =>
  look("Tyre date code", "wheels", "under six years; over ten they go", {
    ...{ points: [...points], sum: "tyre-age", source: "rule of thumb" },
  });

/** Brake fluid by type and water, with a tester. */
export const BRAKE_FLUID_TEST: CheckDraft = measure(
  "Brake fluid: type and water in it",
  "brakes",
  "its own type, under 1.5 % of water",
  {
    ...{ unit: "percent", wears: "up", most: 3, watchMost: 1.5, resolution: 0.5 },
    ...{ sum: "brake-fluid", fluid: "brake fluid", tool: "moisture tester" },
    source: "usual limit of moisture",
    caution: "It eats paint and skin: only from a sealed can, rinsed off at once",
  },
);
