import { dayOf } from "../calendar/dayNumber.js";
import { EVERY_DAY, runningDaysOf } from "../meter/runningDays.js";
import { graceEnd } from "./graceEnd.js";
import type { Limit } from "../book/limitKind.js";

const DAY = dayOf("2026-11-23");
const limit = (more: object): Limit => ({ months: 12, ...more });
const meter = (perDay: number | null, running = EVERY_DAY): never =>
  ({ rate: { perDay }, running }) as never;

test.each([
  [limit({ grace: 10 }), null, 10],
  [limit({}), null, null],
  [limit({ grace: 0 }), null, null],
  [limit({ grace: 10, hard: true }), null, null],
  [limit({ grace: 500 }), meter(60), 8],
  [limit({ grace: 500 }), meter(0), null],
  [limit({ grace: 500 }), meter(null), null],
])("the grace of %j lasts so many days", (one, reckoning, days) => {
  const end = graceEnd(one, DAY, reckoning);
  expect(end === null ? null : end - DAY).toBe(days);
});

test("days on which the machine is laid up do not run a grace off", () => {
  const running = runningDaysOf([{ from: "2026-11-25", to: "2026-11-30" }]);
  expect(graceEnd(limit({ grace: 240 }), DAY, meter(60, running))).toBe(dayOf("2026-12-03"));
});
