import { TODAY } from "../../../test/plans.js";
import { addDays } from "../../calendar/dayNumber.js";
import { DEFAULT_PLANNING } from "../../book/records/settings.js";
import { costOfTurn, type Turn } from "./turn.js";
import { otherDays, visitCostOn } from "./visitCost.js";

const turn = (task: string, dueIn: number, more: Partial<Record<keyof Turn, unknown>> = {}): Turn =>
  ({
    ...{ task, number: 1, due: addDays(TODAY, dueIn), earliest: TODAY, latest: null },
    ...{ graceEnd: addDays(TODAY, dueIn + 2), hardEnd: null, interval: 100, value: 50 },
    ...{ access: null, minutes: 30, isOutside: false },
    ...more,
  }) as unknown as Turn;

test.each([
  [-10, 5, 0],
  [0, 0, 0],
  [2, 0, 2],
  [5, 0, 14],
])("a turn %d days from its date throws away %d and is late by %d", (days, wasted, late) => {
  const one = turn("oil", 20);
  expect(costOfTurn(one, addDays(one.due, days), DEFAULT_PLANNING)).toEqual({ wasted, late });
});

test("a visit costs its coming together: an access once, each turn by how far it is from its date", () => {
  const turns = [
    turn("belt", 0, { access: "front cover" }),
    turn("pulley", 10, { access: "front cover" }),
    turn("test", 10, { interval: null }),
  ];
  const cost = visitCostOn(turns, TODAY, 40, DEFAULT_PLANNING);
  expect(cost.accesses).toEqual([{ access: "front cover", cost: 10 }]);
  expect(cost.total).toBe(40 + 10 + 5);
});

test("other days come cheapest first, only those on which all may be done", () => {
  const turns = [turn("oil", 4), turn("test", 6, { latest: addDays(TODAY, 6) })];
  const days = [3, 4, 5, 7].map((ahead) => addDays(TODAY, ahead));
  const found = otherDays(turns, days, 40, DEFAULT_PLANNING);
  expect(found.map(({ day }) => day - TODAY)).toEqual([4, 5, 3]);
});
