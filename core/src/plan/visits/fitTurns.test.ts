import { turn } from "../../../test/turns.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { fitTurns, type Fitting } from "./fitTurns.js";
import { planIssuesOf } from "./planIssues.js";

const days = (...list: readonly number[]): DayNumber[] => list as DayNumber[];
const fitting = (spare: readonly number[], more: Partial<Fitting> = {}): Fitting => ({
  ...{ held: [], open: [], spare: days(...spare), today: 0 as DayNumber },
  ...more,
});
const fitted = (turns: ReturnType<typeof turn>[], on: Fitting) =>
  fitTurns(turns, on).map((one) => one.fitted && [one.fitted.earliest, one.fitted.latest]);

test("a turn that can be done within its days keeps them", () => {
  const own = turn("oil", 100, { earliest: 60, latest: 120 });
  expect(fitted([own], fitting([10, 70]))).toEqual([[60, 120]]);
});

test("a hard end before the days of a turn is kept to: it is done on the last day before it, however early that is", () => {
  const own = turn("tacho", 100, { earliest: 60, hardEnd: 40, latest: 40 });
  expect(fitted([own], fitting([10, 39, 45, 70]))).toEqual([[39, 40]]);
});

test("on a fixed grid it would not count so early: it is put off, and that is told with the day from which it counts", () => {
  const own = turn("test", 100, { earliest: 60, hardEnd: 40, latest: 40, interval: null });
  const spare = days(10, 39, 45, 70);
  const [one] = fitTurns([own], fitting(spare));
  expect([one?.fitted?.earliest, one?.fitted?.latest]).toEqual([60, 70]);
  const issues = planIssuesOf({
    ...{ machine: {} as never, fitted: one === undefined ? [] : [one], held: [], spare },
    placed: [{ turn: own, day: 70 as DayNumber }],
    ...{ planning: { workdays: [], closed: [] }, today: 0 as DayNumber, until: 180 as DayNumber },
  });
  expect(issues).toEqual([
    { code: "hard-end-before-it-counts", task: "test", end: 40, counts: 60 },
  ]);
});

test("a turn put off past the days of the next has that one follow it", () => {
  const first = turn("oil", 10, { earliest: 0, latest: 30 });
  const second = turn("oil", 60, { number: 2, earliest: 31, latest: 70 });
  expect(fitted([first, second], fitting([40, 65]))).toEqual([
    [0, 40],
    [41, 70],
  ]);
});

test("a turn is not done in a visit that has its task already, nor in one it was left out of", () => {
  const second = turn("oil", 60, { number: 2, earliest: 31, latest: 70 });
  const visit = { day: 45, visit: { tasks: ["oil"] }, turns: [turn("oil", 10)], isOutside: false };
  const held = [visit] as unknown as Fitting["held"];
  const open = [{ date: "1970-02-20", without: ["oil"] }] as unknown as Fitting["open"];
  const [one] = fitTurns([second], fitting([45, 50, 60], { held, open }));
  expect(one?.fitted?.avoided).toEqual([50, 45]);
  expect(one?.leftOut).toEqual([50]);
});
