import fc from "fast-check";
import type { Book } from "../book/file/book.js";
import type { MachineId } from "../book/records/ids.js";
import { addDays, dayOf, formatDay } from "../calendar/dayNumber.js";
import { bookCosts } from "./bookCosts.js";
import { LOG_ORDERS, logOf, type LogAsked } from "./logList.js";

const L = (value: number): object => ({ value, unit: "L" });
const BOOK = {
  machines: [
    {
      ...{ id: "bus", tag: "07", name: "Bus", kind: "bus" },
      meters: [{ id: "odo", measure: "distance", unit: "km" }],
    },
    {
      ...{ id: "van", tag: "10", name: "Van", kind: "van" },
      meters: [{ id: "odo", measure: "distance", unit: "mi", name: "clock" }],
    },
    { id: "mower", tag: "9", name: "Mower", kind: "mower" },
  ],
  tasks: [
    { id: "oil", machine: "bus", name: "Engine oil" },
    { id: "wash", machine: "bus", name: "Wash" },
  ],
  people: [{ id: "et", name: "Edda Thwaite" }],
  parts: [{ id: "pt", number: "HD 4510", name: "Oil filter" }],
  products: [{ id: "fell", name: "Fellmaster" }],
  fluids: [{ id: "sump", machine: "bus", system: "engine" }],
  entries: [
    {
      ...{ id: "a", machine: "bus", date: "2026-01-10", tasks: ["oil"], meters: { odo: 4100.5 } },
      fluids: [{ fluid: "sump", product: "fell", in: L(12), price: 5 }],
      parts: [{ part: "pt", count: 1 }],
      work: [
        { person: "et", minutes: 60, rate: 40 },
        { person: "guest", minutes: 30 },
      ],
      note: "cut open, clean",
    },
    { id: "b", machine: "bus", date: "2026-02-10", tasks: ["wash"], meters: { hrs: 5 } },
    {
      ...{ id: "c", machine: "van", date: "2026-03-10", warranty: true, meters: { odo: 99 } },
      costs: [{ what: "recall", amount: 80 }],
    },
    { id: "d", machine: "mower", date: "2026-03-10", costs: [{ what: "blade", amount: 7 }] },
    { id: "wrong", machine: "mower", date: "2026-04-10", costs: [{ what: "blade", amount: 9 }] },
    { id: "gone", machine: "mower", date: "2026-04-10", replaces: "wrong", void: true },
  ],
} as unknown as Book;

const ALL: LogAsked = {
  ...{ from: null, to: null, machine: null, task: "", person: "", used: "" },
  ...{ order: "date", isDescending: true },
};
const LOG = logOf(BOOK);
const asked = (more: Partial<LogAsked>): string =>
  LOG.ask({ ...ALL, ...more })
    .entries.map(({ id }) => id)
    .join(" ");

test("all that counts stands there, the latest first; of one day the later written first", () => {
  expect(asked({})).toBe("d c b a");
  expect(asked({ isDescending: false })).toBe("a b c d");
});

test.each<[string, Partial<LogAsked>, string]>([
  ["a machine", { machine: "bus" as MachineId }, "b a"],
  ["a word of a task", { task: " OIL" }, "a"],
  ["a person the book knows", { person: "et" }, "a"],
  ["a person by words", { person: "guest" }, "a"],
  ["a number of a part", { used: "4510" }, "a"],
  ["a product", { used: "fellm" }, "a"],
  ["a fluid system", { used: "engine" }, "a"],
  ["the days, both included", { from: dayOf("2026-02-10"), to: dayOf("2026-03-10") }, "d c b"],
  ["what is nowhere", { used: "belt" }, ""],
])("it is narrowed by %s", (_by, more, ids) => {
  expect(asked(more)).toBe(ids);
});

test.each<[LogAsked["order"], string, string]>([
  // By number as people count: 9 comes before 10.
  ["machine", "c d b a", "b a d c"],
  ["minutes", "a d c b", "d c b a"],
  ["cost", "a c d b", "b d c a"],
])("sorted by %s, of what is alike the latest comes first either way", (order, down, up) => {
  expect(asked({ order })).toBe(down);
  expect(asked({ order, isDescending: false })).toBe(up);
});

test("what is shown is summed, warranty apart", () => {
  expect(LOG.ask(ALL).sums).toEqual({
    ...{ entries: 4, minutes: 90, cost: 107, warranty: 80, missing: 2 },
  });
});

test("as a table each dial is called as its own machine calls it, and warranty stands apart", () => {
  const [headings, ...rows] = LOG.table(LOG.ask({ ...ALL, isDescending: false }).entries);
  expect(rows.map((row) => row.join(" | "))).toEqual([
    "2026-01-10 | 07 | Bus | Engine oil | 4100.5 km | engine 12 L Fellmaster | 1 × HD 4510 Oil filter | Edda Thwaite; guest | 90 | 100.00 | 0.00 | 2 | cut open, clean",
    "2026-02-10 | 07 | Bus | Wash | 5 hrs |  |  |  | 0 | 0.00 | 0.00 | 0 | ",
    "2026-03-10 | 10 | Van |  | clock 99 mi |  |  |  | 0 | 0.00 | 80.00 | 0 | ",
    "2026-03-10 | 9 | Mower |  |  |  |  |  | 0 | 7.00 | 0.00 | 0 | ",
  ]);
  expect(headings).toHaveLength(rows[0]?.length ?? 0);
});

test("the names of some entries are those they ask for and the book knows", () => {
  const { entries } = LOG.ask({ ...ALL, task: "oil" });
  expect(LOG.names(entries)).toEqual({
    task: new Map([["oil", "Engine oil"]]),
    part: new Map([["pt", "HD 4510 Oil filter"]]),
    product: new Map([["fell", "Fellmaster"]]),
    fluid: new Map([["sump", "engine"]]),
    person: new Map([["et", "Edda Thwaite"]]),
  });
});

test("of any log and any order the sums are those of its machines' costs, and nothing is lost or doubled", () => {
  const anyLog = fc.array(
    fc.record({
      machine: fc.constantFrom("bus", "van", "mower"),
      day: fc.nat({ max: 300 }),
      amount: fc.option(fc.integer({ min: 0, max: 99 }), { nil: null }),
      warranty: fc.boolean(),
    }),
    { maxLength: 30 },
  );
  const first = dayOf("2026-01-01");
  fc.assert(
    fc.property(
      anyLog,
      fc.constantFrom(...LOG_ORDERS),
      fc.boolean(),
      (drawn, order, isDescending) => {
        const entries = drawn.map(({ machine, day, amount, warranty }, at) => ({
          ...{ id: `e${at}`, seq: at, machine, date: formatDay(addDays(first, day)), warranty },
          costs: [{ what: "bill", amount }],
        }));
        const book = { ...BOOK, entries } as unknown as Book;
        const { entries: told, sums } = logOf(book).ask({ ...ALL, order, isDescending });
        expect(told.map(({ id }) => id as string).toSorted()).toEqual(
          entries.map(({ id }) => id).toSorted(),
        );
        const { machines } = bookCosts(book, "2026-01-01", "2027-01-01");
        const of = (field: "total" | "warranty" | "missing"): number =>
          machines.reduce((sum, one) => sum + one[field], 0);
        expect([sums.cost, sums.warranty, sums.missing]).toEqual([
          ...[of("total"), of("warranty"), of("missing")],
        ]);
      },
    ),
  );
});
