import { dayOf, type Hindsight, type SchoolSum, type Task } from "@yonderfell/core";
import { hindsightWords, schoolRows, togetherOf } from "./schoolsWords.js";

const sum = (school: string, turns: number): SchoolSum =>
  ({
    ...{ school, turns, days: turns - 1, minutes: turns * 30, litres: turns * 4.5 },
    money: { parts: 10.5, fluids: 20.25, labour: 30 },
    tasks: [{ task: "oil", turns }],
  }) as unknown as SchoolSum;
const TASKS = [
  { id: "oil", name: "Oil" },
  { id: "wash", name: "Wash" },
] as unknown as Task[];

test("schools as a table have a column each: what they take, and the turns of each task", () => {
  expect(togetherOf(sum("handbook", 2))).toBe(60.75);
  expect(schoolRows([sum("handbook", 2), sum("cautious", 4)], TASKS)).toEqual([
    ["Over these years", "handbook", "cautious"],
    ["Services", "2", "4"],
    ["Days with work", "1", "3"],
    ["Hours of work", "1.0", "2.0"],
    ["Litres", "9.0", "18.0"],
    ["Parts", "10.50", "10.50"],
    ["Fluids", "20.25", "20.25"],
    ["Own time", "30.00", "30.00"],
    ["Together", "60.75", "60.75"],
    ["Oil", "2", "4"],
    ["Wash", "0", "0"],
  ]);
});

test("hindsight says from which day on, and that it is not what was paid", () => {
  const words = hindsightWords({ from: dayOf("2023-12-14") } as Hindsight).replaceAll(
    "\u00a0",
    " ",
  );
  expect(words).toContain("from 14 Dec 2023 to today");
  expect(words).toContain("not what was paid");
});
