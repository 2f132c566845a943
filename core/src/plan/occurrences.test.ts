import fc from "fast-check";
import { bookOf, done, read, task, VAN, type BookParts } from "../../test/books.js";
import { recordsByMachine, type MachineRecords } from "../book/slice/machineRecords.js";
import { settingsOf } from "../book/records/settings.js";
import { addDays, dayOf, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { hasReached } from "../meter/life.js";
import { machineState } from "../schedule/reckonMachine.js";
import { limitsDue } from "../schedule/limitsDue.js";
import { occurrences } from "./occurrences.js";

const TODAY = dayOf("2026-11-23");
const SETTINGS = settingsOf({});

function recordsOf(parts: BookParts): MachineRecords {
  const records = recordsByMachine(bookOf(parts)).get("van" as never);
  if (records === undefined) throw new Error("no van");
  return records;
}

/** The turns up to a day, as `task date`. */
function turns(parts: BookParts, until: string): string[] {
  const state = machineState(recordsOf(parts), SETTINGS, TODAY);
  return occurrences(state, dayOf(until)).map(({ task: id, day }) => `${id} ${formatDay(day)}`);
}

/** The same found by living through it: each day, whatever has fallen due is done. */
function lived(parts: BookParts, until: DayNumber): string[] {
  const found: string[] = [];
  let entries = [...(parts.entries ?? [])];
  for (let day = TODAY; day <= until; day = addDays(day, 1)) {
    const names = (parts.tasks ?? []).map(({ id }) => String(id));
    for (const name of names) {
      const state = machineState(recordsOf({ ...parts, entries }), SETTINGS, day);
      const own = [...state.tasks.values()].find(({ id }) => id === name);
      if (own === undefined) throw new Error(`no ${name}`);
      const isReached = limitsDue(own, state).some(({ due, ...limit }) => {
        if (due.state !== "set") return false;
        if (limit.kind === "calendar") return due.due <= day;
        return limit.reckoning.life !== null && hasReached(limit.reckoning.life, due.due);
      });
      if (!isReached) continue;
      found.push(`${name} ${formatDay(day)}`);
      entries = [...entries, done(`turn ${found.length}`, formatDay(day), [name])];
    }
  }
  return found;
}

/** A van that runs 50 km a day, with work done a while ago. */
const RUNNING: BookParts = {
  machines: [{ ...VAN, meters: [{ ...VAN.meters[0], perDay: 50 }] }],
  readings: [read("2026-09-14", 1000)],
};

test("the calendar and the meter take turns, whichever is first", () => {
  const parts = {
    ...RUNNING,
    tasks: [task("oil", [{ meter: "odo", every: 5000 }, { months: 2 }])],
  };
  const entries = [done("e", "2026-09-14", ["oil"])];
  expect(turns({ ...parts, entries }, "2027-03-31")).toEqual([
    "oil 2026-11-23",
    "oil 2027-01-23",
    "oil 2027-03-23",
  ]);
});

test("running-in services come once, then the regular ones", () => {
  const tasks = [task("oil", [{ meter: "odo", at: [5000, 6000], every: 10000 }])];
  expect(turns({ ...RUNNING, tasks }, "2027-08-01")).toEqual([
    "oil 2026-12-03",
    "oil 2026-12-23",
    "oil 2027-07-11",
  ]);
});

test("what goes with every second turn, and what follows it, take their turns from it", () => {
  const tasks = [
    task("oil", [{ months: 1 }]),
    { id: "air", machine: "van", name: "air", nth: { of: "oil", every: 2 } },
    { id: "look", machine: "van", name: "look", follows: { task: "oil", days: 3 } },
  ];
  const entries = [done("e", "2026-11-01", ["oil", "air"])];
  expect(turns({ tasks, entries }, "2027-01-10")).toEqual([
    "look 2026-11-23",
    "oil 2026-12-01",
    "look 2026-12-04",
    "oil 2027-01-01",
    "air 2027-01-01",
    "look 2027-01-04",
  ]);
});

test("where all limits must be reached it waits for the last, and without a date there are no turns", () => {
  const last = task("t", [{ days: 30 }, { months: 3 }], { combine: "last" });
  const entries = [done("e", "2026-11-01", ["t"])];
  expect(turns({ tasks: [last], entries }, "2027-06-01")).toEqual(["t 2027-02-01", "t 2027-05-01"]);
  const standing = [task("t", [{ meter: "odo", every: 100 }])];
  expect(turns({ tasks: standing, readings: [read("2026-11-01", 50)] }, "2030-01-01")).toEqual([]);
  expect(turns({ tasks: [task("t", [])] }, "2030-01-01")).toEqual([]);
});

test("a machine that is laid up has no turns by its meter meanwhile", () => {
  const machines = [{ ...RUNNING.machines?.[0], laidUp: [{ months: [12, 1, 2] }] }];
  const tasks = [task("t", [{ meter: "odo", every: 1000 }])];
  const entries = [done("e", "2026-11-20", ["t"])];
  expect(turns({ ...RUNNING, machines, tasks, entries }, "2027-03-31")).toEqual([
    "t 2027-03-10",
    "t 2027-03-30",
  ]);
});

test("looking ahead finds what living through it finds", () => {
  const limit = fc.oneof(
    fc.record({ days: fc.integer({ min: 5, max: 90 }) }),
    fc.record({ months: fc.integer({ min: 1, max: 4 }) }),
    fc.record({ meter: fc.constant("odo"), every: fc.integer({ min: 300, max: 6000 }) }),
  );
  const scenario = fc.record({
    base: fc.array(limit, { minLength: 1, maxLength: 2 }),
    other: fc.array(limit, { minLength: 1, maxLength: 2 }),
    anchor: fc.constantFrom("done", "grid"),
    every: fc.integer({ min: 1, max: 3 }),
    days: fc.integer({ min: 2, max: 9 }),
    doneOn: fc.integer({ min: 1, max: 60 }),
  });
  fc.assert(
    fc.property(scenario, ({ base, other, anchor, every, days, doneOn }) => {
      const parts = {
        ...RUNNING,
        tasks: [
          task("base", base),
          task("other", other, { anchor: anchor }),
          { id: "nth", machine: "van", name: "nth", nth: { of: "base", every } },
          { id: "after", machine: "van", name: "after", follows: { task: "base", days } },
        ],
        entries: [
          done("e", formatDay(addDays(TODAY, -doneOn)), ["base", "nth"]),
          done("o", formatDay(addDays(TODAY, -doneOn)), ["other"]),
        ],
      };
      const until = addDays(TODAY, 100);
      const expected = lived(parts, until).sort();
      expect(turns(parts, formatDay(until)).sort()).toEqual(expected);
    }),
    { numRuns: 40, seed: 6 },
  );
});
