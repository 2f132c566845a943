import {
  CSV_KINDS,
  describeCsvIssue,
  writeCsv,
  writtenColumns,
  type Book,
  type CsvHabits,
  type CsvKind,
  type CsvReading,
} from "@yonderfell/core";
import { seededRandom } from "@yonderfell/demo/random";
import { BOOK, TODAY } from "../../test/skarrowVale.js";
import { MemoryStorage } from "../data/memoryStorage.js";
import { tableOfText, textOfFile, textOfTable } from "./csvText.js";
import type { TableChoices, TablePlan } from "./tablePlan.js";
import { Tables, type BroughtIn } from "./tables.js";

const HABITS: CsvHabits = { dates: "dmy", decimal: "." };
const NOW = "2026-11-23T09:00:00.000Z";
const ALL: TableChoices = {
  codes: ["figure-in-doubt", "differs", "in-future", "row-short", "repeated", "work-unknown"],
  answers: new Map(),
  leavesRefused: false,
  followUpsDone: false,
};
const NONE: TableChoices = { ...ALL, codes: [] };
const recordsOf = ({ written }: BroughtIn): number =>
  written.reduce((sum, { added, changed }) => sum + added + changed, 0);
const silent = (): void => undefined;

class Opened {
  readonly storage = new MemoryStorage();
  readonly tables = new Tables(() => this.storage);

  static async with(book: Book): Promise<Opened> {
    const opened = new Opened();
    await opened.storage.fill(book);
    return opened;
  }

  /** What a file would do, taken for what it is thought to be. */
  async plan(file: string | Uint8Array<ArrayBuffer>, kind?: CsvKind): Promise<TablePlan | string> {
    const looked = await this.tables.look(new Blob([file]), HABITS);
    if (!looked.ok) return looked.issues.join();
    const { guess } = looked.value;
    const own = kind === undefined ? guess : this.tables.guess(HABITS, kind);
    const { columns, distance } = own;
    const format = { dates: own.dates.value, decimal: own.decimal.value, distance };
    const reading: CsvReading = { kind: own.kind, columns, format };
    const plan = await this.tables.planFor("book", reading, TODAY, silent);
    if (plan === null) throw new Error("not cancelled");
    return plan;
  }
}

const bytes = (text: string): Uint8Array<ArrayBuffer> => new TextEncoder().encode(text);

test("text is read as Unicode with and without its mark, and as older spreadsheets write it", () => {
  expect(textOfFile(bytes("Öl"))).toBe("Öl");
  expect(textOfFile(Uint8Array.of(0xd6, 0x6c))).toBe("Öl");
  expect(textOfFile(Uint8Array.of(0xff, 0xfe, 0xd6, 0x00, 0x6c, 0x00))).toBe("Öl");
  expect(textOfFile(Uint8Array.of(0x50, 0x4b, 0x00, 0x03))).toBeNull();
});

test.each([",", ";", "\t"])("rows are taken apart at %j, quotes and all", (separator) => {
  const text = `a${separator}b\r\n"1${separator} ""x""\ny"${separator}2\r\n`;
  expect(tableOfText(text).rows.slice(0, 2)).toEqual([
    ["a", "b"],
    [`1${separator} "x"\ny`, "2"],
  ]);
});

test.each(CSV_KINDS)(
  "the %s of the demonstration go out and in again without a change",
  async (kind) => {
    const opened = await Opened.with(BOOK);
    const file = await opened.tables.file("book", kind);
    const plan = await opened.plan(await file.text());
    expect(plan).toMatchObject({ kind, issueCount: 0, groups: [], sure: 0 });
    expect((plan as TablePlan).counts.same).toBe(BOOK[kind]?.length);
    const before = await opened.storage.everything();
    const { rows } = tableOfText(await file.text());
    expect(rows.slice(0, -1)).toEqual(writeCsv(before, kind));
  },
);

test("readings and entries taken out of a book are the same when they are brought in", async () => {
  const whole = await Opened.with(BOOK);
  const before = await whole.storage.everything();
  const emptied = await Opened.with({ ...before, readings: [], entries: [] });
  const { storage, tables } = emptied;
  for (const kind of ["readings", "entries"] as const) {
    const file = await whole.tables.file("book", kind);
    await emptied.plan(await file.text());
    expect(await tables.keep("book", ALL, NOW, silent)).toMatchObject({ ok: true });
  }
  expect(await storage.everything()).toEqual(before);
  expect(await storage.takeBack(2, NOW)).toMatchObject({ ok: true });
  expect((await storage.everything()).entries).toEqual([]);
});

test("what is in doubt is brought in only where a person says so, by reason or by row", async () => {
  const file = "Machine,Date,Reading\n07,22.11.2026,10\n07,22.11.2026,11\n07,22.11.2030,12\n";
  const counts = async (choices: TableChoices): Promise<number> => {
    const opened = await Opened.with(BOOK);
    const plan = await opened.plan(file);
    expect((plan as TablePlan).groups.map(({ code, count }) => [code, count])).toEqual([
      ["figure-in-doubt", 2],
      ["in-future", 1],
    ]);
    const kept = await opened.tables.keep("book", choices, NOW, silent);
    const after = (await opened.storage.everything()).readings?.length ?? 0;
    const records = kept.ok ? recordsOf(kept.value) : -1;
    expect(records).toBe(after - (BOOK.readings?.length ?? 0));
    return records;
  };
  expect(await counts(NONE)).toBe(0);
  expect(await counts({ ...NONE, codes: ["in-future"] })).toBe(1);
  expect(await counts({ ...NONE, answers: new Map([["item 0", true]]) })).toBe(1);
  expect(await counts({ ...ALL, answers: new Map([["item 1", false]]) })).toBe(2);
});

test("machines come with their places, people and figures, and are told as what was written", async () => {
  const opened = await Opened.with(BOOK);
  const file = [
    "Unit No;Registration;Vehicle type;Current mileage (km);Date read;Responsible;Depot",
    "91;SK 91 TEN;van;84350;20.11.2026;Ina Tarn;North yard",
    "92;SK 92 TEN;van;12000;20.11.2026;ina tarn;North yard",
    "93;;trailer;;;Bo Fell;North yard",
  ].join("\n");
  const plan = (await opened.plan(file)) as TablePlan;
  expect(plan).toMatchObject({ kind: "machines", counts: { new: 3 }, issueCount: 0 });
  // One question for two machines of the same place and person, another for the third.
  expect(
    plan.groups.map(({ code, questions }) => [code, questions.map(({ count }) => count)]),
  ).toEqual([["place-unknown", [2, 1]]]);
  const kept = await opened.tables.keep("book", { ...ALL, codes: ["place-unknown"] }, NOW, silent);
  expect(kept.ok && kept.value.written).toEqual([
    { section: "places", added: 1, changed: 0 },
    { section: "people", added: 2, changed: 0 },
    { section: "machines", added: 3, changed: 0 },
    { section: "readings", added: 2, changed: 0 },
  ]);
  const after = await opened.storage.everything();
  const machines = after.machines?.slice(-3) ?? [];
  const people = after.people?.slice(-2) ?? [];
  const readings = after.readings?.slice(-2) ?? [];
  expect(people.map(({ name, initials }) => [name, initials])).toEqual([
    ["Ina Tarn", "IT"],
    ["Bo Fell", "BF"],
  ]);
  expect(machines.map(({ person }) => person)).toEqual([
    people[0]?.id,
    people[0]?.id,
    people[1]?.id,
  ]);
  expect(readings.map(({ date, value }) => [date, value])).toEqual([
    ["2026-11-20", 84350],
    ["2026-11-20", 12000],
  ]);
});

test("what follows work of earlier days is asked about once, and taken as done where it was", async () => {
  const book = {
    ...{ format: "yonderfell-book", version: 1 },
    machines: [
      {
        ...{ id: "m", tag: "41", name: "Lorry", kind: "lorry" },
        meters: [{ id: "odo", measure: "distance", unit: "km", perDay: 100 }],
      },
    ],
    tasks: [
      { id: "off", machine: "m", name: "wheels off", regimes: { handbook: [{ months: 24 }] } },
      {
        ...{ id: "nuts", machine: "m", name: "wheel nuts, torque again" },
        follows: { task: "off", meter: "odo", amount: 50 },
      },
    ],
    readings: [{ id: "r", machine: "m", meter: "odo", date: "2026-11-20", value: 90000, seq: 1 }],
  } as unknown as Book;
  const file = "Machine,Date,Work done,Odometer\n41,2026-08-03,wheels off,80000\n";
  const after = async (followUpsDone: boolean | null): Promise<unknown> => {
    const opened = await Opened.with(book);
    expect(await opened.plan(file)).toMatchObject({
      followUps: { names: ["wheel nuts, torque again"], count: 1, machines: 1 },
    });
    const kept = await opened.tables.keep("book", { ...ALL, followUpsDone }, NOW, silent);
    if (!kept.ok) return kept.issues;
    const { entries = [] } = await opened.storage.everything();
    return entries.map(({ tasks, assumed }) => [tasks, assumed ?? false]);
  };
  expect(await after(null)).toEqual([{ code: "follow-ups-not-said" }]);
  expect(await after(false)).toEqual([[["off"], false]]);
  expect(await after(true)).toEqual([
    [["off"], false],
    [["nuts"], true],
  ]);
});

test("a table is refused where the book has changed since it was looked at", async () => {
  const opened = await Opened.with(BOOK);
  const file = "Name,Number\nBelt,X-1\n";
  await opened.plan(file);
  await opened.storage.apply({ command: "else", records: [] }, NOW);
  const kept = await opened.tables.keep("book", ALL, NOW, silent);
  expect(kept).toEqual({ ok: false, issues: [{ code: "book-changed" }] });
});

type Rows = string[][];
type Breaking = (rows: Rows, kind: CsvKind, random: () => number) => Broken | null;
/** Where a table was broken: the row, and the column where it was one cell. */
interface Broken {
  readonly text: string;
  readonly row: number;
  readonly column: string | null;
}

const place = (kind: CsvKind, key: string): number =>
  writtenColumns(kind).findIndex((column) => column.key === key);

/** Puts something else into one cell of a row. */
function withCell(
  rows: Rows,
  kind: CsvKind,
  row: number,
  key: string,
  cell: string,
): Broken | null {
  const at = place(kind, key);
  if (at === -1) return null;
  const broken = rows.map((cells) => [...cells]);
  const cells = broken[row - 1];
  if (cells === undefined) return null;
  cells[at] = cell;
  return { text: textOfTable(broken), row, column: writtenColumns(kind)[at]?.title ?? null };
}

const rowIn = (rows: Rows, random: () => number): number =>
  2 + Math.floor(random() * (rows.length - 1));
const pick = <T>(random: () => number, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)] as T;
/** One cell of a column of certain contents, spoiled. */
const spoil =
  (keys: readonly string[], cells: readonly string[]): Breaking =>
  (rows, kind, random) => {
    const own = keys.filter((key) => place(kind, key) !== -1);
    if (own.length === 0) return null;
    return withCell(rows, kind, rowIn(rows, random), pick(random, own), pick(random, cells));
  };

/** The ways in which a table is broken. */
const BREAKINGS: readonly Breaking[] = [
  spoil(["date", "inService", "on"], ["31.02.2026", "soon", "2026-13-01", "0", "1/2/3/4"]),
  spoil(
    ["value", "price", "minutes", "perDay"],
    ["twelve", "--5", "5 furlongs", "1e400", "€ 5", "NaN"],
  ),
  spoil(["estimated", "assumed", "void"], ["perhaps", "2"]),
  spoil(["history", "anchor", "combine", "eachUse", "outside"], ["sometimes", "=1+1"]),
  spoil(["rest"], ["{", "[]", "nothing", '"', `{"id":1,"machine":{}`, `${"[".repeat(9999)}`]),
  spoil(["months", "days", "nthEvery", "staleAfterDays", "pack", "seq"], ["2.5", "-1", "half"]),
  spoil(["replaces"], ["nobody", "__proto__"]),
  spoil(["nthOf", "followsTask"], ["nobody", "constructor"]),
  // A machine may have any meter.
  (rows, kind, random) =>
    kind === "machines" ? null : spoil(["meter"], ["bell", "__proto__", "0"])(rows, kind, random),
  spoil(["grace", "on", "perDay"], ["half", "-"]),
  // A row with more cells than there are headings.
  (rows, _kind, random) => {
    const row = rowIn(rows, random);
    const broken = rows.map((cells, index) => (index === row - 1 ? [...cells, "more"] : cells));
    return { text: textOfTable(broken), row, column: null };
  },
  // A quote that is never closed.
  (rows, _kind, random) => {
    const row = rowIn(rows, random);
    const lines = rows.map((cells, index) =>
      textOfTable([
        index === row - 1 ? cells.map((cell) => cell.replaceAll('"', "")) : cells,
      ]).slice(1),
    );
    lines[row - 1] = `"never closed ${lines[row - 1] ?? ""}`.replaceAll(/(?<!^)"/g, "");
    const text = [
      ...lines.slice(0, row - 1),
      ...lines.slice(row - 1).map((line) => line.replaceAll(/(?<!^)"/g, "")),
    ];
    return { text: text.join(""), row, column: null };
  },
  // A record of a kind of one row each that is there twice.
  (rows, kind, random) => {
    if (kind !== "readings" && kind !== "entries") return null;
    const row = rowIn(rows, random);
    const again = rows[row - 1];
    return again === undefined
      ? null
      : { text: textOfTable([...rows, again]), row: rows.length + 1, column: null };
  },
  // A heading that is needed is gone, or is there twice.
  (rows, kind, random) => {
    const needed = writtenColumns(kind).filter(({ isNeeded }) => isNeeded);
    const column = needed.length === 0 ? undefined : pick(random, needed);
    if (column === undefined) return null;
    const at = place(kind, column.key);
    const broken = rows.map((cells) => cells.filter((_, index) => index !== at));
    return { text: textOfTable(broken), row: 1, column: column.title };
  },
  // Nothing, only headings, or no table at all.
  (rows, _kind, random) => {
    const text = pick(random, ["", "\n\n\n", textOfTable(rows.slice(0, 1)), ",,,,\n,,,,\n"]);
    return { text, row: 1, column: null };
  },
];

test("300 broken tables are each answered with row, column and what was expected, and change nothing", async () => {
  const random = seededRandom(6);
  const opened = await Opened.with(BOOK);
  const before = JSON.stringify(await opened.storage.everything());
  const sheets = new Map(
    await Promise.all(
      CSV_KINDS.map(async (kind) => {
        const file = await opened.tables.file("book", kind);
        const { rows } = tableOfText(await file.text());
        return [kind, rows.slice(0, -1).slice(0, 60) as Rows] as const;
      }),
    ),
  );
  const used = new Map<string, number>();
  let answered = 0;
  let named = 0;
  while (answered < 300) {
    const kind = pick(random, CSV_KINDS);
    const way = Math.floor(random() * BREAKINGS.length);
    const rows = sheets.get(kind) ?? [];
    const broken = BREAKINGS[way]?.(rows, kind, random) ?? null;
    if (broken === null) continue;
    const plan = await opened.plan(broken.text, kind);
    if (typeof plan === "string") throw new Error(plan);
    const told = `${kind}, way ${way}, row ${broken.row}, ${broken.column ?? ""}`;
    const lines = plan.issues.map(describeCsvIssue);
    expect([told, lines.length > 0]).toEqual([told, true]);
    // Of two cells that contradict each other the other one may be named: the row is always the same.
    const where = plan.issues.find(
      ({ row, column }) => row === broken.row && (broken.column === null || column !== null),
    );
    expect([told, lines, where?.expected ?? ""]).not.toEqual([told, lines, ""]);
    if (where?.column === broken.column) named += 1;
    const kept = await opened.tables.keep("book", ALL, NOW, silent);
    expect([told, kept.ok]).toEqual([told, false]);
    used.set(String(way), (used.get(String(way)) ?? 0) + 1);
    answered += 1;
  }
  expect(named).toBeGreaterThan(290);
  expect(used.size).toBe(BREAKINGS.length);
  expect(JSON.stringify(await opened.storage.everything())).toBe(before);
  expect(await opened.storage.lastSeq()).toBe(0);
});

describe("a large table", () => {
  const ROWS = 50_000;
  const machines = (BOOK.machines ?? []).filter(({ meters }) => (meters ?? []).length > 0);
  const text = (): string => {
    const lines = ["Machine id,Date,Reading"];
    const perMachine = Math.ceil(ROWS / machines.length);
    for (let row = 0; row < ROWS; row += 1) {
      const machine = machines[row % machines.length];
      const count = Math.floor(row / machines.length);
      const year = 1900 + Math.floor(count / 336);
      const month = 1 + (Math.floor(count / 28) % 12);
      const two = (part: number): string => String(part).padStart(2, "0");
      const figure = (count / perMachine) * 10;
      lines.push(
        `${machine?.id},${year}-${two(month)}-${two(1 + (count % 28))},${figure.toFixed(4)}`,
      );
    }
    return lines.join("\n");
  };

  test("is brought in with word of how far it is, and nothing of it where it is cancelled", async () => {
    const opened = await Opened.with({ ...BOOK, readings: [], entries: [], meterChanges: [] });
    const looked = await opened.tables.look(new Blob([text()]), HABITS);
    if (!looked.ok) throw new Error(looked.issues.join());
    const { kind, columns, dates, decimal, distance } = looked.value.guess;
    const format = { dates: dates.value, decimal: decimal.value, distance };
    const reading = { kind, columns, format };
    const shares: number[] = [];
    const cancelled = opened.tables.planFor("book", reading, TODAY, (share) => {
      shares.push(share);
      if (shares.length === 2) opened.tables.cancel();
    });
    expect(await cancelled).toBeNull();
    expect((await opened.tables.keep("book", ALL, NOW, silent)).ok).toBe(false);
    shares.length = 0;
    const plan = await opened.tables.planFor("book", reading, TODAY, (share) => shares.push(share));
    expect(plan).toMatchObject({ sure: ROWS, groups: [], issueCount: 0 });
    expect(shares.length).toBeGreaterThan(3);
    expect(shares).toEqual(shares.toSorted((one, other) => one - other));
    expect(await opened.storage.lastSeq()).toBe(0);
    const ending = opened.tables.keep("book", ALL, NOW, silent);
    opened.tables.cancel();
    expect(await ending).toEqual({ ok: false, issues: [{ code: "cancelled" }] });
  }, 120_000);
});
