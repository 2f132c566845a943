import {
  addDays,
  formatDay,
  mondayOf,
  movesOutOf,
  otherWeeks,
  planningOf,
  ridgeOf,
  visitCostOn,
  type DayNumber,
  type Journey,
  type PlanIssue,
  type TaskId,
} from "@yonderfell/core";
import { refreshed } from "../../../../test/refreshed.js";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import { MemoryStorage } from "../../../../test/memoryStorage.js";
import {
  addWords,
  blockedWords,
  costParts,
  hoursWords,
  issueWords,
  shareWords,
  weekdayDate,
} from "../../../words/visitWords.js";
import { VisitKeeper, type PlannedMachine } from "../../../work/visitKeeper.js";
import { overfull, visitMoves, type Overfull, type VisitMove } from "./roomModel.js";
import {
  addableTo,
  costOn,
  dayForSome,
  daysFor,
  listVisits,
  missedVisits,
  nextSpare,
  visitsOn,
  type ListedVisit,
} from "./visitModel.js";

const PLANNING = planningOf(BOOK);
const plain = (words: string): string => words.replaceAll("\u00a0", " ");

let machines: readonly PlannedMachine[];

beforeAll(async () => {
  const storage = new MemoryStorage();
  await storage.fill(BOOK);
  machines = (await refreshed(new VisitKeeper(storage), TODAY))?.machines ?? [];
});

const visitOf = (tag: string): ListedVisit => {
  const found = listVisits(machines, null).find(({ of }) => of.machine.tag === tag);
  if (found === undefined) throw new Error(`no visit of ${tag}`);
  return found;
};

test("visits are listed by day, one being moved where it is moved to, under the same name", () => {
  const listed = listVisits(machines, null);
  const days = listed.map(({ day }) => day);
  expect(days).toEqual([...days].sort((one, other) => one - other));
  const [first] = listed;
  const moved = listVisits(machines, { key: first?.key ?? "", day: addDays(TODAY, 200) });
  expect(moved.at(-1)?.key).toBe(first?.key);
  expect(new Set(listed.map(({ key }) => key)).size).toBe(listed.length);
});

test("days it cannot be spared are passed over in moving it", () => {
  // The upper valley round is on Tuesdays and Thursdays.
  const bus = visitOf("07");
  expect(weekdayDate(nextSpare(bus, TODAY, 1, TODAY, PLANNING) ?? TODAY, TODAY)).toMatch(/^Wed/);
  expect(nextSpare(bus, TODAY, -1, TODAY, PLANNING)).toBeNull();
});

test("the cheapest day of other weeks is offered, cheapest week first, the own week left out", () => {
  const mower = visitOf("12");
  const weeks = otherWeeks(daysFor(mower, TODAY, PLANNING), mower.day, 3);
  const totals = weeks.map(({ cost }) => cost.total);
  expect(totals).toEqual([...totals].sort((one, other) => one - other));
  expect(weeks.map(({ day }) => mondayOf(day))).not.toContain(mondayOf(mower.day));
  expect(weeks).toHaveLength(3);
});

/** The weeks looked at, were there so many hours in each. */
const weeksWith = (hours: number | null) =>
  Array.from({ length: PLANNING.weeks + 1 }, (_, week) => ({
    monday: addDays(mondayOf(TODAY), week * 7),
    hours,
  }));

/** What is asked of the week that holds most, were there so many hours. */
function fullestWith(hours: number | null, listed = listVisits(machines, null)): Overfull | null {
  const ridge = ridgeOf(listed, weeksWith(hours));
  const most = ridge.reduce((one, other) => (other.hours > one.hours ? other : one));
  return overfull(most, ridge, TODAY, PLANNING);
}

const movesWith = (full: Overfull): readonly VisitMove[] =>
  visitMoves(full, movesOutOf(full.asked).moves);

test("moves that make room leave no week with more than there are hours for, at what each is said to cost", () => {
  const listed = listVisits(machines, null);
  const most = Math.max(...ridgeOf(listed, weeksWith(null)).map(({ hours }) => hours));
  const full = fullestWith(most - 1);
  expect(full?.over).toBeCloseTo(1);
  const moves = full === null ? [] : movesWith(full);
  expect(moves.length).toBeGreaterThan(0);
  const after = listed.map((visit) => {
    const move = moves.find((one) => one.visit.key === visit.key);
    return move === undefined ? visit : { ...visit, day: move.day };
  });
  for (const { hours } of ridgeOf(after, weeksWith(null))) {
    expect(hours).toBeLessThanOrEqual(most - 1);
  }
  for (const { visit, day, more } of moves) {
    const cost = (on: DayNumber): number => costOn(visit, on, PLANNING).total;
    expect(more).toBeCloseTo(cost(day) - cost(visit.day), 9);
    expect(mondayOf(day)).not.toBe(mondayOf(visit.day));
    expect(daysFor(visit, TODAY, PLANNING).map((one) => one.day)).toContain(day);
  }
});

test("a week that is not too full asks for no room; what is pinned makes none", () => {
  expect(fullestWith(null)).toBeNull();
  expect(fullestWith(100)).toBeNull();
  const pinned = listVisits(machines, null).map((visit): ListedVisit => ({
    ...visit,
    planned: { ...visit.planned, visit: { pinned: true } as never },
  }));
  const full = fullestWith(1, pinned);
  expect(full?.asked.visits).toEqual([]);
  expect(full && movesOutOf(full.asked).moves).toEqual([]);
});

test("what a visit could take in is told with what it adds, as it costs once it is in", () => {
  const bus = visitOf("07");
  const all = BOOK.tasks?.filter(({ machine }) => machine === "m-bus").map(({ id }) => id) ?? [];
  const addable = addableTo(bus, all, TODAY, PLANNING);
  const inIt = bus.turns.map(({ task }) => task);
  expect(new Set([...addable.map(({ task }) => task), ...inIt])).toEqual(new Set(all));
  const before = costOn(bus, bus.day, PLANNING).total;
  const dear = addable.find(({ more }) => more !== null && more > 1);
  const turn = bus.of.plan.turns.find(({ task }) => task === dear?.task);
  if (turn === undefined) throw new Error("some task of the bus has a turn ahead");
  const after = costOn({ ...bus, turns: [...bus.turns, turn] }, bus.day, PLANNING).total;
  expect(dear?.more).toBeCloseTo(after - before, 9);
  expect(addable.some(({ more }) => more === null)).toBe(true);
});

test("what a task adds to a visit is told in money, or why it would be no use", () => {
  const said = (more: number | null, counts = true): string =>
    plain(addWords("Air filter", { more, counts }, "cr"));
  expect([said(12.4), said(0.004), said(null, false), said(0, false)]).toEqual([
    "Air filter: +12 cr",
    "Air filter: adds nothing",
    "Air filter: not due in these weeks",
    "Air filter: too early to count",
  ]);
});

test("what is done on fixed dates loses nothing early, but is said not to count where it is too early", () => {
  const turns = machines.flatMap(({ plan }) => plan.turns);
  const turn = turns.find(({ interval, earliest }) => interval === null && earliest > TODAY);
  if (turn === undefined) throw new Error("something of Skarrow Vale is due on fixed dates");
  const on = (day: DayNumber): string => {
    const [share] = visitCostOn([turn], day, 40, PLANNING).turns;
    return share === undefined ? "" : plain(shareWords(share, day, "cr"));
  };
  expect(on(turn.earliest)).toMatch(/early, nothing lost: its dates are fixed$/);
  expect(on(addDays(turn.earliest, -1))).toMatch(/early, too early to count for it$/);
});

test("what a visit costs is told in its parts", () => {
  const mower = visitOf("12");
  const cost = costOn(mower, mower.day, PLANNING);
  expect(plain(costParts(cost, "cr"))).toMatch(/^visit 40 cr, life unused \d/);
  const [share] = cost.turns;
  if (share === undefined) throw new Error("the visit has turns");
  const { due } = share.turn;
  const at = (days: number): string =>
    plain(shareWords({ ...share, wasted: 3.2, late: 8 }, addDays(due, days), "cr"));
  expect([at(0), at(-12), at(4)]).toEqual([
    "on its day",
    "12 days early, 3.20 cr of its life unused",
    "4 days late, weighed as 8.00 cr",
  ]);
});

test("some tasks are split off to the cheapest other day on which they may be done", () => {
  const gritter = visitOf("21");
  const [first] = gritter.turns;
  if (first === undefined) throw new Error("the visit has turns");
  const day = dayForSome(gritter, [first.task], TODAY, PLANNING);
  expect(day).not.toBe(gritter.day);
  // The gritter is watched at weekends, when nobody works either.
  expect(weekdayDate(day ?? TODAY, TODAY)).not.toMatch(/^(Sat|Sun)/);
});

test("a day asks for the visits missed before it, then for its own", () => {
  const tags = (day: DayNumber): string[] =>
    visitsOn(machines, day).map(({ of }) => of.machine.tag);
  expect(tags(TODAY)).toEqual(["31"]);
  expect(tags(addDays(TODAY, 8))).toEqual(["31", "12"]);
});

test("a visit whose day has passed is missed", () => {
  expect(missedVisits(machines).map(({ of }) => of.machine.tag)).toEqual(["31"]);
});

test.each([
  [0.5, "30 min"],
  [2, "2 h"],
  [2.25, "2.3 h"],
  [0, "0 h"],
])("%d hours are %s", (hours, words) => {
  expect(plain(hoursWords(hours))).toBe(words);
});

const end = addDays(TODAY, 4);
const ISSUES: readonly (readonly [PlanIssue, RegExp, RegExp])[] = [
  [
    { code: "hard-end-passed", task: "t" as TaskId, end: addDays(TODAY, -9), first: TODAY },
    /^Test on 07 had to be done by 14 Nov 2026, 9 days ago/,
    /Let 07 stand until it is done\. The first day it can be done is Mon 23 Nov\./,
  ],
  [
    {
      code: "no-day-before-hard-end",
      task: "t" as TaskId,
      end,
      first: null,
      blocked: [
        { day: addDays(TODAY, 2), blocked: { code: "needed", reason: "fair" } },
        { day: end, blocked: { code: "not-a-workday" } },
      ],
    },
    /must be done by Fri 27 Nov .*it cannot be spared: fair \(1 day\); nobody works \(1 day\)\.$/,
    /^Spare 07 on Wed 25 Nov, or on any day before it\.$/,
  ],
  [
    { code: "no-day-at-all", tasks: ["t" as TaskId], blocked: { code: "needed", reason: null } },
    /^There is no day for test on 07: it cannot be spared\.$/,
    /^Change the days 07 cannot be spared/,
  ],
  [
    { code: "visit-after-hard-end", task: "t" as TaskId, end, day: addDays(end, 3) },
    /^The visit of 07 on Mon 30 Nov comes after test must be done, Fri 27 Nov/,
    /^Move the visit/,
  ],
];

test.each(ISSUES)(
  "what cannot be kept to says which limit, which machine and what frees it: %j",
  (issue, what, frees) => {
    const words = issueWords(issue, "07", () => "Test", TODAY);
    expect(plain(words.what)).toMatch(what);
    expect(plain(words.frees)).toMatch(frees);
  },
);

test("why there is no work on a day", () => {
  expect(blockedWords({ code: "needed", reason: "round" })).toBe("it cannot be spared: round");
});

test("where a visit can go is told without the days its machine is away on a journey", async () => {
  const storage = new MemoryStorage();
  const away = {
    id: "j-away",
    machine: "m-bus",
    name: "Fair",
    date: formatDay(addDays(TODAY, 1)),
    days: 20,
  };
  await storage.fill({ ...BOOK, journeys: [away as unknown as Journey] });
  const update = await refreshed(new VisitKeeper(storage), TODAY);
  const [bus] = listVisits(update?.machines ?? [], null).filter(
    ({ of }) => of.machine.tag === "07",
  );
  if (bus === undefined) throw new Error("the bus has visits");
  const isAway = (day: DayNumber): boolean => day > TODAY && day <= addDays(TODAY, 20);
  expect(isAway(nextSpare(bus, TODAY, 1, TODAY, PLANNING) ?? TODAY)).toBe(false);
  expect(daysFor(bus, TODAY, PLANNING).filter(({ day }) => isAway(day))).toEqual([]);
});

test("a hard limit that was left out, or that ends before doing it counts, is told with what to do", () => {
  const told = (issue: PlanIssue): string => {
    const { what, frees } = issueWords(issue, "07", () => "Tachograph", TODAY);
    return plain(`${what} ${frees}`);
  };
  const task = "t" as TaskId;
  const [end, day] = [addDays(TODAY, 3), TODAY];
  expect(told({ code: "left-out-before-hard-end", task, end, day, first: null })).toMatch(
    /^Tachograph on 07 must be done by .* was left out of the visit on .* Take it into that visit again\.$/,
  );
  const counts = addDays(TODAY, 30);
  expect(told({ code: "hard-end-before-it-counts", task, end, counts })).toMatch(
    /^Tachograph on 07 may be at its limit .* it would not count\. Read the meter of 07/,
  );
});
