import fc from "fast-check";
import { machineBookOf } from "../../book/slice/machineBook.js";
import { EMPTY_PLATE, type MachinePlate } from "../../book/slice/machinePlate.js";
import { recordsByMachine } from "../../book/slice/machineRecords.js";
import type { Journey } from "../../book/records/journey.js";
import { DEFAULT_PLANNING, settingsOf, type Planning } from "../../book/records/settings.js";
import type { Visit } from "../../book/records/visit.js";
import { addDays, dayOf, formatDay } from "../../calendar/dayNumber.js";
import { machineState } from "../../schedule/reckonMachine.js";
import { bookOf, done, read, task, VAN, type BookParts } from "../../../test/books.js";
import { inDays, TODAY, visit } from "../../../test/plans.js";
import type { JourneyTask } from "./journeyTasks.js";
import { planJourney, type JourneyPlan } from "./planJourney.js";

/** 14 150 km today, at 50 km a day. */
const READINGS = [read("2026-09-01", 10000), read("2026-11-23", 14150)];
/** Ten days on the road, 2 000 km, from Thursday 3 December. */
const JOURNEY = { id: "j", machine: "van", name: "Fair", date: "2026-12-03", days: 10 };
const FAR = { ...JOURNEY, meter: "odo", amount: 2000 };

interface Asked {
  readonly parts: BookParts;
  readonly journey?: object;
  readonly visits?: readonly Visit[];
  readonly planning?: Partial<Planning>;
  readonly chosen?: string;
  readonly plate?: Partial<MachinePlate>;
}

function plan({ parts, journey = FAR, visits = [], planning, chosen, plate }: Asked): JourneyPlan {
  const book = machineBookOf(bookOf({ readings: READINGS, ...parts }), "van" as never);
  const records = book === null ? undefined : recordsByMachine(book).get("van" as never);
  if (records === undefined) throw new Error("no van");
  const settings = settingsOf({});
  const needs = { plate: { ...EMPTY_PLATE, ...plate }, parts: [], products: [], rate: null };
  return planJourney(
    journey as unknown as Journey,
    machineState(records, settings, TODAY),
    visits,
    { settings, planning: { ...DEFAULT_PLANNING, ...planning }, needs },
    chosen === undefined ? null : dayOf(chosen),
  );
}

/** Oil last changed at so many km, on the day the van came to them at 50 km a day. */
function oil(lastAt: number, limit: object = {}): BookParts {
  const on = formatDay(addDays(TODAY, -Math.round((14150 - lastAt) / 50)));
  return {
    tasks: [task("oil", [{ meter: "odo", every: 10000, ...limit }])],
    entries: [done("e1", on, ["oil"], { meters: { odo: lastAt } })],
  };
}

function only(asked: Asked): JourneyTask {
  const { tasks } = plan(asked);
  expect(tasks).toHaveLength(1);
  return tasks[0] as JourneyTask;
}

describe("how far it runs", () => {
  test("as the journey says, and until departure at its usual pace", () => {
    const [run] = plan({ parts: {} }).runs;
    expect(run).toMatchObject({ amount: 2000, source: "given" });
    // Ten days to departure at 50 km.
    expect(run?.lifeAtStart).toBeCloseTo(14650, 6);
    expect(run?.lifeAtReturn).toBeCloseTo(16650, 6);
  });

  test("at its usual pace where nothing is said", () => {
    const [run] = plan({ parts: {}, journey: JOURNEY }).runs;
    expect(run?.source).toBe("usual-pace");
    expect(run?.amount).toBeCloseTo(500, 6);
  });

  test("another meter in the proportion in which the two run", () => {
    const hours = { id: "hrs", measure: "hours", unit: "h", perDay: 2 };
    const machines = [{ ...VAN, meters: [...VAN.meters, hours] }];
    const [, run] = plan({ parts: { machines } }).runs;
    expect(run?.source).toBe("by-other-meter");
    expect(run?.amount).toBeCloseTo(80, 6);
    expect(run?.lifeAtStart).toBeNull();
  });

  test("of a journey under way only what is left of it", () => {
    const { days, runs } = plan({ parts: {}, journey: { ...FAR, date: inDays(-5) } });
    expect(days.shareLeft).toBe(0.5);
    expect(runs[0]?.amount).toBe(1000);
    expect(runs[0]?.lifeAtStart).toBe(14150);
  });

  test("nothing is asked of a journey that is over", () => {
    const over = plan({ parts: oil(3000), journey: { ...FAR, date: inDays(-30) } });
    expect([over.tasks, over.issues]).toEqual([[], []]);
  });
});

describe("what falls due", () => {
  test("on the way, on the day it is come to at an even pace", () => {
    const found = only({ parts: oil(5650) });
    // Due at 15 650 km: 1 000 of the 2 000 km, on the fifth of the ten days.
    expect(found.when).toBe("during");
    expect(formatDay(found.day)).toBe("2026-12-07");
    expect(found.limit.overAtReturn).toBeCloseTo(1000, 6);
  });

  test("before departure where the board has it before, and not where it reaches beyond", () => {
    // Due about 27 November, and on the first days of December.
    expect(only({ parts: oil(4300) })).toMatchObject({ when: "before", advice: "anyway" });
    expect(only({ parts: oil(4600) })).toMatchObject({ when: "before", advice: "before" });
    expect(plan({ parts: oil(8000) }).tasks).toEqual([]);
  });

  test("perhaps, where it comes to it only if it runs faster than usual until then", () => {
    const found = only({ parts: oil(6800) });
    expect(found).toMatchObject({ when: "perhaps", advice: "wait", waiting: 0 });
  });

  test("by date up to the day of return", () => {
    const dated = (date: string): BookParts => ({
      tasks: [task("wash", [{ months: 3 }])],
      entries: [done("e1", date, ["wash"])],
    });
    expect(only({ parts: dated("2026-09-12") })).toMatchObject({ when: "during" });
    expect(plan({ parts: dated("2026-09-13") }).tasks).toEqual([]);
  });

  test("under a heavy load a run counts as many times as the interval of hard use goes into the usual one", () => {
    const parts = oil(8200);
    const [own] = parts.tasks ?? [];
    const regimes = {
      handbook: [{ meter: "odo", every: 10000 }],
      "hard use": [{ meter: "odo", every: 4000 }],
    };
    const heavy = { ...FAR, load: "heavy" };
    const tasks = [{ ...own, regimes }];
    expect(plan({ parts: { ...parts, tasks } }).tasks).toEqual([]);
    const found = only({ parts: { ...parts, tasks }, journey: heavy });
    expect(found.limit).toMatchObject({ factor: 2.5 });
    expect(found.limit.overAtReturn).toBeCloseTo(14650 + 5000 - 18200, 6);
    expect(plan({ parts, journey: heavy }).tasks).toEqual([]);
  });

  test("a longer way never takes a task off the list, nor brings it up later", () => {
    const kilometres = fc.integer({ min: 1, max: 6000 });
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 180 }), kilometres, kilometres, (last, a, b) => {
        const look = (amount: number): number =>
          plan({ parts: oil(last * 50), journey: { ...FAR, amount } }).tasks[0]?.day ?? Infinity;
        expect(look(Math.max(a, b))).toBeLessThanOrEqual(look(Math.min(a, b)));
      }),
      { numRuns: 60, seed: 7 },
    );
  });
});

describe("before departure, after return, or on the way", () => {
  test("doing it early throws away what is left of its interval on the day of the visit", () => {
    const parts = oil(5650);
    const found = only({ parts, planning: { leastTurnValue: 100 } });
    // The last day that keeps two clear is Monday 30 November: 14 500 km.
    expect(found.early.unused).toBeCloseTo(1150, 6);
    expect(found.early.cost).toBeCloseTo(11.5, 6);
    const later = only({ parts, planning: { leastTurnValue: 100 }, chosen: "2026-12-02" });
    expect(later.early.unused).toBeCloseTo(1050, 6);
  });

  test("it waits where that is cheaper and within the grace, else it is done before", () => {
    const planning = { leastTurnValue: 100, lateADay: 1 };
    // Due on the fifth day: six days late on the day after return.
    expect(only({ parts: oil(5650, { grace: 1100 }), planning })).toMatchObject({
      waiting: 6,
      advice: "wait",
    });
    expect(only({ parts: oil(5650, { grace: 900 }), planning }).advice).toBe("before");
    expect(
      only({ parts: oil(5650, { grace: 1100 }), planning: { ...planning, lateADay: 2 } }).advice,
    ).toBe("before");
  });

  test("what the law requires must be done before", () => {
    expect(only({ parts: oil(5650, { hard: true, grace: 5000 }) }).advice).toBe("must");
  });

  test("what comes round often is done on the way, so many times", () => {
    const tasks = [task("chain", [{ meter: "odo", every: 500 }])];
    const entries = [done("e1", "2026-11-23", ["chain"], { meters: { odo: 14150 } })];
    const found = only({ parts: { tasks, entries } });
    // Done on the visit at 14 500 km: again at 15 000, 15 500, 16 000 and 16 500.
    expect(found).toMatchObject({ advice: "on-the-way", times: 4 });
    const daily = only({
      parts: {
        tasks: [task("walk", [{ days: 1 }])],
        entries: [done("e1", "2026-11-23", ["walk"])],
      },
    });
    expect(daily).toMatchObject({ advice: "on-the-way", times: 10 });
  });

  test("what goes with every third turn of another counts three of its intervals", () => {
    const base = oil(5650);
    const nth = { ...task("filter", []), regimes: undefined, nth: { of: "oil", every: 3 } };
    const [last] = base.entries ?? [];
    // Done with the turn before the last two, so that the one to come is the third.
    const turns = [done("t0", "2025-06-01", ["oil", "filter"]), done("t1", "2025-12-01", ["oil"])];
    const entries = [...turns, last as object];
    const tasks = [...(base.tasks ?? []), nth];
    const asked = { parts: { tasks, entries }, planning: { leastTurnValue: 300 } };
    const found = plan(asked).tasks.find((one) => (one.task as string) === "filter");
    expect(found).toMatchObject({ when: "during", advice: "before" });
    // 1 150 km of 30 000 unused.
    expect(found?.early.share).toBeCloseTo(1150 / 30000, 6);
  });

  test("a day of a fixed grid that is too far off to be brought forward is met on the way", () => {
    const grid = { months: 1, from: "2026-01-08" };
    const tasks = [task("paper", [grid], { anchor: "grid" })];
    const entries = [done("e1", "2026-11-08", ["paper"])];
    const early = { ...DEFAULT_PLANNING, leastDays: 10 };
    expect(
      only({ parts: { tasks, entries }, planning: early, chosen: "2026-11-27" }),
    ).toMatchObject({ advice: "on-the-way", times: 1 });
    expect(
      only({ parts: { tasks, entries }, planning: early, chosen: "2026-12-02" }),
    ).toMatchObject({ advice: "before", times: 0, early: { cost: 0 } });
  });

  test("what the work on the visit brings with it is met on the way", () => {
    const wheels = oil(4300);
    const retorque = {
      ...task("retorque", []),
      regimes: undefined,
      follows: { task: "oil", meter: "odo", amount: 500 },
    };
    const checked = done("e2", "2026-06-01", ["retorque"], { meters: { odo: 5400 } });
    const entries = [...(wheels.entries ?? []), checked];
    const parts = { ...wheels, entries, tasks: [...(wheels.tasks ?? []), retorque] };
    const [first, second] = plan({ parts }).tasks;
    expect(first?.task).toBe("oil");
    expect(second).toMatchObject({ task: "retorque", isAfterVisit: true, advice: "on-the-way" });
  });

  test("a visit of the book before departure that does it already is named", () => {
    const visits = [visit("2026-11-30", ["oil"]), visit("2026-12-20", ["oil"])];
    expect(plan({ parts: oil(5650), visits }).inVisits).toMatchObject([
      { task: "oil", visit: { date: "2026-11-30" } },
    ]);
  });
});

describe("the day of the visit", () => {
  test("is the last on which it can be spared with two days kept clear, or as many as it says", () => {
    const on = (journey: object, machine: object = {}): string | null => {
      const parts = { machines: [{ ...VAN, ...machine }] };
      const { visitOn } = plan({ parts, journey });
      return visitOn === null ? null : formatDay(visitOn);
    };
    expect(on(FAR)).toBe("2026-11-30");
    expect(on({ ...FAR, daysClear: 0 })).toBe("2026-12-02");
    expect(on(FAR, { needed: [{ from: "2026-11-26", to: "2026-11-30" }] })).toBe("2026-11-25");
  });

  test("is nearer where there is no other, and none where there is none: each says so", () => {
    const close = plan({ parts: {}, journey: { ...FAR, daysClear: 20 } });
    expect(formatDay(close.visitOn ?? TODAY)).toBe("2026-12-02");
    expect(close.issues).toEqual([{ code: "close-to-departure", daysClear: 20 }]);
    const machines = [{ ...VAN, needed: [{ from: "2026-11-01", to: "2026-12-31" }] }];
    const none = plan({ parts: { machines } });
    expect(none.visitOn).toBeNull();
    expect(none.issues).toEqual([{ code: "no-day-before" }]);
  });
});

test("what stands in its way is said: out of service, an old figure, no run to be told", () => {
  const stops = [{ id: "s", since: "2026-11-20", reason: "brake pipe" }];
  const stopped = plan({ parts: { machines: [{ ...VAN, stops }] } });
  expect(stopped.issues).toMatchObject([{ code: "out-of-service" }]);
  const old = plan({ parts: { readings: [read("2026-01-01", 1000), read("2026-06-01", 9000)] } });
  expect(old.issues).toEqual([{ code: "figure-in-doubt", meter: "odo" }]);
  const single = plan({ parts: { readings: [read("2026-11-23", 1000)] }, journey: JOURNEY });
  expect(single.issues).toEqual([{ code: "run-not-known", meter: "odo" }]);
});
