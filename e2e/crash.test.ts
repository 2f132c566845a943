import { killTrial, type Moment } from "./kills.js";

/** Before, within and after the save; thirty kills at random moments are part of the bench. */
const MOMENTS: readonly Moment[] = [
  "pressed",
  { afterMs: 0 },
  { afterMs: 30 },
  { afterMs: 80 },
  "said to be saved",
];

test("whatever was said to be saved is there after the browser was killed, and the book is sound", async () => {
  const { made, saved, story, ...wrong } = await killTrial(MOMENTS);
  expect({ ...wrong, story }).toEqual({ lost: [], doubled: [], faults: [], story });
  expect(made).toBe(2 * MOMENTS.length);
  // One change a round is waited for, and one more at the last kill; the first kill comes before its save can end.
  expect(saved).toBeGreaterThan(MOMENTS.length);
  expect(saved).toBeLessThan(made);
}, 300_000);
