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
  type VisitIssue,
} from "./visitChanges.js";
import type { TaskId } from "../../book/records/ids.js";
import { changeOf } from "../../../test/changeOf.js";
import type { CommandResult } from "../../book/change/command.js";
import type { Machine } from "../../book/records/machine.js";
import type { Task } from "../../book/records/task.js";
import type { Visit } from "../../book/records/visit.js";
import type { Slice } from "../../book/slice/slice.js";

const context = { today: TODAY, newId: () => "new", since: 7 };
const held = visit("2026-12-02", ["oil", "wash"]);
const OIL = "oil" as TaskId;
const WASH = "wash" as TaskId;

const afterOf = (result: CommandResult<VisitIssue>): unknown[] =>
  changeOf(result).records.map(({ after }) => after);

/** The van with its tasks, and some visits in the book. */
const withVisits = (...visits: readonly Visit[]): Slice<"tasks" | "visits"> => ({
  machines: [{ id: "van" } as Machine],
  tasks: [OIL, WASH].map((id) => ({ id }) as Task),
  visits,
});
const NONE = withVisits();

test("an accepted visit is what the book's schema takes, with the day and what was logged by then", () => {
  const [after] = afterOf(acceptVisits(NONE, [{ day: addDays(TODAY, 2), tasks: [OIL] }], context));
  expect(after).toEqual({
    ...{ id: "new", machine: "van", date: "2026-11-25", tasks: ["oil"] },
    ...{ accepted: "2026-11-23", since: 7 },
  });
  expect(visitSchema.safeParse(after).success).toBe(true);
});

test("it is moved, pinned, noted and added to", () => {
  expect(afterOf(noteVisit(withVisits(held), held, " Ramp from nine. "))).toEqual([
    { ...held, note: "Ramp from nine." },
  ]);
  expect(afterOf(noteVisit(withVisits(held), held, " "))).toEqual([{ ...held, note: null }]);
  expect(afterOf(moveVisit(withVisits(held), held, TODAY))).toEqual([
    { ...held, date: "2026-11-23" },
  ]);
  expect(afterOf(pinVisit(withVisits(held), held, true))).toEqual([{ ...held, pinned: true }]);
  const without = { ...held, tasks: [OIL], without: [WASH] };
  expect(afterOf(addToVisit(withVisits(without), without, WASH, null, context))).toEqual([
    { ...held, without: [] },
  ]);
});

test("a task left out is kept as left out; without any task the visit goes", () => {
  expect(afterOf(leaveOut(withVisits(held), held, OIL))).toEqual([
    { ...held, tasks: ["wash"], without: ["oil"] },
  ]);
  expect(leaveOut(withVisits({ ...held, tasks: [OIL] }), { ...held, tasks: [OIL] }, OIL)).toEqual(
    dropVisit(withVisits({ ...held, tasks: [OIL] }), { ...held, tasks: [OIL] }),
  );
});

test("split, both parts were accepted when the whole was", () => {
  const change = splitVisit(
    withVisits({ ...held, since: 3 }),
    { ...held, since: 3 },
    [WASH],
    addDays(TODAY, 30),
    context,
  );
  expect(afterOf(change)).toEqual([
    { ...held, since: 3, tasks: ["oil"] },
    { ...held, since: 3, id: "new", date: "2026-12-23", tasks: ["wash"] },
  ]);
  expect(splitVisit(withVisits(held), held, [OIL, WASH], TODAY, context)).toEqual({
    ok: false,
    issues: [{ code: "nothing-to-split" }],
  });
});

test("the turns that are meant go with their tasks: accepted, added, left out and split", () => {
  const turns = [
    { task: OIL, number: 1 },
    { task: WASH, number: 2 },
  ];
  const [accepted] = afterOf(
    acceptVisits(NONE, [{ day: TODAY, tasks: [OIL, WASH], turns }], context),
  );
  expect(accepted).toMatchObject({ turns });
  expect(visitSchema.safeParse(accepted).success).toBe(true);
  const both = { ...held, turns };
  expect(afterOf(leaveOut(withVisits(both), both, WASH))).toEqual([
    { ...held, tasks: [OIL], turns: [turns[0]], without: [WASH] },
  ]);
  expect(afterOf(splitVisit(withVisits(both), both, [WASH], TODAY, context))).toMatchObject([
    { tasks: [OIL], turns: [turns[0]] },
    { tasks: [WASH], turns: [turns[1]] },
  ]);
  // What is added later is counted from then.
  expect(
    afterOf(
      addToVisit(
        withVisits({ ...both, tasks: [OIL] }),
        { ...both, tasks: [OIL] },
        WASH,
        1,
        context,
      ),
    ),
  ).toMatchObject([
    { turns: [turns[0], { task: WASH, number: 1, accepted: "2026-11-23", since: 7 }] },
  ]);
});

test("what was changed since it was seen is not changed over, and a task that is gone is not taken in", () => {
  const moved = withVisits({ ...held, date: "2026-12-05" });
  const elsewhere = { code: "changed-elsewhere", section: "visits", id: held.id };
  const changes = [
    moveVisit(moved, held, TODAY),
    pinVisit(moved, held, true),
    noteVisit(moved, held, "x"),
    addToVisit(moved, held, WASH, null, context),
    leaveOut(moved, held, OIL),
    splitVisit(moved, held, [OIL], TODAY, context),
    dropVisit(NONE, held),
  ];
  for (const change of changes) expect(change).toEqual({ ok: false, issues: [elsewhere] });
  const gone = "gone" as TaskId;
  const missing = { ok: false, issues: [{ code: "task-not-found", task: gone }] };
  expect(acceptVisits(NONE, [{ day: TODAY, tasks: [OIL, gone] }], context)).toEqual(missing);
  expect(addToVisit(withVisits(held), held, gone, null, context)).toEqual(missing);
});
