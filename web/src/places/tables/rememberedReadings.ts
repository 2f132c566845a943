import { CSV_COLUMNS, CSV_KINDS, DATE_ORDERS, type CsvReading } from "@yonderfell/core";
import { z } from "zod";

/** Where this browser keeps what tables were taken for: a matter of its user's spreadsheets, not of a book. */
const KEY = "yonderfell-tables";
/** So many shapes of table are kept, the last used first. */
const MOST = 30;

const remembered = z.array(
  z.object({
    headings: z.string(),
    reading: z.object({
      kind: z.enum(CSV_KINDS),
      columns: z.array(z.string().nullable()),
      format: z.object({
        dates: z.enum(DATE_ORDERS),
        decimal: z.enum([".", ","]),
        distance: z.enum(["km", "mi"]).nullable(),
      }),
    }),
  }),
);
type Remembered = z.infer<typeof remembered>;

/** The shape of a table: its headings in their order, capitals and spaces aside. */
const shapeOf = (headings: readonly string[]): string =>
  JSON.stringify(headings.map((heading) => heading.trim().toLowerCase().replace(/\s+/g, " ")));

function all(): Remembered {
  try {
    const read = remembered.safeParse(JSON.parse(localStorage.getItem(KEY) ?? "[]"));
    return read.success ? read.data : [];
  } catch (error) {
    if (error instanceof SyntaxError) return [];
    throw error;
  }
}

/** What a table of these headings was taken for the last time one was brought in; null where none was. */
export function rememberedReading(headings: readonly string[]): CsvReading | null {
  const shape = shapeOf(headings);
  const known = all().find((one) => one.headings === shape)?.reading;
  if (known === undefined || known.columns.length !== headings.length) return null;
  const keys = new Set(CSV_COLUMNS[known.kind].map(({ key }) => key));
  return known.columns.every((key) => key === null || keys.has(key)) ? known : null;
}

/** Keeps what a table was taken for, for the next of its headings. */
export function rememberReading(headings: readonly string[], reading: CsvReading): void {
  const shape = shapeOf(headings);
  const others = all().filter((one) => one.headings !== shape);
  const kept = [{ headings: shape, reading }, ...others].slice(0, MOST);
  localStorage.setItem(KEY, JSON.stringify(kept));
}
