import { dayOf } from "../../calendar/dayNumber.js";
import { EVERY_DAY, runningDaysOf } from "../../meter/runningDays.js";
import type { MeterId } from "../../book/records/ids.js";
import { everyInterval, everySoMuch } from "../../limit/limit.js";
import type { LimitDue } from "./due.js";
import { graceEnd } from "./kinds.js";

const DAY = dayOf("2026-11-23");
/** A limit that is due, as far as its grace asks about it. */
const byCalendar = (more: object): LimitDue =>
  ({ kind: "calendar", limit: { ...everyInterval({ months: 12 }), ...more } }) as LimitDue;
const byMeter = (more: object, perDay: number | null, running = EVERY_DAY): LimitDue =>
  ({
    kind: "meter",
    limit: { ...everySoMuch("odo" as MeterId, 10_000), ...more },
    reckoning: { rate: { perDay }, running },
  }) as unknown as LimitDue;

test.each([
  [byCalendar({ grace: 10 }), 10],
  [byCalendar({}), null],
  [byCalendar({ grace: 0 }), null],
  [byCalendar({ grace: 10, hard: true }), null],
  [byMeter({ grace: 500 }, 60), 8],
  [byMeter({ grace: 500, hard: true }, 60), null],
  [byMeter({ grace: 500 }, 0), null],
  [byMeter({ grace: 500 }, null), null],
])("the grace of %j lasts so many days", (due, days) => {
  const end = graceEnd(due, DAY);
  expect(end === null ? null : end - DAY).toBe(days);
});

test("days on which the machine is laid up do not run a grace off", () => {
  const running = runningDaysOf([{ from: "2026-11-25", to: "2026-11-30" }]);
  expect(graceEnd(byMeter({ grace: 240 }, 60, running), DAY)).toBe(dayOf("2026-12-03"));
});
