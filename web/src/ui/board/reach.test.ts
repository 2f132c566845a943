import { addDays, mostPressing, type LimitReckoning } from "@yonderfell/core";
import fc from "fast-check";
import { BOOK, onTheBoard, TODAY } from "../../../test/skarrowVale.js";

import { REACHES } from "../../session/reaches.js";
import { reachMarks, reachScale } from "./reachScale.js";
import { stripOfTask } from "./strip.js";
import { stripGeometry } from "./stripGeometry.js";

const ROOM = { whole: 100, short: 60 };
const WIDTHS = [120, 240, 390, 620, 900, 1400];

test("time only ever runs to the right, and stays within the drawing", () => {
  const offset = fc.integer({ min: -2000, max: 4000 });
  const anyWidth = fc.constantFrom(...WIDTHS);
  const anyReach = fc.constantFrom(...REACHES.map(([days]) => days));
  fc.assert(
    fc.property(anyWidth, anyReach, offset, offset, (width, reach, one, other) => {
      const scale = reachScale(width, reach);
      const [earlier, later] = one < other ? [one, other] : [other, one];
      expect(scale.x(earlier)).toBeLessThanOrEqual(scale.x(later));
      expect(scale.x(one)).toBeGreaterThanOrEqual(0);
      expect(scale.x(one)).toBeLessThanOrEqual(width);
    }),
  );
});

test("the near weeks have the most room", () => {
  const { x } = reachScale(600);
  expect(x(14) - x(0)).toBeGreaterThan(x(365) - x(351));
  expect(x(7) - x(0)).toBeGreaterThan(40);
});

test("marks that are named stand apart", () => {
  for (const [width, [reach]] of WIDTHS.flatMap((one) =>
    REACHES.map((two) => [one, two] as const),
  )) {
    const scale = reachScale(width, reach);
    expect(reachMarks(scale).every((mark) => mark.offset <= reach)).toBe(true);
    const places = reachMarks(scale)
      .filter((mark) => mark.offset > 0)
      .map((mark) => scale.x(mark.offset));
    places.forEach((place, index) => {
      if (index > 0) expect(place - (places[index - 1] ?? 0)).toBeGreaterThanOrEqual(50);
    });
  }
});

test.each(["m-bus", "m-mower", "m-hatch"])(
  "no words of %s run out of the drawing or of their body at any width",
  (machine) => {
    const room = { whole: 190, short: 60 };
    for (const width of WIDTHS.filter((one) => one >= 240)) {
      const scale = reachScale(width);
      const own = onTheBoard(machine);
      for (const task of own.tasks) {
        const strip = stripOfTask(task, own, TODAY);
        const { label, solidTo } = stripGeometry(strip, scale, TODAY, room);
        const wide = label.isWhole ? room.whole : room.short;
        const [from, to] = label.isInside ? [label.x - wide, label.x] : [label.x, label.x + wide];
        expect(from).toBeGreaterThan(scale.todayX);
        expect(to).toBeLessThanOrEqual(label.isInside ? (solidTo ?? 0) : width);
      }
    }
  },
);

test("an overdue strip stands to the left of today and a clear one to the right", () => {
  const scale = reachScale(700);
  const machines = (BOOK.machines ?? []).map(({ id }) => onTheBoard(id));
  const strips = mostPressing(machines).map(({ machine, task }) => ({
    status: task.status,
    geometry: stripGeometry(stripOfTask(task, machine, TODAY), scale, TODAY, ROOM),
  }));
  const overdue = strips.filter(({ status }) => status === "overdue");
  const clear = strips.filter(({ status }) => status === "clear");
  expect(overdue.length).toBeGreaterThan(1);
  expect(clear.length).toBeGreaterThan(1);
  for (const { geometry } of overdue) {
    expect(geometry.overFrom).not.toBeNull();
    expect(geometry.overFrom).toBeLessThan(scale.todayX);
  }
  for (const { geometry } of clear) expect(geometry.solidTo).toBeGreaterThan(scale.todayX);
});

test("the most pressing work comes first", () => {
  const states = mostPressing([onTheBoard("m-bus"), onTheBoard("m-hatch")]).map(
    ({ task }) => task.status,
  );
  const order = ["overdue", "due", "soon", "clear", "unknown", "finished"];
  expect(states.map((state) => order.indexOf(state))).toEqual(
    states.map((state) => order.indexOf(state)).sort(),
  );
});

test("a grace is drawn past the likely date, a hard limit has a thick end, an assumed start is marked", () => {
  const scale = reachScale(900);
  const bus = onTheBoard("m-bus");
  const oil = bus.tasks.find(({ task }) => task.id === "t-bus-oil");
  if (oil === undefined) throw new Error("the bus has engine oil");
  const geometryWith = (
    change: (limit: LimitReckoning) => object,
  ): ReturnType<typeof stripGeometry> => {
    const limits = oil.limits.map((one) => ({ ...one, ...change(one) }));
    return stripGeometry(stripOfTask({ ...oil, limits }, bus, TODAY), scale, TODAY, ROOM);
  };
  const plain = geometryWith(() => ({ graceUntil: null }));
  expect(plain).toMatchObject({ graceTo: null, isHard: false, wick: { isAssumed: false } });
  const graced = geometryWith(({ forecast }) => ({
    graceUntil: forecast === null ? null : addDays(forecast.likely, 9),
  }));
  expect(graced.graceTo ?? 0).toBeGreaterThan(graced.tick ?? Infinity);
  expect(graced.label.x).toBeGreaterThan(graced.graceTo ?? Infinity);
  expect(geometryWith(({ limit }) => ({ limit: { ...limit, hard: true } })).isHard).toBe(true);
  const assumed = geometryWith(({ basis }) => ({
    basis:
      "last" in basis && basis.last ? { ...basis, last: { ...basis.last, assumed: true } } : basis,
  }));
  expect(assumed.wick?.isAssumed).toBe(true);
});
