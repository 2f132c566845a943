import type { Machine, Meter } from "../../book/records/machine.js";
import { valueIn } from "../../quantity/quantity.js";
import { meterNamed, type CsvNames } from "./csvNames.js";
import type { CsvCells } from "./csvCells.js";
import type { CsvDoubt } from "./csvIssue.js";

/** Converted figures are kept to a tenth, as dials show them. */
const TENTHS = 10;

/** The machine of a row by its id, else by its tag; null (and noted) where it is none or could be several. */
export function machineOfRow(
  cells: CsvCells,
  names: CsvNames,
): { readonly machine: Machine; readonly doubts: readonly CsvDoubt[] } | null {
  const byId = names.machineOf(cells.word("machineId") ?? "");
  if (byId !== undefined) return { machine: byId, doubts: [] };
  const text = cells.word("machine");
  if (text === null) {
    const key = cells.word("machineId") === null ? "machine" : "machineId";
    return cells.refuse(key, "the number or the id of a machine of this book");
  }
  const meant = names.machine(text);
  if (meant.code === "none") return cells.refuse("machine", "the number of a machine of this book");
  if (meant.code === "several") {
    return cells.refuse("machine", "a number that only one machine has, or the machine's id");
  }
  const { thing: machine, isAlike } = meant;
  const doubts: CsvDoubt[] = isAlike ? [{ code: "tag-alike", text, tag: machine.tag }] : [];
  return { machine, doubts };
}

/** The meter that a column names, the machine's first where it says nothing; null (and noted) where there is none. */
export function meterOfRow(
  cells: CsvCells,
  key: string,
  machine: Machine,
  word = cells.word(key),
): Meter | null {
  const meter = meterNamed(machine, word);
  if (meter !== null) return meter;
  const own = (machine.meters ?? []).map(({ id }) => id).join(", ");
  return cells.refuse(
    key,
    own === "" ? "a machine with a meter" : `a meter of ${machine.tag} (it has ${own})`,
  );
}

/** A dial figure in the unit of its meter, converted where another unit of distance is meant; null where the units do not go together. */
export function inMeterUnit(
  value: number,
  unit: Meter["unit"] | null,
  meter: Meter,
): number | null {
  if (unit === null || unit === meter.unit) return value;
  if (unit === "h" || meter.unit === "h") return null;
  return Math.round(valueIn({ value, unit }, meter.unit) * TENTHS) / TENTHS;
}

/** The fields every dated record has. */
export function datedFields(cells: CsvCells): Record<string, unknown> {
  return {
    void: cells.yes("void"),
    replaces: cells.word("replaces"),
    seq: cells.figure("seq"),
    note: cells.text("note"),
  };
}

/** The cells of the fields every dated record has. */
export function datedCells(record: {
  readonly seq?: number | null | undefined;
  readonly replaces?: string | null | undefined;
  readonly void?: boolean | undefined;
  readonly note?: string | null | undefined;
}): Record<string, string | number | null | undefined> {
  const { seq, replaces, note } = record;
  return { seq, replaces, note, void: yesOrNo(record.void) };
}

/** A flag as a cell; nothing where it is not said. */
export function yesOrNo(flag: boolean | null | undefined): string | null {
  return flag === null || flag === undefined ? null : flag ? "yes" : "no";
}
