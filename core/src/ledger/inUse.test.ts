import { machineBookOf } from "../book/slice/machineBook.js";
import type { Book } from "../book/file/book.js";
import type { Fluid } from "../book/records/fluid.js";
import type { MachineId } from "../book/records/ids.js";
import { dayOf } from "../calendar/dayNumber.js";
import { systemsInUse } from "./inUse.js";

const L = (value: number): object => ({ value, unit: "L" });
const fill = (id: string, date: string, fluids: object[], rest: object = {}): object => ({
  ...{ id, machine: "gritter", date, fluids },
  ...rest,
});
const topUp = (id: string, date: string, amount: number): object =>
  fill(id, date, [{ fluid: "sump", in: L(amount) }], { isTopUp: true });
const BOOK = {
  machines: [
    {
      ...{ id: "gritter", tag: "21", name: "Gritter", kind: "lorry" },
      meters: [{ id: "odo", kind: "odometer", unit: "km" }],
    },
  ],
  readings: [
    { id: "r1", machine: "gritter", meter: "odo", date: "2025-06-01", value: 10000 },
    { id: "r2", machine: "gritter", meter: "odo", date: "2026-06-01", value: 20000 },
  ],
  entries: [
    fill("old", "2025-07-01", [{ fluid: "sump", product: "fell", in: L(26) }]),
    fill("wrong", "2026-01-10", [{ fluid: "sump", product: "fell", in: L(20) }]),
    fill("right", "2026-01-10", [{ fluid: "sump", product: "fell", in: L(25) }], {
      replaces: "wrong",
    }),
    fill("again", "2026-01-10", [{ fluid: "sump", product: "fell", in: L(1) }]),
    topUp("before", "2025-05-20", 9),
    topUp("one", "2025-09-01", 1.5),
    topUp("two", "2026-03-01", 2.5),
    fill("drained", "2026-05-01", [{ fluid: "box", out: L(3) }]),
    fill("weighed", "2026-04-01", [{ fluid: "grease", in: { value: 2, unit: "kg" } }], {
      isTopUp: true,
    }),
  ],
} as unknown as Book;
const FLUIDS = ["sump", "box", "grease"].map(
  (id) => ({ id, machine: "gritter", system: id, kind: "engine oil" }) as unknown as Fluid,
);
const book = machineBookOf(BOOK, "gritter" as MachineId);
const [sump, box, grease] = book === null ? [] : systemsInUse(book, FLUIDS, dayOf("2026-06-01"));

test("a system was last filled by the last of a day that stands, and by no top-up", () => {
  expect(sump?.filled?.entry.id).toBe("again");
  const without = { ...BOOK, entries: (BOOK.entries ?? []).filter(({ id }) => id !== "again") };
  const other = machineBookOf(without, "gritter" as MachineId);
  if (other === null) throw new Error("the book has it");
  const [before] = systemsInUse(other, FLUIDS, dayOf("2026-06-01"));
  expect(before?.filled?.entry.id).toBe("right");
  expect(before?.filled?.line).toMatchObject({ product: "fell", in: L(25) });
});

test("what it takes is what was topped up within the last year, by what was run in it", () => {
  expect(sump?.topUps).toMatchObject({ count: 2, amount: 4, per: 1000 });
  expect(sump?.topUps?.rate).toBeCloseTo((4 / 10000) * 1000, 9);
  expect(sump?.topUps?.since).toBe(dayOf("2025-06-01"));
  expect(sump?.topUps?.topUps.map(({ amount }) => amount).sort()).toEqual([1.5, 2.5]);
});

test("what only came out, or was weighed, is neither a filling nor litres", () => {
  expect(box).toMatchObject({ filled: null, topUps: null });
  expect(grease).toMatchObject({ filled: null, topUps: null });
});

test("of a machine that has run nothing there is no rate", () => {
  const still = { ...BOOK, readings: [] };
  const other = machineBookOf(still, "gritter" as MachineId);
  if (other === null) throw new Error("the book has it");
  expect(systemsInUse(other, FLUIDS, dayOf("2026-06-01"))[0]?.topUps).toBeNull();
});
