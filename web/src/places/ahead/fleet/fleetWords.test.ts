import { dayOf, type FleetChange, type FleetTold, type Pool } from "@yonderfell/core";
import {
  changesWords,
  changeWords,
  costWords,
  freeingWords,
  headWords,
  inItWords,
  overWords,
  phaseWords,
  ridgeWords,
  staysWords,
  unmetWords,
  weekTitle,
  worthWords,
} from "./fleetWords.js";
import { afterNews, type FleetPlanning } from "./fleetPlanning.js";

const plain = (text: string): string => text.replaceAll("\u00a0", " ");
const TODAY = dayOf("2026-11-23");
const PLANNING: FleetPlanning = { phase: "preparing", prepared: 0.5, told: null, reason: "" };
const toldOf = (sharing: number, bound: number, gap: number | null, over = 0): FleetTold =>
  ({
    cost: { work: 900, over, alone: 500, sharing },
    bound,
    gap,
    changes: [],
  }) as unknown as FleetTold;

test.each([
  [PLANNING, "Planning each machine by itself: 50 % done."],
  [{ ...PLANNING, phase: "searching" }, "Sharing the weeks."],
  [{ ...PLANNING, phase: "searching", told: toldOf(4, 2, 1) }, "Looking for better weeks."],
  [{ ...PLANNING, phase: "stopped" }, "Stopped before there was a plan."],
  [{ ...PLANNING, phase: "stopped", told: toldOf(4, 2, 1) }, "Stopped: the best that was found."],
  [{ ...PLANNING, phase: "failed", reason: "no room" }, "It could not be planned: no room."],
  [{ ...PLANNING, phase: "done" }, ""],
  [
    { ...PLANNING, phase: "done", reason: "no such file" },
    "The solver could not be loaded: no such file. These are the best weeks found without it.",
  ],
] as const)("%#: how far the search is", (planning, words) => {
  expect(phaseWords(planning)).toBe(words);
});

test.each([
  [toldOf(0, 0, 0), "Every machine has its own best days: sharing costs nothing."],
  [
    toldOf(430, 425, 0.0118),
    "Sharing the weeks costs 430 cr more than if each machine had the shed to itself; within 1.2 % of the least there can be.",
  ],
  [
    toldOf(430, 430, 0, 200),
    "Sharing the weeks costs 430 cr more than if each machine had the shed to itself, 200 cr of it the price of hours over; there is no cheaper way.",
  ],
  [
    toldOf(430, 0, null),
    "Sharing the weeks costs 430 cr more than if each machine had the shed to itself; how near to the least that is, is not known yet.",
  ],
])("%#: how good it is", (told, words) => {
  expect(plain(costWords(told, "cr"))).toBe(words);
});

const change = (kind: FleetChange["kind"], more: object = {}): FleetChange =>
  ({
    ...{ kind, stood: [dayOf("2026-12-07")], day: dayOf("2026-12-14"), more: 0 },
    added: [],
    ...more,
  }) as unknown as FleetChange;

test("what an hour more would save is said of a week", () => {
  expect(plain(worthWords(24, "cr"))).toBe("An hour more in this week would save about 24 cr.");
  expect(worthWords(0, "cr")).toMatch(/would save nothing/);
});

test("how many stay is said of none, one and several", () => {
  expect([0, 1, 3].map(staysWords)).toEqual([
    "no other visit is in the book",
    "1 visit of the book stays as it is",
    "3 visits of the book stay as they are",
  ]);
});

test("what becomes of visits is said of each and of all", () => {
  const takesIn = change("takes-in", { added: [{}, {}] });
  const moved = change("moved", { added: [{}] });
  const all = [
    change("accepted"),
    change("accepted", { stood: [dayOf("2026-12-14")] }),
    moved,
    takesIn,
  ];
  expect(all.map((one) => plain(changeWords(one, TODAY)))).toEqual([
    "by itself on Mon 7 Dec",
    "on its own best day",
    "moved from Mon 7 Dec, takes in 1 turn",
    "takes in 2 turns",
  ]);
  expect(plain(changesWords(all))).toBe("2 visits to accept, 1 to move, 1 to take more work in");
});

const POOLS = [
  { of: "people", isWhole: true, who: ["a", "b"], needs: [] },
  { of: "people", isWhole: false, who: ["a"], needs: ["gas"] },
  { of: "bays", isWhole: true, who: ["p"], needs: [] },
] as unknown as Pool[];
const NAMES = { hand: (id: string) => id.toUpperCase(), task: () => "Road test" };

test("a week that is too full says for whom, and what would free it", () => {
  const over = [
    { pool: 0, hours: 12 },
    { pool: 1, hours: 0.5 },
  ];
  expect(plain(overWords({ over } as never, POOLS, NAMES.hand))).toBe(
    "12 h more than people have; 30 min more than A (gas) have",
  );
  const machine = { id: "m", tag: "07", name: "Library bus" } as never;
  const frees = [
    { code: "day", day: dayOf("2026-11-28"), hours: 8, saves: 90 },
    { code: "bay", hours: 40, saves: 20 },
    { code: "hours", pool: 1, hours: 0.5, price: 50 },
    { code: "slip", machine, task: "t" as never, end: dayOf("2026-11-27"), hours: 2 },
  ] as const;
  expect(frees.map((one) => plain(freeingWords(one, POOLS, NAMES, TODAY, "cr")))).toEqual([
    "Working on Sat 28 Nov too (8 h) saves at least 90 cr.",
    "One bay more for the week (40 h) saves at least 20 cr.",
    "30 min more of A (gas) free it whole; the plan prices them at 50 cr.",
    "Road test on 07 must be done by 27 Nov 2026 and has no other week: 2 h. Only whoever set that date can let it slip.",
  ]);
});

test("a week is headed, read out, and says which machines are in it", () => {
  const week = { monday: TODAY, there: 10, alone: 14, planned: 7.5, worth: null };
  expect(plain(weekTitle(week, TODAY))).toBe("Week of Mon 23 Nov, 7.5 h of 10 h");
  expect(plain(ridgeWords({ ...week, there: null }, TODAY))).toBe(
    "Week of Mon 23 Nov: 7.5 h by the plan, 14 h were each machine by itself",
  );
  const machines = Array.from({ length: 10 }, (_, at) => ({ tag: String(at) }));
  expect(plain(inItWords({ machines } as never))).toBe(
    "In it: 0, 1, 2, 3, 4, 5, 6, 7 and 2 more machines.",
  );
  const told = { full: [{}], machines: 1, changes: [{}], stays: 0 } as never;
  expect(plain(headWords(told))).toBe("1 week cannot hold all. 1 visit of 1 machine.");
});

test("work that nobody can do says what it needs", () => {
  const unmet = { machine: { tag: "15" }, tasks: ["t"], of: "people", needs: ["gas"] } as never;
  expect(unmetWords(unmet, NAMES.task)).toBe("Road test on 15 needs gas, which nobody here has.");
  const bay = { machine: { tag: "15" }, tasks: ["t"], of: "bays", needs: ["pit"] } as never;
  expect(unmetWords(bay, NAMES.task)).toBe(
    "Road test on 15 needs a bay for pit, and none takes that.",
  );
});

test("news of a bound makes the same plan nearer to the least, and preparing ends in searching", () => {
  const told = toldOf(100, 50, 1);
  const found = afterNews(PLANNING, { code: "found", told });
  expect(found.told?.gap).toBe(1);
  expect(afterNews(found, { code: "bound", bound: 80 }).told).toMatchObject({
    bound: 80,
    gap: 0.25,
  });
  expect(afterNews(PLANNING, { code: "bound", bound: 80 })).toBe(PLANNING);
  expect(afterNews(PLANNING, { code: "preparing", done: 4, of: 4 }).phase).toBe("searching");
  expect(afterNews(PLANNING, { code: "no-solver", reason: "x" }).reason).toBe("x");
});
