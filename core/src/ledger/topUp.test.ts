import { bookOf, done, read, task, VAN } from "../../test/books.js";
import { applyChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type { Fluid } from "../book/records/fluid.js";
import type { MachineId, MeterId } from "../book/records/ids.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import { dayOf } from "../calendar/dayNumber.js";
import { insideOf } from "../schedule/inside.js";
import { topUp, usualTopUp } from "./topUp.js";

const TODAY = dayOf("2026-03-11");
const READINGS = [read("2026-02-01", 1000), read("2026-03-01", 1280)];

function context(): CommandContext {
  let count = 0;
  return { today: TODAY, newId: () => `new-${(count += 1)}`, nextSeq: () => (count += 1) };
}

function vanBook(): NonNullable<ReturnType<typeof machineBookOf>> {
  const oil = task("oil", [{ months: 12 }], { uses: [{ fluid: "engine" }] });
  const machines = [
    { ...VAN, meters: [...VAN.meters, { id: "hrs", measure: "hours", unit: "h" }] },
  ];
  const book = bookOf({
    machines,
    tasks: [oil],
    readings: READINGS,
    entries: [done("e", "2026-02-10", ["oil"])],
  });
  const found = machineBookOf(book, VAN.id as MachineId);
  if (found === null) throw new Error("no van");
  return found;
}

const FLUID = { fluid: "engine", product: "other", in: { value: 0.4, unit: "L" } } as never;

test("a top-up is an entry that completes nothing, with the dials that were not read as reckoned", () => {
  const result = topUp(vanBook(), { day: TODAY, figure: null, fluid: FLUID }, context());
  if (!result.ok) throw new Error("refused");
  expect(result.value.command).toBe("top-up");
  const [{ after: entry }] = result.value.records as unknown as [{ after: object }];
  expect(entry).toMatchObject({
    date: "2026-03-11",
    tasks: [],
    isTopUp: true,
    fluids: [FLUID],
    meters: { odo: 1380 },
    estimatedMeters: ["odo"],
  });
});

test("a figure that was read stands as read, and leaves what is inside as it was", () => {
  const figure = { meter: "odo" as MeterId, value: 1390, answer: null };
  const book = vanBook();
  const result = topUp(book, { day: TODAY, figure, fluid: FLUID }, context());
  if (!result.ok) throw new Error("refused");
  const after = applyChange(book, result.value);
  expect(after.entries.at(-1)).toMatchObject({ meters: { odo: 1390 }, estimatedMeters: [] });
  const fluids = [{ id: "engine", product: "plate" }] as unknown as Fluid[];
  expect(insideOf({ fluids }, after, TODAY).get("engine" as never)?.product).toBe("plate");
});

test("a figure that goes back and a day to come are refused", () => {
  const back = { meter: "odo" as MeterId, value: 900, answer: null };
  const codes = (day: string, figure: typeof back | null): unknown => {
    const result = topUp(vanBook(), { day: dayOf(day), figure, fluid: FLUID }, context());
    return result.ok ? "saved" : result.issues.map(({ code }) => code);
  };
  expect(codes("2026-03-11", back)).toEqual(["figure-refused"]);
  expect(codes("2026-03-12", null)).toEqual(["day-in-future"]);
});

const system = (id: string, kind: string): Fluid => ({ id, kind }) as unknown as Fluid;

test.each<[string, readonly Fluid[], string | null]>([
  ["the only engine oil", [system("c", "coolant"), system("e", "engine oil")], "e"],
  ["the only system there is", [system("b", "brake fluid")], "b"],
  ["neither of two engines", [system("e", "engine oil"), system("f", "engine oil")], null],
  ["neither of two systems", [system("c", "coolant"), system("b", "brake fluid")], null],
  ["nothing where nothing is on the plate", [], null],
])("where no system is named a top-up is of %s", (_, fluids, expected) => {
  expect(usualTopUp(fluids)?.id ?? null).toBe(expected);
});
