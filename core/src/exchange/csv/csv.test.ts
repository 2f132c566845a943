import type { Book } from "../../book/file/book.js";
import { CSV_KINDS, type CsvKind } from "./csvColumns.js";
import { guessCsv } from "./csvGuess.js";
import { csvChange } from "./csvPlan.js";
import { writeCsv } from "./csvWrite.js";
import { VAN } from "../../../test/books.js";
import {
  HABITS,
  stored,
  counting,
  planOf,
  table,
  plan,
  issues,
  states,
  doubts,
  brought,
  FLEET,
} from "../../../test/csvTables.js";

describe("round trip", () => {
  test.each(CSV_KINDS)("%s written and read onto their own book change nothing", (kind) => {
    const found = planOf(FLEET, writeCsv(FLEET, kind));
    expect(found.kind).toBe(kind);
    expect(issues(found)).toEqual([]);
    expect(new Set(states(found))).toEqual(new Set(["same"]));
    expect(csvChange(found, () => true, counting()).records).toEqual([]);
  });

  test.each(CSV_KINDS)("%s written and read into the book without them are the same", (kind) => {
    // What leans on machines and tasks goes with them; the order of taking on is machines first.
    const gone: Readonly<Record<CsvKind, readonly string[]>> = {
      machines: ["machines", "tasks", "readings", "entries"],
      tasks: ["tasks", "entries"],
      readings: ["readings"],
      entries: ["entries"],
      parts: ["parts"],
    };
    const emptied = { ...FLEET, ...Object.fromEntries(gone[kind].map((key) => [key, []])) };
    const machines =
      kind === "machines" || kind === "tasks"
        ? FLEET.machines?.map((machine) =>
            "reminders" in machine
              ? { ...machine, reminders: [{ code: "A1", tasks: [] }] }
              : machine,
          )
        : FLEET.machines;
    const without = kind === "machines" ? emptied : { ...emptied, machines };
    const found = planOf(without as unknown as Book, writeCsv(FLEET, kind), kind);
    expect(issues(found)).toEqual([]);
    const after = brought(without as unknown as Book, found);
    const expected = kind === "machines" ? machines : FLEET[kind];
    const plain = (value: unknown): unknown =>
      JSON.parse(
        JSON.stringify(value, (_key, inner: unknown) => (inner === null ? undefined : inner)),
      );
    expect(plain(after[kind])).toEqual(plain(expected));
  });

  test("a text a spreadsheet takes for a formula gets one sign before it, which is taken off again", () => {
    const cells = writeCsv(FLEET, "machines").flat();
    expect(cells).toContain("'-trike");
    expect(writeCsv(FLEET, "readings").flat()).toContain("''quoted");
    expect(writeCsv(FLEET, "parts").flat()).toContain("'=12-3");
    const named = plan(stored({}), "Tag|Name\nV1|''=a");
    expect((named.items[0]?.record as { name?: string }).name).toBe("'=a");
  });
});

describe("what a file is taken for", () => {
  test.each([
    ["Vehicle|Odometer (mi)|Read on\nV1|10|03/02/2026", "readings", ["machine", "value", "date"]],
    [
      "Asset|Service|Interval|Months\nV1|Oil|15000|12",
      "tasks",
      ["machine", "name", "every", "months"],
    ],
    [
      "Part no|Description|Supplier|Price\n1|Belt|Shop|3",
      "parts",
      ["number", "name", "source", "price"],
    ],
    [
      "Date|Fleet number|Work done|Remarks\n1.2.2026|V1|oil|x",
      "entries",
      ["date", "machine", "tasks", "note"],
    ],
    ["Fleet number|Name|Type|VIN\n1|a|b|c", "machines", ["tag", "name", "kind", "vin"]],
  ])("%s", (text, kind, columns) => {
    const guess = guessCsv(table(text), HABITS);
    expect([guess.kind, guess.columns]).toEqual([kind, columns]);
  });

  test("dates, decimals and distances are told from the cells and headings, or said to be unsure", () => {
    const of = (text: string): unknown => {
      const { dates, decimal, distance } = guessCsv(table(text), HABITS, "readings");
      return [dates.value, dates.isSure, decimal.value, decimal.isSure, distance];
    };
    expect(of("Date|Miles\n3/14/2026|10.5\n3/4/2026|7")).toEqual(["mdy", true, ".", true, "mi"]);
    expect(of("Date|Reading\n3/4/2026|1,234")).toEqual(["dmy", false, ".", false, null]);
    expect(of("Date|Reading\n2026-03-04|1.234,5")).toEqual(["dmy", true, ",", true, null]);
    expect(of("Date|km\n4 Mar 2026 10:30|1,234,567")).toEqual(["dmy", true, ".", true, "km"]);
  });
});

describe("readings", () => {
  test("are new, there already, repeated, or corrections of what the book has", () => {
    const found = plan(
      FLEET,
      `Machine|Date|Reading|Meter|Reading id
       V1|3.3.2026|43 000||
       V1|3.3.2026|43000||
       V1|3.1.2026|41200||
       V1|3.1.2026|41200|odo|r-2026-01-03-41200
       V1|3.1.2026|41210|odo|r-2026-01-03-41200`,
    );
    // The row that contradicts an earlier one is refused alone.
    expect(states(found)).toEqual(["new", "new", "same", "same", "refused"]);
    expect(issues(found)).toEqual([
      `Row 6, Reading id: expected an id of its own (row 5 has it) (there is "r-2026-01-03-41200")`,
    ]);
    expect(doubts(found)).toEqual(["3: repeated"]);
  });

  test("with another figure under a known id become corrections", () => {
    const found = plan(
      FLEET,
      "Machine|Date|Reading|Reading id\nV1|2026-01-03|41210|r-2026-01-03-41200",
    );
    expect(doubts(found)).toEqual(["2: differs"]);
    const after = brought(FLEET, found);
    expect(after.readings?.at(-1)).toMatchObject({ value: 41210, replaces: "r-2026-01-03-41200" });
    expect(after.readings).toHaveLength(5);
    const old = plan(
      FLEET,
      "Machine|Date|Reading|Reading id\nV1|2026-02-03|9|r-2026-02-03-42200.5",
    );
    expect(issues(old)[0]).toContain("as it has been corrected since");
  });

  test("take the unit of the cell, the column or the heading, and it tells the meter", () => {
    const found = plan(
      FLEET,
      `Machine|Date|Odometer (mi)|Unit|Meter
       V1|2026-04-01|27000||
       V1|2026-04-02|43 500 km||
       V1|2026-04-03|13.5|h|
       V1|2026-04-04|14||pump, hours
       V1|2026-04-05|5|h|odo
       V1|2026-04-05|5|furlongs|odo`,
    );
    const values = found.items.map(({ record }) => (record as { value?: number } | null)?.value);
    expect(values).toEqual([43452.3, 43500, 13.5, 14, undefined, undefined]);
    expect(issues(found)).toEqual([
      'Row 6, Odometer (mi): expected a figure in km, in which odo counts (there is "5")',
      'Row 7, Unit: expected km, mi or h (there is "furlongs")',
    ]);
  });

  test("that do not agree with the book or each other are in doubt, with what they disagree with", () => {
    const found = plan(
      FLEET,
      `Machine|Date|Reading
       V1|2026-03-01|41000
       V1|2026-03-02|43000
       V1|2026-03-03|43100
       V1|2026-03-04|43050
       V1|2026-03-05|943150
       V1|2026-12-24|43200`,
    );
    expect(doubts(found)).toEqual([
      "2: figure-in-doubt",
      "5: figure-in-doubt",
      "6: figure-in-doubt",
      "7: in-future",
    ]);
    const [doubt] = found.items[0]?.doubts ?? [];
    expect(doubt).toMatchObject({ doubt: { code: "goes-back", againstDial: 42250 } });
    const after = brought(FLEET, found, (item) => item.rows[0] === 6);
    expect(after.readings?.at(-1)).toMatchObject({ value: 943150, confirmed: true });
  });

  test("of a machine by its tag, as a number where a spreadsheet took the zeros", () => {
    const book = stored({
      machines: [
        { ...VAN, tag: "07" },
        { ...VAN, id: "b", tag: "x" },
        { ...VAN, id: "c", tag: "X" },
      ],
    });
    const found = plan(book, "Machine|Date|Reading\n7|1.1.2026|5\nx|1.1.2026|5\n8|1.1.2026|5");
    expect(doubts(found)).toEqual(["2: tag-alike"]);
    expect(issues(found)).toEqual([
      `Row 3, Machine: expected a number that only one machine has, or the machine's id (there is "x")`,
      `Row 4, Machine: expected the number of a machine of this book (there is "8")`,
    ]);
  });
});
