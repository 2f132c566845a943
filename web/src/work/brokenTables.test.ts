import { CSV_KINDS, describeCsvIssue, writtenColumns, type CsvKind } from "@yonderfell/core";
import { seededRandom } from "@yonderfell/demo/random";
import { BOOK, TODAY } from "../../test/skarrowVale.js";
import { tableOfText, textOfTable } from "./csvText.js";
import { HABITS, NOW, ALL, silent, Opened } from "../../test/openedTables.js";

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
