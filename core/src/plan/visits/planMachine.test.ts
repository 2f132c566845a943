import { done, task, VAN } from "../../../test/books.js";
import { inDays, lineOf, planOf, TODAY, visit } from "../../../test/plans.js";
import { dayToSpare } from "./planIssues.js";
import { addDays, formatDay } from "../../calendar/dayNumber.js";

/** A task of the van by the calendar that falls due in so many days. */
function dueIn(id: string, days: number, more: Record<string, unknown> = {}) {
  const { limit, ...rest } = more;
  return {
    task: task(id, [{ days: 360, ...(limit as object | undefined) }], rest),
    entry: done(`e-${id}`, inDays(days - 360), [id], { seq: 1 }),
  };
}

function partsOf(...due: ReturnType<typeof dueIn>[]) {
  const entries = due.map(({ entry }, index) => ({ ...entry, seq: index + 1 }));
  return { tasks: due.map((one) => one.task), entries };
}

test("jobs that fall due near each other are proposed as one visit, on a working day", () => {
  // Sunday 29 November and the Tuesday after.
  const plan = planOf(partsOf(dueIn("oil", 6), dueIn("wash", 8)));
  expect(plan.visits.map(lineOf)).toEqual(["2026-11-27 oil wash"]);
});

test("a visit of the book stays on its day with its tasks, and what fits is offered for it", () => {
  const parts = partsOf(dueIn("oil", 6), dueIn("wash", 8));
  const plan = planOf(parts, [visit("2026-12-02", ["wash"])]);
  expect(plan.visits.map(lineOf)).toEqual(["2026-12-02* wash"]);
  expect(plan.visits[0]?.fitting.map(({ task: id }) => id)).toEqual(["oil"]);
});

test("what was left out of a visit is not offered for it again", () => {
  const parts = partsOf(dueIn("oil", 9), dueIn("wash", 9));
  const plan = planOf(parts, [visit("2026-12-02", ["wash"], { without: ["oil"] })]);
  expect(plan.visits.map(lineOf)).toEqual(["2026-12-01 oil", "2026-12-02* wash"]);
  expect(plan.visits.flatMap(({ fitting }) => fitting)).toEqual([]);
});

test("a visit is over once its work is logged, and missed once its day has passed without", () => {
  const parts = partsOf(dueIn("oil", 6), dueIn("wash", 8));
  const past = visit("2026-11-20", ["oil"]);
  expect(planOf(parts, [past]).missed.map(lineOf)).toEqual(["2026-11-20* oil"]);
  const entries = [...parts.entries, done("now", "2026-11-20", ["oil"], { seq: 9 })];
  expect(planOf({ ...parts, entries }, [past]).missed).toEqual([]);
});

test("work logged on the day a visit was accepted counts for it only where it came after", () => {
  const parts = partsOf(dueIn("oil", 6));
  const entries = [...parts.entries, done("now", formatDay(TODAY), ["oil"], { seq: 9 })];
  const next = (since: number) =>
    visit("2026-12-02", ["oil"], { accepted: formatDay(TODAY), since });
  expect(planOf({ ...parts, entries }, [next(9)]).visits.some((one) => one.visit !== null)).toBe(
    true,
  );
  expect(planOf({ ...parts, entries }, [next(8)]).visits.some((one) => one.visit !== null)).toBe(
    false,
  );
});

test("work for others is planned apart from one's own", () => {
  const outside = { because: "licensed" };
  const plan = planOf(partsOf(dueIn("oil", 9), dueIn("gas", 9, { outside })));
  expect(plan.visits.map((one) => [lineOf(one), one.isOutside])).toEqual([
    ["2026-12-02 oil", false],
    ["2026-12-02 gas", true],
  ]);
});

test("days it cannot be spared are passed over, and a hard limit is never passed", () => {
  const needed = [{ weekdays: [1, 2, 3], reason: "round" }];
  const parts = {
    ...partsOf(dueIn("oil", 10), dueIn("test", 9, { limit: { hard: true } })),
    machines: [{ ...VAN, needed }],
  };
  // Wednesday 2 December is the round; Friday 27 November is the last day before it.
  expect(planOf(parts).visits.map(lineOf)).toEqual(["2026-11-27 oil test"]);
});

test("a machine that can never be spared: says so, for which tasks, and why", () => {
  const machines = [{ ...VAN, needed: [{ weekdays: [1, 2, 3, 4, 5, 6, 7], reason: "on call" }] }];
  const plan = planOf({ ...partsOf(dueIn("oil", 9)), machines });
  const blocked = { code: "needed", reason: "on call" };
  expect(plan.visits).toEqual([]);
  expect(plan.issues).toEqual([{ code: "no-day-at-all", tasks: ["oil"], blocked }]);
  expect(plan.issues.map((issue) => dayToSpare(issue, TODAY))).toEqual([TODAY]);
  const spared = planOf({ ...partsOf(dueIn("oil", 9)), machines }, [visit("2026-11-25", ["oil"])]);
  expect(spared.issues).toEqual([]);
});

test("no day before a hard limit: each blocked day is told, and the work stands on the first day there is", () => {
  const needed = [{ from: "2026-11-20", to: "2026-11-30", reason: "fair" }];
  const parts = {
    ...partsOf(dueIn("test", 3, { limit: { hard: true } })),
    machines: [{ ...VAN, needed }],
  };
  const plan = planOf(parts);
  expect(plan.visits.map(lineOf)).toEqual(["2026-12-01 test"]);
  expect(plan.issues).toMatchObject([
    {
      code: "no-day-before-hard-end",
      task: "test",
      end: addDays(TODAY, 3),
      first: addDays(TODAY, 8),
    },
  ]);
  expect(plan.issues[0]).toHaveProperty("blocked.length", 4);
  expect(plan.issues.map((issue) => dayToSpare(issue, TODAY))).toEqual([TODAY]);
});

test("a hard limit that is past is told with the first day it can be made good", () => {
  const plan = planOf(partsOf(dueIn("test", -5, { limit: { hard: true } })));
  expect(plan.issues).toEqual([
    { code: "hard-end-passed", task: "test", end: addDays(TODAY, -5), first: TODAY },
  ]);
  expect(plan.visits.map(lineOf)).toEqual(["2026-11-23 test"]);
});

test("a visit of the book after a hard limit is told", () => {
  const parts = partsOf(dueIn("test", 3, { limit: { hard: true } }));
  const plan = planOf(parts, [visit("2026-12-07", ["test"])]);
  expect(plan.issues).toEqual([
    { code: "visit-after-hard-end", task: "test", end: addDays(TODAY, 3), day: addDays(TODAY, 14) },
  ]);
});

test("two turns of a task never share a visit, and each is done near its date", () => {
  const parts = {
    tasks: [task("grease", [{ days: 42 }])],
    entries: [done("e", inDays(-40), ["grease"])],
  };
  const plan = planOf(parts);
  expect(plan.visits.map(lineOf)).toEqual([
    "2026-11-25 grease",
    "2027-01-06 grease",
    "2027-02-17 grease",
    "2027-03-31 grease",
    "2027-05-12 grease",
  ]);
});

test("what comes round often, with each use or without a date is left to others, with why", () => {
  const plan = planOf({
    tasks: [
      task("wash", [{ days: 7 }]),
      task("lamps", [], { eachUse: "before" }),
      task("belt", [{ meter: "odo", every: 90000 }]),
      task("nuts", [], { regimes: null, follows: { task: "wheels", days: 3 } }),
      task("wheels", [{ months: 12 }]),
    ],
    entries: [done("e", inDays(-3), ["wash"])],
  });
  expect(plan.left).toEqual([
    { task: "wash", because: "routine" },
    { task: "lamps", because: "each-use" },
    { task: "belt", because: "no-date" },
    { task: "nuts", because: "follows" },
  ]);
});

test("on a fixed grid nothing is thrown away, and it is not done before it would count", () => {
  const parts = {
    machines: [{ ...VAN, inService: "2024-12-21" }],
    tasks: [task("test", [{ months: 12 }], { anchor: "grid" })],
    entries: [done("e", "2025-12-20", ["test"])],
  };
  const [turn] = planOf(parts).turns;
  expect(turn).toMatchObject({ due: addDays(TODAY, 28), interval: null });
  // A quarter of the year before 21 December.
  expect(turn?.earliest).toBe(addDays(TODAY, 28 - Math.floor(365 / 4)));
});

test("a hard limit by meter ends on its early date, and is kept to beside a visit nearer to its likely one", () => {
  const parts = {
    machines: [{ ...VAN, meters: [{ ...VAN.meters[0], perDay: 50 }] }],
    readings: [{ id: "r", machine: "van", meter: "odo", date: "2026-11-23", value: 14000 }],
    tasks: [
      task("tacho", [{ meter: "odo", every: 15000, hard: true }]),
      task("wash", [{ days: 360 }]),
    ],
    entries: [done("e", inDays(-342), ["wash"])],
  };
  const plan = planOf(parts, [visit("2026-12-11", ["wash"])]);
  const tacho = plan.turns.find(({ task: id }) => id === "tacho");
  expect(tacho && tacho.latest !== null && tacho.latest < tacho.due).toBe(true);
  expect(plan.issues).toEqual([]);
  const own = plan.visits.find(({ turns }) => turns.some(({ task: id }) => id === "tacho"));
  expect(own && tacho && own.day <= (tacho.hardEnd ?? 0)).toBe(true);
});

test("the grace of a meter limit lasts as long as the machine takes to run it", () => {
  const parts = {
    machines: [{ ...VAN, meters: [{ ...VAN.meters[0], perDay: 50 }] }],
    readings: [{ id: "r", machine: "van", meter: "odo", date: "2026-11-23", value: 14500 }],
    tasks: [task("oil", [{ meter: "odo", every: 15000, grace: 500 }])],
  };
  const [turn] = planOf(parts).turns;
  expect(turn && turn.graceEnd - turn.due).toBe(10);
});

test("no visit is proposed for the days of a journey", () => {
  const away = { id: "j", machine: "van", name: "Fair", date: inDays(3), days: 4 };
  const plan = planOf(partsOf(dueIn("oil", 6)), [], {}, TODAY, [away as never]);
  expect(plan.visits.map(lineOf)).toEqual(["2026-11-25 oil"]);
});

test("an overdue turn that is proposed is the one the accepted visit holds, not the next that is nearer to its day", () => {
  const parts = {
    tasks: [task("oil", [{ days: 60 }])],
    entries: [done("e", inDays(-300), ["oil"], { seq: 1 })],
  };
  const [proposed] = planOf(parts).visits;
  const turns = [{ task: "oil", number: 1 }];
  const held = visit(formatDay(proposed?.day ?? TODAY), ["oil"], {
    turns,
    accepted: inDays(0),
    since: 1,
  });
  const accepted = planOf(parts, [held]).visits.find((one) => one.visit !== null);
  expect(accepted?.turns).toEqual(proposed?.turns);
  expect(accepted?.turns[0]?.due).toBe(addDays(TODAY, -240));
});

test("a visit names its turn by number, which falls with each time the task is done since", () => {
  const parts = {
    tasks: [task("grease", [{ days: 42 }])],
    entries: [done("e", inDays(-40), ["grease"], { seq: 1 })],
  };
  const turns = [{ task: "grease", number: 2 }];
  const second = visit("2027-01-06", ["grease"], { turns, accepted: inDays(-10), since: 1 });
  const numberIn = (entries: readonly object[]): number | undefined =>
    planOf({ ...parts, entries: [...parts.entries, ...entries] }, [second]).visits.find(
      (one) => one.visit !== null,
    )?.turns[0]?.number;
  expect(numberIn([])).toBe(2);
  expect(numberIn([done("f", inDays(-1), ["grease"], { seq: 2 })])).toBe(1);
  const twice = [
    done("f", inDays(-2), ["grease"], { seq: 2 }),
    done("g", inDays(-1), ["grease"], { seq: 3 }),
  ];
  expect(numberIn(twice)).toBeUndefined();
});

test("the turn after an overdue one is priced by its own interval, counted from today", () => {
  const parts = {
    tasks: [task("wash", [{ days: 90 }])],
    entries: [done("e", inDays(-400), ["wash"])],
  };
  const [first, second] = planOf(parts).turns;
  expect([first?.interval, second?.interval]).toEqual([90, 90]);
});

test("a hard task left out of the visit on the only day for it is told, and put on the first day after", () => {
  const needed = [{ from: inDays(1), to: inDays(20), reason: "fair" }];
  const parts = {
    ...partsOf(dueIn("oil", 2), dueIn("test", 5, { limit: { hard: true } })),
    machines: [{ ...VAN, needed }],
  };
  const plan = planOf(parts, [visit(formatDay(TODAY), ["oil"], { without: ["test"] })]);
  const own = plan.visits.find(({ turns }) => turns.some(({ task: id }) => id === "test"));
  expect(plan.issues).toEqual([
    {
      ...{ code: "left-out-before-hard-end", task: "test", end: addDays(TODAY, 5) },
      ...{ day: TODAY, first: own?.day },
    },
  ]);
  expect(own?.day).toBeGreaterThan(addDays(TODAY, 20));
});
