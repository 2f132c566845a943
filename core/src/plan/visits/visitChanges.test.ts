import { TODAY, visit } from "../../../test/plans.js";
import { addDays } from "../../calendar/dayNumber.js";
import { visitSchema } from "../../book/records/visit.js";
import {
  acceptVisits,
  addToVisit,
  dropVisit,
  leaveOut,
  moveVisit,
  noteVisit,
  pinVisit,
  splitVisit,
} from "./visitChanges.js";
import type { TaskId } from "../../book/records/ids.js";
import type { Change } from "../../book/change/change.js";

const context = { today: TODAY, newId: () => "new", since: 7 };
const held = visit("2026-12-02", ["oil", "wash"]);
const OIL = "oil" as TaskId;
const WASH = "wash" as TaskId;

const afterOf = (change: Change): unknown[] => change.records.map(({ after }) => after);

test("an accepted visit is what the book's schema takes, with the day and what was logged by then", () => {
  const [after] = afterOf(
    acceptVisits([{ machine: "van" as never, day: addDays(TODAY, 2), tasks: [OIL] }], context),
  );
  expect(after).toEqual({
    ...{ id: "new", machine: "van", date: "2026-11-25", tasks: ["oil"] },
    ...{ accepted: "2026-11-23", since: 7 },
  });
  expect(visitSchema.safeParse(after).success).toBe(true);
});

test("it is moved, pinned, noted and added to", () => {
  expect(afterOf(noteVisit(held, " Ramp from nine. "))).toEqual([
    { ...held, note: "Ramp from nine." },
  ]);
  expect(afterOf(noteVisit(held, " "))).toEqual([{ ...held, note: null }]);
  expect(afterOf(moveVisit(held, TODAY))).toEqual([{ ...held, date: "2026-11-23" }]);
  expect(afterOf(pinVisit(held, true))).toEqual([{ ...held, pinned: true }]);
  const without = { ...held, tasks: [OIL], without: [WASH] };
  expect(afterOf(addToVisit(without, WASH, null, context))).toEqual([{ ...held, without: [] }]);
});

test("a task left out is kept as left out; without any task the visit goes", () => {
  expect(afterOf(leaveOut(held, OIL))).toEqual([{ ...held, tasks: ["wash"], without: ["oil"] }]);
  expect(leaveOut({ ...held, tasks: [OIL] }, OIL)).toEqual(dropVisit({ ...held, tasks: [OIL] }));
});

test("split, both parts were accepted when the whole was", () => {
  const change = splitVisit({ ...held, since: 3 }, [WASH], addDays(TODAY, 30), context);
  expect(afterOf(change)).toEqual([
    { ...held, since: 3, tasks: ["oil"] },
    { ...held, since: 3, id: "new", date: "2026-12-23", tasks: ["wash"] },
  ]);
  expect(splitVisit(held, [OIL, WASH], TODAY, context).records).toEqual([]);
});

test("the turns that are meant go with their tasks: accepted, added, left out and split", () => {
  const turns = [
    { task: OIL, number: 1 },
    { task: WASH, number: 2 },
  ];
  const [accepted] = afterOf(
    acceptVisits([{ machine: "van" as never, day: TODAY, tasks: [OIL, WASH], turns }], context),
  );
  expect(accepted).toMatchObject({ turns });
  expect(visitSchema.safeParse(accepted).success).toBe(true);
  const both = { ...held, turns };
  expect(afterOf(leaveOut(both, WASH))).toEqual([
    { ...held, tasks: [OIL], turns: [turns[0]], without: [WASH] },
  ]);
  expect(afterOf(splitVisit(both, [WASH], TODAY, context))).toMatchObject([
    { tasks: [OIL], turns: [turns[0]] },
    { tasks: [WASH], turns: [turns[1]] },
  ]);
  // What is added later is counted from then.
  expect(afterOf(addToVisit({ ...both, tasks: [OIL] }, WASH, 1, context))).toMatchObject([
    { turns: [turns[0], { task: WASH, number: 1, accepted: "2026-11-23", since: 7 }] },
  ]);
});
