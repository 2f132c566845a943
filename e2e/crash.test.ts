import { killTrial, type Moment } from "./kills.js";
import { POURS } from "./pours.js";
import { READINGS } from "./readings.js";

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

test("no tap of a running job that was shown is lost when the browser is killed, and none counts twice", async () => {
  const moments: readonly Moment[] = ["pressed", { afterMs: 20 }, "said to be saved"];
  const { made, story, ...wrong } = await killTrial(moments, POURS);
  expect({ ...wrong, story }).toMatchObject({ lost: [], doubled: [], faults: [] });
  expect(made).toBe(2 * moments.length);
  expect(wrong.saved).toBeGreaterThan(moments.length);
}, 300_000);

test("no reading of a round under way that was shown is lost when the browser is killed, and none counts twice", async () => {
  const moments: readonly Moment[] = ["pressed", { afterMs: 20 }, "said to be saved"];
  const { made, story, ...wrong } = await killTrial(moments, READINGS);
  expect({ ...wrong, story }).toMatchObject({ lost: [], doubled: [], faults: [] });
  expect(made).toBe(2 * moments.length);
  expect(wrong.saved).toBeGreaterThan(moments.length);
}, 300_000);
