import type { Book } from "../../book/file/book.js";
import type { FluidId, MachineId } from "../../book/records/ids.js";
import type { Part } from "../../book/records/part.js";
import { settingsOf } from "../../book/records/settings.js";
import type { StockMove } from "../../book/records/stockMove.js";
import { EMPTY_PLATE } from "../../book/slice/machinePlate.js";
import { recordsByMachine, type MachineRecords } from "../../book/slice/machineRecords.js";
import { dayOf } from "../../calendar/dayNumber.js";
import { reckonMeters, type MeterReckoning } from "../../meter/reckonMeter.js";
import { consumptionTrend } from "./consumption.js";
import { estimatesBeside } from "./estimates.js";
import { partLives, partLivesOn, partsKnown } from "./partLives.js";

const TODAY = dayOf("2026-11-30");
const NEEDS = { plate: EMPTY_PLATE, parts: [], products: [], rate: 30 };
const system = (id: string) => ({ id: id as FluidId, system: id });
const L = (value: number): object => ({ value, unit: "L" });
const entry = (id: string, date: string, odo: number, rest: object): object => ({
  ...{ id, machine: "van", date, meters: { odo }, ...rest },
});
const oil = (id: string, date: string, odo: number): object =>
  entry(id, date, odo, { tasks: ["oil"], fluids: [{ fluid: "sump", in: L(5) }] });
const topUp = (id: string, date: string, odo: number, litres: number): object =>
  entry(id, date, odo, { isTopUp: true, fluids: [{ fluid: "sump", in: L(litres) }] });

function known(entries: object[]): { records: MachineRecords; meter: MeterReckoning } {
  const book = {
    machines: [
      {
        ...{ id: "van", tag: "18", name: "Van", kind: "van" },
        meters: [{ id: "odo", measure: "distance", unit: "km" }],
      },
    ],
    tasks: [
      { id: "oil", machine: "van", name: "Oil", minutes: 30 },
      { id: "wash", machine: "van", name: "Wash" },
    ],
    entries,
  } as unknown as Book;
  const records = recordsByMachine(book).get("van" as MachineId);
  if (records === undefined) throw new Error("the book has the van");
  const [meter] = [...reckonMeters(records, settingsOf(book), TODAY).values()];
  if (meter === undefined) throw new Error("the van has a meter");
  return { records, meter };
}

describe("consumption from service to service", () => {
  const SERVICES = [
    oil("s1", "2023-01-01", 10000),
    topUp("t1", "2023-06-01", 15000, 0.5),
    oil("s2", "2024-01-01", 20000),
    topUp("t2", "2024-06-01", 25000, 0.6),
    oil("s3", "2025-01-01", 30000),
    topUp("t3", "2025-06-01", 35000, 0.4),
    oil("s4", "2026-01-01", 40000),
  ];
  const trend = (more: object[]) => {
    const { records, meter } = known([...SERVICES, ...more]);
    return consumptionTrend(system("sump"), records.entries, meter);
  };

  test("each span has its litres by 1,000 km, and what goes on stands apart", () => {
    const told = trend([topUp("t4", "2026-06-01", 45000, 1)]);
    expect(told?.spans.map(({ amount, count, rate }) => [amount, count, rate])).toEqual([
      [0.5, 1, 0.05],
      [0.6, 1, 0.06],
      [0.4, 1, 0.04],
    ]);
    expect(told?.soFar).toMatchObject({ amount: 1, toDay: null, from: 40000 });
    // Two earlier spans say nothing of what is usual.
    expect(told).toMatchObject({ usual: null, isDoubled: false });
  });

  test.each([
    [1.0, false],
    [1.01, true],
  ])(
    "with three earlier spans, %d L in the last doubled the usual half: %s",
    (litres, isDoubled) => {
      const told = trend([
        topUp("t4", "2026-06-01", 45000, litres),
        oil("s5", "2026-11-01", 50000),
      ]);
      expect(told?.usual).toBeCloseTo(0.05, 12);
      expect(told?.isDoubled).toBe(isDoubled);
      expect(told?.spans.at(-1)?.entries).toEqual(["s4", "s5", "t4"]);
    },
  );

  test("of a system that took nothing between its services nothing is told", () => {
    const { records, meter } = known([
      oil("s1", "2023-01-01", 10000),
      oil("s2", "2024-01-01", 20000),
    ]);
    expect(consumptionTrend(system("sump"), records.entries, meter)).toBeNull();
  });

  test("of a system that was filled once, or never, nothing is told", () => {
    const { records, meter } = known([oil("s1", "2023-01-01", 10000)]);
    expect(consumptionTrend(system("sump"), records.entries, meter)).toBeNull();
    expect(consumptionTrend(system("box"), records.entries, meter)).toBeNull();
  });
});

test("a part lasts from its fitting to that of the next of its line; two entries of one day fitted it once", () => {
  const fit = (id: string, date: string, odo: number, part: string): object =>
    entry(id, date, odo, { parts: [{ part, count: 1 }] });
  const { records, meter } = known([
    fit("a", "2024-01-01", 10000, "old"),
    fit("a2", "2024-01-01", 10000, "old"),
    fit("b", "2025-01-01", 22000, "old"),
    fit("c", "2025-07-01", 30000, "new"),
    fit("d", "2025-08-01", 31000, "belt"),
  ]);
  const parts = [
    { id: "old", name: "Filter", number: "A1", supersededBy: "A2" },
    { id: "new", name: "Filter", number: "A2" },
    { id: "belt", name: "Belt", number: "B1" },
  ] as unknown as Part[];
  const lives = partLivesOn("van" as MachineId, records.entries, meter, partsKnown(parts, []));
  expect(
    lives.map(({ part, fitted, days, life, unit }) => [part, fitted, days, life, unit]),
  ).toEqual([
    ["old", "a", 366, 12000, "km"],
    ["old", "b", 181, 8000, "km"],
  ]);
  expect(partLives(lives)).toMatchObject([
    {
      part: "old",
      source: "bought",
      unit: "km",
      days: 273.5,
      median: 10000,
      low: 8000,
      high: 12000,
    },
  ]);
});

test("sources of one number stand apart, what lay on the shelf as whom it was last bought from before", () => {
  const fit = (id: string, date: string, odo: number, from: string): object =>
    entry(id, date, odo, { parts: [{ part: "p", count: 1, from }] });
  const { records, meter } = known([
    fit("a", "2024-01-01", 10000, "stock"),
    fit("b", "2024-06-01", 16000, "stock"),
    fit("c", "2025-01-01", 20000, "supplied"),
    fit("d", "2025-06-01", 29000, "bought"),
  ]);
  const move = (id: string, date: string, rest: object): object => ({
    ...{ id, date, part: "p", amount: 1, why: "bought", ...rest },
  });
  const moves = [
    move("m1", "2023-12-01", { source: "Corrie" }),
    move("m2", "2024-03-01", { source: "Fen End" }),
    move("m3", "2024-04-01", {}),
    move("m4", "2024-05-01", { source: "Wrong", void: true }),
  ] as unknown as StockMove[];
  const lives = partLivesOn("van" as MachineId, records.entries, meter, partsKnown([], moves));
  expect(partLives(lives).map(({ source, median }) => [source, median])).toEqual([
    ["Corrie", 6000],
    ["Fen End", 4000],
    ["supplied", 9000],
  ]);
});

describe("estimated against actual", () => {
  const work = (id: string, minutes: number, tasks: string[], rest: object = {}): object =>
    entry(id, `2026-0${id.at(-1)}-01`, 10000 + Number(id.at(-1)), {
      ...{ tasks, work: [{ person: "et", minutes, rate: 60 }], ...rest },
    });

  test("only work that did one task alone says how long it takes", () => {
    const { records } = known([
      work("e1", 40, ["oil"]),
      work("e2", 50, ["oil"]),
      work("e3", 60, ["oil"], { warranty: true }),
      work("e4", 200, ["oil", "wash"]),
    ]);
    expect(estimatesBeside(records.tasks, records.entries, NEEDS)).toEqual([
      {
        ...{ task: records.tasks[0], estimated: 30, times: 3, median: 50, low: 40, high: 60 },
        ...{ estimatedCost: 15, isWhole: true, cost: 45 },
        done: [
          { entry: "e1", day: dayOf("2026-01-01"), minutes: 40 },
          { entry: "e2", day: dayOf("2026-02-01"), minutes: 50 },
          { entry: "e3", day: dayOf("2026-03-01"), minutes: 60 },
        ],
        ...{ newest: dayOf("2026-03-01"), minutes: 50, speaks: true },
      },
    ]);
  });

  test("within a fifth of the estimate, or seen less than three times, it speaks for no change", () => {
    const near = known([1, 2, 3].map((at) => work(`e${at}`, 36, ["oil"])));
    expect(estimatesBeside(near.records.tasks, near.records.entries, NEEDS)[0]?.speaks).toBe(false);
    const few = known([work("e1", 90, ["wash"]), work("e2", 90, ["wash"])]);
    expect(estimatesBeside(few.records.tasks, few.records.entries, NEEDS)[0]?.speaks).toBe(false);
    const many = known([1, 2, 3].map((at) => work(`e${at}`, 90, ["wash"])));
    expect(estimatesBeside(many.records.tasks, many.records.entries, NEEDS)).toMatchObject([
      { minutes: 90, speaks: true },
    ]);
  });
});
