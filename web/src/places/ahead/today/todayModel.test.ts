import { reckonBoard, type BoardMachine, type BoardTask, type Book } from "@yonderfell/core";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";

import { todayOf } from "./todayModel.js";

/** The demonstration, the bus with a check before each use. */
const CHECKED: Book = {
  ...BOOK,
  tasks: (BOOK.tasks ?? []).map((task) =>
    task.id === "t-bus-air" ? { ...task, regimes: { handbook: [] }, eachUse: "before" } : task,
  ),
};
const BOARD = reckonBoard(CHECKED, TODAY);
const named = (tasks: readonly BoardTask[]): string[] =>
  tasks.map(({ machine, task }) => `${machine.machine.tag} ${task.task.name}`);

test("each thing stands once, under the first heading it belongs to", () => {
  const today = todayOf(BOARD, TODAY);
  expect(today.stopped.map(({ machine }) => machine.machine.tag)).toEqual(["25"]);
  expect(named(today.byLaw)[0]).toBe("33 Haul rope and splice, examination");
  expect(named(today.followUps)).toEqual(["07 Wheel nuts, torque again"]);
  expect(named(today.due)[0]).toBe("07 Brake fluid");
  const { forbidden, byLaw, followUps, due, eachUse } = today;
  const all = named([...forbidden, ...byLaw, ...followUps, ...due, ...eachUse]);
  expect(new Set(all).size).toBe(all.length);
});

test("past a hard limit a machine is not to be used", () => {
  const later = reckonBoard(BOOK, (TODAY + 8) as typeof TODAY);
  expect(named(todayOf(later, (TODAY + 8) as typeof TODAY).forbidden)).toContain(
    "H1 Roadworthiness test",
  );
});

test("a machine that stands idle or out of service asks for no checks with use, an idle one for no readings", () => {
  const idle = { laidUp: [{ from: "2026-01-01" }] };
  const standing = (more: object): BoardMachine[] =>
    BOARD.map((one) => ({ ...one, machine: { ...one.machine, ...more } }));
  expect(named(todayOf(BOARD, TODAY).eachUse)).toEqual(["07 Air filter"]);
  expect(todayOf(standing(idle), TODAY).eachUse).toEqual([]);
  expect(todayOf(standing(idle), TODAY).meters).toEqual([]);
  const stops = [{ id: "s", since: "2026-11-01", reason: "crack" }];
  expect(todayOf(standing({ stops }), TODAY).eachUse).toEqual([]);
});

test("stale meters come longest unread first, those that stand still not at all", () => {
  const { meters } = todayOf(BOARD, TODAY);
  const days = meters.map(({ meter }) => meter.lastOn ?? 0);
  expect(days).toEqual([...days].sort((one, other) => one - other));
  expect(meters.every(({ meter }) => meter.stale && meter.stoppedOn === null)).toBe(true);
});
