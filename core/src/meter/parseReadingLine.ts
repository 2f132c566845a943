import type { Machine, Meter } from "../book/records/machine.js";
import { failure, success, type Result } from "../book/change/result.js";
import type { DecimalSign } from "../quantity/numeral.js";
import { parseFigure } from "../quantity/parseFigure.js";
import { parseQuantity, type QuantityIssue } from "../quantity/parseQuantity.js";
import type { Quantity } from "../quantity/quantity.js";
import type { Gallons } from "../quantity/unit.js";

/** What a meter was read at. */
export interface LineFigure {
  readonly meter: Meter;
  /** In the meter's own unit. */
  readonly value: number;
}

/** A reading, a top-up or both, as understood from one typed line. */
export interface ReadingLine {
  readonly machine: Machine;
  /** Null where only a top-up was typed. */
  readonly figure: LineFigure | null;
  /** What was topped up: litres where no unit was typed; null where none was. */
  readonly topUp: Quantity | null;
}

/** What kept a line from being understood; `machine` once it is known whose. */
export type ReadingLineIssue =
  | { readonly code: "empty" }
  | { readonly code: "tag-unknown"; readonly tag: string }
  | { readonly code: "tag-ambiguous"; readonly tag: string }
  | { readonly code: "machine-has-no-meter"; readonly machine: Machine }
  | { readonly code: "unit-unknown"; readonly machine: Machine; readonly unit: string }
  | { readonly code: "figure-missing"; readonly machine: Machine }
  | { readonly code: "figure-unreadable"; readonly machine: Machine; readonly text: string }
  | { readonly code: "top-up-missing"; readonly machine: Machine }
  | { readonly code: "top-up-not-positive"; readonly machine: Machine }
  | {
      readonly code: "top-up-unreadable";
      readonly machine: Machine;
      readonly issue: QuantityIssue;
    };

/** How figures and amounts of a line are to be understood. */
export interface LineReading {
  /** The sign before decimals, by the locale. */
  readonly decimal: DecimalSign;
  /** Whose quarts and gallons a bare one is, where the machine does not say; null where the book does not either. */
  readonly gallons: Gallons | null;
}

const FIGURE_AND_UNIT = /^([\d\s.,'\u00a0\u2009\u202f]+?)\s*([a-z]*)$/i;

/**
 * Understands a line such as `07 41350`, `07 41 350 km`, `12 1290.5h`, `07 41350 +0.4` or `07 +0.5 qt`: the machine's
 * tag, the figure, the unit where the machine has several meters (else its first is meant), and after a plus what was
 * topped up, a volume or a mass. Figures follow the decimal sign of the locale.
 */
export function parseReadingLine(
  line: string,
  machines: readonly Machine[],
  reading: LineReading,
): Result<ReadingLine, ReadingLineIssue> {
  const text = line.trim();
  if (text === "") return failure([{ code: "empty" }]);
  const found = machineAtStart(text, machines);
  if (found.length === 0)
    return failure([{ code: "tag-unknown", tag: text.split(/\s+/)[0] ?? "" }]);
  const [machine, other] = found;
  if (machine === undefined) return failure([{ code: "empty" }]);
  if (other !== undefined) return failure([{ code: "tag-ambiguous", tag: machine.tag }]);
  return readRest(text.slice(machine.tag.length).trim(), machine, reading);
}

function readRest(
  rest: string,
  machine: Machine,
  reading: LineReading,
): Result<ReadingLine, ReadingLineIssue> {
  const plus = rest.indexOf("+");
  if (plus < 0) {
    const figure = readFigure(rest, machine, reading.decimal);
    return figure.ok ? success({ machine, figure: figure.value, topUp: null }) : figure;
  }
  const topUp = readTopUp(rest.slice(plus + 1).trim(), machine, reading);
  if (!topUp.ok) return topUp;
  const before = rest.slice(0, plus).trim();
  if (before === "") return success({ machine, figure: null, topUp: topUp.value });
  const figure = readFigure(before, machine, reading.decimal);
  return figure.ok ? success({ machine, figure: figure.value, topUp: topUp.value }) : figure;
}

function readTopUp(
  text: string,
  machine: Machine,
  { decimal, gallons }: LineReading,
): Result<Quantity, ReadingLineIssue> {
  if (text === "") return failure([{ code: "top-up-missing", machine }]);
  const read = parseQuantity(text, {
    ...{ unit: "L", also: ["mass"], decimal },
    gallons: machine.gallons ?? gallons,
  });
  if (!read.ok)
    return failure(
      read.issues.map((issue) => ({ code: "top-up-unreadable" as const, machine, issue })),
    );
  const { quantity } = read.value;
  return quantity.value > 0
    ? success(quantity)
    : failure([{ code: "top-up-not-positive", machine }]);
}

/** The machines whose tag the line starts with, longest tag only, so that `H12` is not read as `H1`. */
function machineAtStart(text: string, machines: readonly Machine[]): Machine[] {
  const lower = text.toLowerCase();
  const matching = machines.filter((machine) => {
    const tag = machine.tag.toLowerCase();
    const follows = lower[tag.length];
    return tag !== "" && lower.startsWith(tag) && (follows === undefined || /\s/.test(follows));
  });
  const longest = Math.max(...matching.map((machine) => machine.tag.length));
  return matching.filter((machine) => machine.tag.length === longest);
}

function readFigure(
  rest: string,
  machine: Machine,
  decimal: DecimalSign,
): Result<LineFigure, ReadingLineIssue> {
  const meters = machine.meters ?? [];
  if (meters.length === 0) return failure([{ code: "machine-has-no-meter", machine }]);
  if (rest === "") return failure([{ code: "figure-missing", machine }]);
  const match = FIGURE_AND_UNIT.exec(rest);
  const value = match === null ? null : parseFigure(match[1] ?? "", decimal);
  if (value === null) return failure([{ code: "figure-unreadable", machine, text: rest }]);
  const unit = (match?.[2] ?? "").toLowerCase();
  const meter = unit === "" ? meters[0] : meters.find((candidate) => candidate.unit === unit);
  return meter === undefined
    ? failure([{ code: "unit-unknown", machine, unit }])
    : success({ meter, value });
}
