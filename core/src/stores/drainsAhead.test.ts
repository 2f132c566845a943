import type { Fluid } from "../book/records/fluid.js";
import type { MachineId, TaskId } from "../book/records/ids.js";
import type { Task } from "../book/records/task.js";
import type { Container } from "../book/records/waste.js";
import { addDays, dayOf } from "../calendar/dayNumber.js";
import { containerAhead, drainsAhead } from "./drainsAhead.js";
import { NO_WASTE } from "./wasteOn.js";

const TODAY = dayOf("2026-11-23");
const L = (value: number): object => ({ value, unit: "L" });
const filled = (id: string, machine: string, kind: string, litres: number): Fluid =>
  ({
    ...{ id, machine, kind, system: id },
    capacities: [{ source: "handbook", condition: "drain and fill", quantity: L(litres) }],
  }) as unknown as Fluid;
const FLUIDS = [
  filled("sump", "van", "engine oil", 6),
  filled("box", "van", "gear oil", 2),
  filled("cool", "van", "coolant", 8),
  filled("pan", "bus", "engine oil", 12),
];
const task = (id: string, machine: string, ...fluids: readonly string[]): Task =>
  ({ id, machine, name: id, uses: fluids.map((fluid) => ({ fluid })) }) as unknown as Task;
const TASKS = [
  task("oil", "van", "sump"),
  task("flush", "van", "sump", "box"),
  task("coolant", "van", "cool"),
  task("look", "van"),
  task("oil-bus", "bus", "pan"),
];
const on = (days: number, ...tasks: readonly string[]) => ({
  ...{ day: addDays(TODAY, days), visit: null, tasks: tasks as TaskId[] },
});
const VISITS = new Map([
  ["van" as MachineId, [on(9, "oil", "flush", "look"), on(40, "coolant")]],
  ["bus" as MachineId, [on(3, "oil-bus")]],
]);
const drum = (holds: object | null) => ({
  container: { id: "d", name: "Drum", kind: "oil", inUse: true, holds } as unknown as Container,
  ...{ standing: { ...NO_WASTE, litres: 10 }, full: null },
});

test("oils of all machines come together by day, a system that two tasks renew once; coolant apart", () => {
  const drains = drainsAhead({ tasks: TASKS, fluids: FLUIDS }, VISITS);
  expect([...drains.keys()].toSorted()).toEqual(["coolant", "oil"]);
  expect(drains.get("oil")).toEqual([
    { day: TODAY + 3, machine: "bus", litres: 12 },
    { day: TODAY + 9, machine: "van", litres: 8 },
  ]);
});

test("the first drain that does not fit is told, and how full it is after the next", () => {
  const next = drainsAhead({ tasks: TASKS, fluids: FLUIDS }, VISITS).get("oil") ?? [];
  expect(containerAhead(drum(L(25)), next)).toMatchObject({
    ...{ afterNext: 0.88, tooMuch: { machine: "van" } },
  });
  expect(containerAhead(drum(L(30)), next).tooMuch).toBeNull();
  expect(containerAhead(drum(L(20)), next).tooMuch).toMatchObject({ machine: "bus" });
  expect(containerAhead(drum(null), next)).toEqual({ afterNext: null, tooMuch: null });
  expect(containerAhead(drum(L(5)), [])).toEqual({ afterNext: null, tooMuch: null });
});
