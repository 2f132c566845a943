import {
  CEILING_PER_DAY,
  daysBetween,
  type BoardMachine,
  type BoardMeter,
  type DayNumber,
  type FigureAnswer,
  type MachineId,
  type MeterId,
} from "@yonderfell/core";
import { typedNumber } from "../../../words/writing.js";

/** A meter on the reading sheet. */
export interface SheetRow {
  /** Tells the meter apart over all machines. */
  readonly key: string;
  readonly machine: BoardMachine;
  readonly meter: BoardMeter;
}

/** What has been typed on the sheet, by the keys of its rows. */
export type SheetFigures = ReadonlyMap<string, string>;

const byTag = new Intl.Collator(undefined, { numeric: true });

/** The meters of all machines, by the machines' numbers; those laid aside for repair among them. */
export function sheetRows(machines: readonly BoardMachine[]): SheetRow[] {
  return [...machines]
    .sort((one, other) => byTag.compare(one.machine.tag, other.machine.tag))
    .flatMap((machine) =>
      machine.meters.map((meter) => ({
        key: JSON.stringify([machine.machine.id, meter.meter.id]),
        machine,
        meter,
      })),
    );
}

/** What there is to say of a figure before it is saved. */
export type FigureLook =
  | { readonly code: "empty" }
  | { readonly code: "not-a-figure" }
  | { readonly code: "below"; readonly last: number; readonly on: DayNumber }
  | { readonly code: "too-far"; readonly last: number; readonly on: DayNumber }
  | { readonly code: "fits"; readonly run: number | null };

/** What a typed figure looks like beside the last one read; the rules look again when it is saved. */
export function lookAt(
  text: string,
  { meter, lastDial, lastOn }: BoardMeter,
  day: DayNumber,
): FigureLook {
  if (text.trim() === "") return { code: "empty" };
  const value = typedNumber(text);
  if (value === null || value < 0) return { code: "not-a-figure" };
  if (lastDial === null || lastOn === null || day < lastOn) return { code: "fits", run: null };
  if (value < lastDial) return { code: "below", last: lastDial, on: lastOn };
  const most = (daysBetween(lastOn, day) + 1) * CEILING_PER_DAY[meter.unit];
  if (value - lastDial > most) return { code: "too-far", last: lastDial, on: lastOn };
  return { code: "fits", run: value - lastDial };
}

/**
 * The sheet with a pasted column filled in from a row on, one line a row. A line with a machine's
 * number before the figure goes to that machine's first meter instead, wherever it stands.
 */
export function withPasted(
  figures: SheetFigures,
  rows: readonly SheetRow[],
  from: number,
  text: string,
): SheetFigures {
  const filled = new Map(figures);
  const lines = text.replace(/\r/g, "").replace(/\n+$/, "").split("\n");
  let at = from;
  for (const line of lines) {
    const cells = line.split(/\t|;/).map((cell) => cell.trim());
    const named =
      cells.length > 1
        ? rows.find((row) => row.machine.machine.tag.toLowerCase() === cells[0]?.toLowerCase())
        : undefined;
    const row = named ?? rows[at];
    if (named === undefined) at += 1;
    if (row !== undefined) filled.set(row.key, cells[named === undefined ? 0 : 1] ?? "");
  }
  return filled;
}

/** A figure of the sheet that can be tried. */
export interface SheetInput {
  readonly meter: MeterId;
  readonly day: DayNumber;
  readonly value: number;
  readonly answer: FigureAnswer | null;
}

/** What is to be saved, by machine: every figure that is one. `right` holds the rows a person has said are right as they are. */
export function sheetInputs(
  rows: readonly SheetRow[],
  figures: SheetFigures,
  day: DayNumber,
  right: ReadonlySet<string>,
): Map<MachineId, SheetInput[]> {
  const inputs = new Map<MachineId, SheetInput[]>();
  for (const { key, machine, meter } of rows) {
    const value = typedNumber(figures.get(key) ?? "");
    if (value === null || value < 0) continue;
    const { id } = machine.machine;
    const answer = right.has(key) ? ({ code: "right" } as const) : null;
    inputs.set(id, [...(inputs.get(id) ?? []), { meter: meter.meter.id, day, value, answer }]);
  }
  return inputs;
}
