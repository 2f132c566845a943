import {
  applyChange,
  machineBookOf,
  meterReckoningOf,
  type MachineBook,
  type MachineId,
  type Meter,
  type MeterId,
} from "@yonderfell/core";
import { lookingAhead } from "../../../data/lookingAhead.js";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import { guessedFigures, happeningCommand, type Happening } from "./happening.js";
import { lifeChart } from "./lifeChart.js";

function bookOf(id: string): MachineBook {
  const book = machineBookOf(BOOK, id as MachineId);
  if (book === null) throw new Error(`no machine ${id}`);
  return book;
}

function meterOf(book: MachineBook, at = 0): Meter {
  const meter = book.machines[0].meters?.[at];
  if (meter === undefined) throw new Error("it has a meter");
  return meter;
}

/** What a meter shows once what happened to it is saved as the form suggests. */
function after(
  id: string,
  happening: Happening,
  patch: object = {},
): ReturnType<typeof meterReckoningOf> {
  const book = bookOf(id);
  const meter = meterOf(book);
  const figures = { ...guessedFigures(book, meter, happening, TODAY), ...patch };
  const result = happeningCommand(happening, meter.id, figures, TODAY)(book, lookingAhead(TODAY));
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return meterReckoningOf(applyChange(book, result.value), meter.id, TODAY);
}

test("a replaced meter begins at 0 where the old one is reckoned to have ended, and life counts on", () => {
  const before = meterReckoningOf(bookOf("m-hatch"), "odo" as MeterId, TODAY);
  const reckoned = after("m-hatch", "replaced");
  expect(reckoned?.dial).toBe(0);
  expect(reckoned?.life).toBeCloseTo(before?.life ?? 0, -1);
});

test("a meter that rolls over is guessed to have one digit more than it shows", () => {
  const book = bookOf("m-mower");
  const figures = guessedFigures(book, meterOf(book), "rolled-over", TODAY);
  expect(figures).toMatchObject({ oldFinal: "10000.0", newStart: "0", lost: "0" });
});

test("a repaired meter goes on from where it stood, with what was run meanwhile", () => {
  const book = bookOf("m-generator");
  const figures = guessedFigures(book, meterOf(book), "repaired", TODAY);
  expect(figures.oldFinal).toBe(figures.newStart);
  expect(Number(figures.lost)).toBeGreaterThan(20);
  const reckoned = after("m-generator", "repaired");
  expect(reckoned?.stoppedOn).toBeNull();
  expect(reckoned?.dial).toBeCloseTo(Number(figures.newStart), 0);
});

test("a meter that stands still is not believed from that day on", () => {
  expect(after("m-hatch", "stopped")?.stoppedOn).toBe(TODAY);
});

test("an estimate counts as one", () => {
  const kept = after("m-hatch", "estimate")?.kept ?? [];
  expect(kept.at(-1)).toMatchObject({ day: TODAY, estimated: true });
});

test("a figure that is none is refused", () => {
  expect(() => after("m-hatch", "replaced", { oldFinal: "much" })).toThrow("figure-not-a-number");
});

describe("the chart of a life", () => {
  const chartOf = (id: string, at = 0): ReturnType<typeof lifeChart> => {
    const book = bookOf(id);
    const reckoning = meterReckoningOf(book, meterOf(book, at).id, TODAY);
    if (reckoning === null) throw new Error("it is reckoned");
    return lifeChart(reckoning);
  };

  test("has every figure where it stands, the ones left out among them", () => {
    const chart = chartOf("m-hatch");
    expect(chart.faults).toHaveLength(1);
    expect(chart.line.slice(0, chart.read.length)).toEqual(chart.read);
    expect(chart.line.at(-1)?.x).toBe(TODAY);
  });

  test("never falls", () => {
    for (const machine of BOOK.machines ?? []) {
      (machine.meters ?? []).forEach((_, at) => {
        const { line } = chartOf(machine.id, at);
        line.forEach((point, index) => {
          expect(point.y).toBeGreaterThanOrEqual(line[index - 1]?.y ?? 0);
        });
      });
    }
  });

  test("marks where the dial was changed", () => {
    expect(chartOf("m-bus").changes).toHaveLength(1);
  });

  test("is level while the machine is laid up", () => {
    const { line } = chartOf("m-tow");
    expect(line.at(-1)?.y).toBeCloseTo(line.at(-2)?.y ?? 0, 0);
  });
});
