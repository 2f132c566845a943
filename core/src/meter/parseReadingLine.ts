import type { Machine, Meter } from "../book/records/machine.js";
import { failure, success, type Result } from "../book/change/result.js";
import type { DecimalSign } from "../quantity/numeral.js";
import { parseFigure } from "../quantity/parseFigure.js";

/** A reading as understood from one typed line. */
export interface ReadingLine {
  readonly machine: Machine;
  readonly meter: Meter;
  /** In the meter's own unit. */
  readonly value: number;
}

/** What kept a line from being understood; `machine` once it is known whose. */
export type ReadingLineIssue =
  | { readonly code: "empty" }
  | { readonly code: "tag-unknown"; readonly tag: string }
  | { readonly code: "tag-ambiguous"; readonly tag: string }
  | { readonly code: "machine-has-no-meter"; readonly machine: Machine }
  | { readonly code: "unit-unknown"; readonly machine: Machine; readonly unit: string }
  | { readonly code: "figure-missing"; readonly machine: Machine }
  | { readonly code: "figure-unreadable"; readonly machine: Machine; readonly text: string };

const FIGURE_AND_UNIT = /^([\d\s.,'\u00a0\u2009\u202f]+?)\s*([a-z]*)$/i;

/**
 * Understands a line such as `07 41350`, `07 41 350 km` or `12 1290.5h`: the machine's tag, the
 * figure, and the unit where the machine has several meters (else its first is meant).
 * Figures follow the decimal sign of the locale.
 */
export function parseReadingLine(
  line: string,
  machines: readonly Machine[],
  decimal: DecimalSign,
): Result<ReadingLine, ReadingLineIssue> {
  const text = line.trim();
  if (text === "") return failure([{ code: "empty" }]);
  const found = machineAtStart(text, machines);
  if (found.length === 0)
    return failure([{ code: "tag-unknown", tag: text.split(/\s+/)[0] ?? "" }]);
  const [machine, other] = found;
  if (machine === undefined) return failure([{ code: "empty" }]);
  if (other !== undefined) return failure([{ code: "tag-ambiguous", tag: machine.tag }]);
  return readFigure(text.slice(machine.tag.length).trim(), machine, decimal);
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
): Result<ReadingLine, ReadingLineIssue> {
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
    : success({ machine, meter, value });
}
