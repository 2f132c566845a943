import type { Book } from "../book/file/book.js";
import type { MachineId } from "../book/records/ids.js";
import { settingsOf } from "../book/records/settings.js";
import { EMPTY_PLATE } from "../book/slice/machinePlate.js";
import { recordsByMachine, type MachineRecords } from "../book/slice/machineRecords.js";
import { dayOf, formatDay } from "../calendar/dayNumber.js";
import { schoolsInHindsight } from "./hindsight.js";

const TODAY = dayOf("2026-01-01");
const read = (date: string, value: number): object => ({
  ...{ id: `r${date}`, machine: "van", meter: "odo", date, value },
});

function recordsOf(entries: object[]): MachineRecords {
  const records = recordsByMachine({
    machines: [
      {
        ...{ id: "van", tag: "18", name: "Van", kind: "van", inService: "2022-01-01" },
        meters: [{ id: "odo", measure: "distance", unit: "km" }],
      },
    ],
    tasks: [
      {
        ...{ id: "oil", machine: "van", name: "Oil", minutes: 30 },
        regimes: {
          handbook: [{ meter: "odo", every: 10000 }],
          cautious: [{ meter: "odo", every: 5000 }],
        },
      },
      {
        ...{ id: "filter", machine: "van", name: "Filter", minutes: 10 },
        nth: { of: "oil", every: 2 },
      },
    ],
    // Little in the first two years, much in the third.
    readings: [read("2022-01-01", 0), read("2024-01-01", 4000), read("2025-01-01", 44000)],
    entries,
  } as unknown as Book).get("van" as MachineId);
  if (records === undefined) throw new Error("the book has the van");
  return records;
}

const SOURCE = { plate: EMPTY_PLATE, parts: [], products: [], rate: 60 };
const hindsight = (entries: object[]) =>
  schoolsInHindsight(recordsOf(entries), settingsOf({}), SOURCE, TODAY);

test("each school is followed as the machine really ran, not as it runs today", () => {
  const told = hindsight([]);
  expect(formatDay(told?.from ?? TODAY)).toBe("2022-01-01");
  const turns = told?.schools.map(({ school, tasks }) => [
    school,
    ...tasks.map((task) => task.turns),
  ]);
  // 44,000 km by 2025, and on at the pace of the last year to 2026.
  const [handbook, cautious] = turns ?? [];
  expect(handbook?.[0]).toBe("handbook");
  expect(handbook?.[1]).toBeGreaterThanOrEqual(4);
  expect(cautious?.[1]).toBeGreaterThanOrEqual(8);
  expect(Number(cautious?.[1])).toBeGreaterThan(Number(handbook?.[1]));
  // The filter goes with every second turn.
  expect(handbook?.[2]).toBe(Math.floor(Number(handbook?.[1]) / 2));
});

test("what was done is reckoned in the same way, and tests stand with what they found", () => {
  const entry = (id: string, date: string, rest: object): object => ({
    ...{ id, machine: "van", date, ...rest },
  });
  const told = hindsight([
    entry("a", "2024-06-01", { tasks: ["oil"] }),
    entry("b", "2025-01-01", { tasks: ["oil", "filter"] }),
    entry("c", "2025-02-01", { tasks: ["oil"], assumed: true }),
    entry("d", "2025-03-01", { lookAgain: [{ task: "oil", months: 6, found: "clear" }] }),
  ]);
  expect(told?.done).toMatchObject({ turns: 3, minutes: 70, money: { labour: 70 } });
  expect(told?.tests).toEqual([{ task: "oil", on: dayOf("2025-03-01"), found: "clear" }]);
});

test("of a machine without a record nothing is told", () => {
  const none = { ...recordsOf([]), readings: [] };
  expect(schoolsInHindsight(none, settingsOf({}), SOURCE, TODAY)).toBeNull();
});
