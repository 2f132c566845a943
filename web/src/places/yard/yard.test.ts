import {
  dayOf,
  machineBookOf,
  settingsOf,
  withdrawRecord,
  applyChange,
  type FigureAnswer,
  type MachineBook,
  type MachineId,
  type MeterId,
} from "@yonderfell/core";
import { BOOK, TODAY } from "../../../test/skarrowVale.js";
import { lookingAhead } from "../../data/lookingAhead.js";
import { answerFrom, figuresFor, NO_FIGURES } from "../shared/logging/figureAnswer.js";
import { historyDay, historyOf, logbookOf, replacedIn } from "./history.js";
import { outlookOf, understood } from "./readingModel.js";
import { correctionPath } from "../shared/paths.js";

function book(id: string): MachineBook {
  const found = machineBookOf(BOOK, id as MachineId);
  if (found === null) throw new Error(`no machine ${id}`);
  return found;
}

const ODO = "odo" as MeterId;
const reading = (value: number, answer: FigureAnswer | null = null): ReturnType<typeof outlookOf> =>
  outlookOf(
    book("m-bus"),
    settingsOf(BOOK),
    { day: TODAY, figure: { meter: ODO, day: TODAY, value, answer }, fluid: null },
    TODAY,
  );

test("a reading that fits shows the dates it moves, earlier where more was run", () => {
  const more = reading(11420);
  if (more.code !== "fits") throw new Error("it fits");
  const oil = more.moves.find((move) => move.task === "t-bus-oil");
  expect(oil?.from.replaceAll("\u00a0", " ")).toBe("soon, 12 Dec");
  expect(oil?.to.replaceAll("\u00a0", " ")).toMatch(/^soon, 6 Dec/);
  expect(more.moves.every((move) => move.from !== move.to)).toBe(true);
});

test("a reading of just what was reckoned moves no state", () => {
  const same = reading(11215);
  if (same.code !== "fits") throw new Error("it fits");
  expect(same.moves.filter((move) => move.from.split(",")[0] !== move.to.split(",")[0])).toEqual(
    [],
  );
});

test("a reading that goes back is stopped with the figure it disagrees with", () => {
  const back = reading(9420);
  expect(back).toMatchObject({
    code: "stopped",
    issue: { code: "figure-in-doubt", doubt: { code: "goes-back", againstDial: 11179 } },
  });
});

test("lines are understood by the machines of the book", () => {
  const machines = BOOK.machines ?? [];
  expect(understood("12 1999.5", machines, null)).toMatchObject({
    ok: true,
    value: { figure: { value: 1999.5, meter: { id: "hrs" } }, topUp: null },
  });
  expect(understood("13 5", machines, null)).toMatchObject({
    ok: false,
    issues: [{ code: "tag-unknown" }],
  });
});

const DOUBT = {
  code: "goes-back" as const,
  againstDial: 11179,
  against: { day: dayOf("2026-11-22") } as never,
};

test("an answer begins with the figure and the day it disagrees with", () => {
  const figures = figuresFor(DOUBT);
  expect(figures).toMatchObject({ day: "2026-11-22", oldFinal: "11179", newStart: "0" });
  expect(answerFrom("replaced", figures)).toEqual({
    code: "replaced",
    day: dayOf("2026-11-22"),
    oldFinal: 11179,
    newStart: 0,
    lost: 0,
  });
  expect(answerFrom("rolled-over", { ...figures, rollsOverAt: "99 999" })).toMatchObject({
    code: "rolled-over",
    at: 99999,
  });
  expect(answerFrom("right", NO_FIGURES)).toEqual({ code: "right" });
});

test.each([
  ["nothing chosen", null, NO_FIGURES],
  ["a typing error", "typing" as const, figuresFor(DOUBT)],
  ["no day", "replaced" as const, NO_FIGURES],
  ["a figure missing", "replaced" as const, { ...figuresFor(DOUBT), lost: "" }],
  ["letters for a figure", "rolled-over" as const, { ...figuresFor(DOUBT), rollsOverAt: "all" }],
])("there is no answer with %s", (_, choice, figures) => {
  expect(answerFrom(choice, figures)).toBeNull();
});

test("the history has every record of the machine once, latest first", () => {
  const bus = book("m-bus");
  const items = historyOf(bus);
  expect(items).toHaveLength(bus.entries.length + bus.readings.length + bus.meterChanges.length);
  items.forEach((item, index) => {
    const earlier = items[index - 1];
    if (earlier !== undefined) expect(historyDay(earlier)).toBeGreaterThanOrEqual(historyDay(item));
  });
});

test("a withdrawn record stays in the history and is known to be replaced", () => {
  const hatchback = book("m-hatch");
  const withdrawn = withdrawRecord(hatchback, "readings", "r-h1-odo-412", lookingAhead(TODAY));
  if (!withdrawn.ok) throw new Error("refused");
  const after = applyChange(hatchback, withdrawn.value);
  expect(historyOf(after)).toHaveLength(historyOf(hatchback).length + 1);
  expect([...replacedIn(after)]).toEqual(["r-h1-odo-412"]);
});

test("addresses of corrections hold any id", () => {
  expect(correctionPath("a/b", "readings", "x y#?")).toBe("/correct/a%2Fb/readings/x%20y%23%3F");
});

test("a logbook tells what stands, from the first day on, with readings only where they are wanted", () => {
  const bus = book("m-bus");
  const all = logbookOf(bus, true);
  const days = all.map(historyDay);
  expect(days).toEqual(days.toSorted((one, other) => one - other));
  const replaced = replacedIn(bus);
  expect(all.some(({ record }) => record.void === true || replaced.has(record.id))).toBe(false);
  const work = logbookOf(bus, false);
  expect(work.length).toBeLessThan(all.length);
  expect(work).toEqual(all.filter(({ kind }) => kind !== "readings"));
  const [first] = work.filter(({ kind }) => kind === "entries");
  if (first === undefined) throw new Error("the bus has a log");
  const gone = withdrawRecord(bus, "entries", first.record.id, lookingAhead(TODAY));
  if (!gone.ok) throw new Error("it can be withdrawn");
  const after = applyChange(bus, gone.value);
  expect(logbookOf(after, false).map(({ record }) => record.id)).toEqual(
    work.map(({ record }) => record.id).filter((id) => id !== first.record.id),
  );
});
