import { turn } from "../../../test/turns.js";
import { DEFAULT_PLANNING } from "../../book/records/settings.js";
import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import type { Turn } from "./turn.js";
import { mondayOf } from "./spareDays.js";
import { movesOutOf, type FullWeek, type WeekVisit } from "./weekRoom.js";

const MONDAY = dayOf("2027-01-04");
const TODAY = addDays(MONDAY, -28);

const visit = (turns: readonly Turn[], more: Partial<WeekVisit> = {}): WeekVisit => ({
  ...{ day: addDays(MONDAY, 1), turns, otherMinutes: 0, isOutside: false, machine: {} },
  ...more,
});
/** A turn due in the week, which may come four weeks early. */
const due = (minutes: number, more: Partial<Record<keyof Turn, unknown>> = {}): Turn =>
  turn("t", addDays(MONDAY, 1), { minutes, latest: addDays(MONDAY, 60), ...more });
const week = (visits: readonly WeekVisit[], excess: number, room = 600): FullWeek => ({
  ...{ visits, excess, today: TODAY, planning: DEFAULT_PLANNING },
  room: [-14, -7, 7, 14].map((days): [DayNumber, number] => [addDays(MONDAY, days), room]),
});

test("a visit goes to the cheapest workday of a week near by that has room", () => {
  const [move] = movesOutOf(week([visit([due(120)])], 60)).moves;
  expect(move?.at).toBe(0);
  expect(move?.to.more).toBeGreaterThan(0);
  // A day early costs half a unit of life, a day late a whole one: the Friday before is the least.
  expect(move?.to.day).toBe(addDays(MONDAY, -3));
});

test("none goes past its hard end, nor to a day on which its machine is needed", () => {
  const hard = { hardEnd: addDays(MONDAY, 1) };
  const needed = [
    { from: "2026-12-28", until: "2027-01-03", reason: "fair" },
  ] as unknown as NonNullable<WeekVisit["machine"]["needed"]>;
  const [move] = movesOutOf(week([visit([due(120, hard)], { machine: { needed } })], 60)).moves;
  expect(mondayOf(move?.to.day ?? MONDAY)).toBe(addDays(MONDAY, -14));
});

test("work for others frees nothing, tasks added by hand do", () => {
  expect(movesOutOf(week([visit([due(120)], { isOutside: true })], 60)).moves).toEqual([]);
  expect(movesOutOf(week([visit([], { otherMinutes: 60 })], 60)).moves).toHaveLength(1);
  expect(movesOutOf(week([visit([due(120)])], 60, 119)).moves).toEqual([]);
});
