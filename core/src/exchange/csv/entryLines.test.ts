import {
  brought,
  doubts,
  issues,
  plan,
  planOf,
  states,
  stored,
  table,
} from "../../../test/csvTables.js";
import { done, task, VAN } from "../../../test/books.js";
import { writeCsv } from "./csvWrite.js";
import { writtenColumns } from "./csvColumns.js";

const ENTRY = done("e1", "2026-01-20", ["oil"], {
  meters: { odo: 41800 },
  fluids: [
    {
      ...{ fluid: "sump", condition: "with filter", product: "fell", price: 6.4, from: "stock" },
      out: { value: 11.9, unit: "L" },
      in: { value: 12.6, unit: "L" },
    },
    { fluid: "box", in: { value: 0.5, unit: "us-qt" }, onMark: true },
  ],
  parts: [{ part: "filter", count: 1, price: 14.6, from: "stock" }],
  work: [
    { person: "edda", minutes: 55, rate: 42 },
    { person: "a guest", minutes: 20 },
    { person: "edda", minutes: 5, rate: 42 },
  ],
  costs: [{ what: "wheel alignment", amount: 80, kind: "shop" }],
  isTopUp: false,
  warranty: true,
});

const BOOK = stored({
  machines: [VAN],
  tasks: [task("oil", [{ months: 12 }])],
  fluids: [
    { id: "sump", machine: "van", system: "engine", kind: "engine oil" },
    { id: "box", machine: "van", system: "gearbox", kind: "gear oil" },
  ],
  products: [{ id: "fell", name: "Fellmaster 15W-40", kind: "engine oil" }],
  parts: [{ id: "filter", name: "Filter", number: "HD 4510" }],
  people: [{ id: "edda", name: "Edda Tarn", initials: "ET" }],
  entries: [ENTRY, done("e2", "2026-02-20", ["oil"])],
});

test("an entry has a row for each line of its longest list, joined by its id, and comes back the same", () => {
  const rows = writeCsv(BOOK, "entries");
  const titles = rows[0] ?? [];
  const cells = (key: string): string[] => {
    const title = writtenColumns("entries").find((column) => column.key === key)?.title ?? "";
    return rows.slice(1).map((row) => row[titles.indexOf(title)] ?? "");
  };
  expect(cells("id")).toEqual(["e1", "e1", "e1", "e2"]);
  expect(cells("fluid")).toEqual(["engine", "gearbox", "", ""]);
  expect(cells("in")).toEqual(["12.6 L", "0.5 us-qt", "", ""]);
  expect(cells("part")).toEqual(["HD 4510", "", "", ""]);
  expect(cells("worker")).toEqual(["Edda Tarn", "a guest", "Edda Tarn", ""]);
  expect(cells("cost")).toEqual(["wheel alignment", "", "", ""]);
  expect(states(planOf(BOOK, rows, "entries"))).toEqual(["same", "same"]);
});

test("lines that a table has are brought in with their amounts, prices and people", () => {
  const found = plan(
    BOOK,
    `Machine|Date|Work done|Fluid|Product|In|Price of a litre or kilogram|Part used|Count|Done by|Minutes|Entry id
     V1|2026-03-01|oil|engine|fellmaster 15w-40|12.6 L|6.40|hd 4510|2|ET|50|n1
     V1|2026-03-01||gearbox||1 qt imp||||Joss|15|n1`,
    "entries",
  );
  expect([...issues(found), ...doubts(found)]).toEqual([]);
  expect(brought(BOOK, found).entries?.at(-1)).toMatchObject({
    tasks: ["oil"],
    fluids: [
      { fluid: "sump", product: "fell", in: { value: 12.6, unit: "L" }, price: 6.4 },
      { fluid: "box", in: { value: 1, unit: "imp-qt" } },
    ],
    parts: [{ part: "filter", count: 2 }],
    work: [
      { person: "edda", minutes: 50 },
      { person: "Joss", minutes: 15 },
    ],
  });
});

test.each([
  ["Fluid|In\nV1|2026-03-01|axle|2 L", /Row 2, Fluid: expected a fluid of V1/],
  ["Fluid|In\nV1|2026-03-01|engine|2 bar", /Row 2, In: expected an amount such as/],
  ["Fluid|In\nV1|2026-03-01||2 L", /Row 2, In: expected the fluid of the machine in the same row/],
  ["Part used|Count\nV1|2026-03-01|HD 1|2", /Row 2, Part used: expected the number of a part/],
  ["Part used|Count\nV1|2026-03-01||2", /Row 2, Count: expected the part in the same row/],
  [
    "Other cost|Amount\nV1|2026-03-01||2",
    /Row 2, Amount: expected what it was paid for in the same row/,
  ],
])("%s is refused by row and column", (text, expected) => {
  const [heading = "", row = ""] = text.split("\n");
  const rows = table(`Machine|Date|${heading}\n${row}`);
  expect(issues(planOf(BOOK, rows, "entries"))[0]).toMatch(expected);
});

test("the same row of an entry twice is refused, and not taken for two lines", () => {
  const rows = writeCsv(BOOK, "entries");
  const again = [...rows, rows[1] ?? []];
  expect(issues(planOf(BOOK, again, "entries"))[0]).toMatch(
    /Row 6, Entry id: expected another line of the entry than row 2 speaks of/,
  );
});

test("a limit by what is measured has its row among those of its task, and comes back the same", () => {
  const checks = [{ id: "pad", name: "pad", how: "measure", unit: "mm" }];
  const limit = {
    checklist: "week",
    check: "pad",
    point: "left",
    meter: "odo",
    limit: 3,
    grace: 5,
  };
  const book = stored({
    tasks: [task("pads", [{ months: 24 }, limit])],
    checklists: [{ id: "week", name: "Weekly round", checks }],
  });
  const rows = writeCsv(book, "tasks");
  expect(states(planOf(book, rows, "tasks"))).toEqual(["same"]);
  expect(rows.flat()).not.toContain(expect.stringContaining("{"));
  const without = rows.map((row) => row.map((cell) => (cell === "week" ? "" : cell)));
  expect(issues(planOf(book, without, "tasks"))[0]).toMatch(/the checklist in the same row/);
  const days = rows[0]?.indexOf("Days") ?? -1;
  for (const said of ["90", "half"]) {
    const both = rows.map((row) => (row.includes("week") ? row.with(days, said) : row));
    expect(issues(planOf(book, both, "tasks"))).toEqual([
      expect.stringMatching(/Row 3, Days: expected a row of its own/),
    ]);
  }
});
