import type { Book } from "../book/file/book.js";
import { settingsOf } from "../book/records/settings.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { dayOf, formatDay } from "../calendar/dayNumber.js";
import type { MachineId } from "../book/records/ids.js";
import { turnsDone } from "./turns.js";

const done = (
  id: string,
  date: string,
  odo: number | null,
  tasks: string[],
  rest = {},
): object => ({
  ...{ id, machine: "bus", date, tasks, ...rest },
  ...(odo === null ? {} : { meters: { odo } }),
});
const read = (date: string, value: number): object => ({
  ...{ id: `r-${date}`, machine: "bus", meter: "odo", date, value },
});

/** A bus in service since 2020; its oil every 10,000 km, 500 of grace. */
function book(more: object = {}, firstRead = "2020-01-01"): Book {
  return {
    machines: [
      {
        ...{ id: "bus", tag: "07", name: "Bus", kind: "bus", inService: "2020-01-01" },
        meters: [{ id: "odo", measure: "distance", unit: "km" }],
      },
    ],
    tasks: [
      {
        ...{ id: "oil", machine: "bus", name: "Oil" },
        regimes: { handbook: [{ meter: "odo", every: 10000, grace: 500 }] },
      },
      {
        ...{ id: "filter", machine: "bus", name: "Filter" },
        nth: { of: "oil", every: 2 },
      },
      { id: "wash", machine: "bus", name: "Wash", regimes: { handbook: [] } },
    ],
    readings: [read(firstRead, 0)],
    entries: [
      done("e1", "2020-06-01", 10000, ["oil"]),
      done("e2", "2020-12-01", 20400, ["oil", "filter", "wash"]),
      done("e3", "2021-06-01", 30900, ["oil"]),
      done("e4", "2021-12-01", 41401, ["oil"]),
      done("guess", "2022-01-01", 60000, ["oil"], { assumed: true }),
      done("e5", "2022-06-01", 69000, ["oil"]),
    ],
    ...more,
  } as unknown as Book;
}

function told(of: Book, from = "2000-01-01", to = "2030-01-01"): string[] {
  const records = recordsByMachine(of).get("bus" as MachineId);
  if (records === undefined) throw new Error("the book has the bus");
  return turnsDone(records, settingsOf(of), dayOf(from), dayOf(to)).map(
    ({ day, task, inTime, limits, governs }) =>
      `${formatDay(day)} ${task.name} ${inTime} ${limits[governs ?? 0]?.remaining ?? "-"}`,
  );
}

test("a turn is judged by how its task stood on that day just before: within the limit, the grace, or past both", () => {
  expect(told(book())).toEqual([
    "2020-06-01 Oil in time 0",
    "2020-12-01 Oil within grace -400",
    "2020-12-01 Filter in time 0",
    "2020-12-01 Wash no limit -",
    "2021-06-01 Oil within grace -500",
    "2021-12-01 Oil late -501",
    // What is only assumed is no turn, but the next is counted from it.
    "2022-06-01 Oil in time 1000",
  ]);
});

test("only turns of the days asked for are told, by what is dated up to each", () => {
  const later = book();
  const more = {
    ...later,
    entries: [...(later.entries ?? []), done("e6", "2023-06-01", 79000, ["oil"])],
  } as Book;
  expect(told(more, "2021-06-01", "2021-12-01")).toEqual([
    "2021-06-01 Oil within grace -500",
    "2021-12-01 Oil late -501",
  ]);
});

test("of a book that begins long after its machine nobody knows whether what it sees first was late", () => {
  const late = book({ entries: [done("e2", "2022-12-01", 40000, ["oil"])] }, "2022-11-01");
  expect(told(late)).toEqual(["2022-12-01 Oil unknown -30000"]);
  const whole = book({ entries: [done("e2", "2022-12-01", 40000, ["oil"])] });
  expect(told(whole)).toEqual(["2022-12-01 Oil late -30000"]);
});

test("two turns of one day are judged one after the other, and a corrected entry as it stands now", () => {
  const twice = book({
    entries: [
      done("e1", "2020-06-01", 9000, ["oil"]),
      done("again", "2020-06-01", 9000, ["oil"]),
      done("wrong", "2020-12-01", 25000, ["oil"]),
      done("right", "2020-12-01", 19000, ["oil"], { replaces: "wrong" }),
    ],
  });
  expect(told(twice)).toEqual([
    "2020-06-01 Oil in time 1000",
    "2020-06-01 Oil in time 10000",
    "2020-12-01 Oil in time 0",
  ]);
});
