import { parseDay, SUMS, type AnySum, type Gallons, type QuantityIssue } from "@yonderfell/core";
import { valueIn, type Unit } from "@yonderfell/core";
import { readQuantity } from "../../../ui/readQuantity.js";
import { typedNumber } from "../../../words/writing.js";
import { shareFreezingAt, type Glycol } from "./forms/glycolCurve.js";
import type { Asked, FieldInput, FormField, SumForm } from "./sumForm.js";

/** What stands in the fields, by their names. */
export type Typed = Readonly<Record<string, string>>;

/** What keeps a field from being read. */
export type FieldProblem =
  | { readonly code: "quantity"; readonly issue: QuantityIssue; readonly unit: Unit }
  | { readonly code: "not-a-figure" }
  | { readonly code: "not-a-day" }
  | { readonly code: "no-mix-as-cold" }
  /** A line that cannot be read, by its place from 1 on. */
  | { readonly code: "line"; readonly line: number }
  /** The sum expected something else. */
  | { readonly code: "expected"; readonly expected: string };

type Read = { readonly value: unknown } | { readonly problem: FieldProblem };

/** What was read of the fields of a sum. */
export interface ReadFields {
  /** What the sum is asked. */
  readonly input: Asked;
  /** The same with what was left out as the sum takes it, and with what is asked beside. */
  readonly asked: Asked;
  readonly problems: Readonly<Record<string, FieldProblem>>;
  /** The labels of fields that must be filled in and are empty. */
  readonly missing: readonly string[];
}

/** The sum of a form, in the registry. */
export function sumOf(form: SumForm): AnySum {
  const sum = SUMS.find(({ name }) => name === form.sum);
  if (sum === undefined) throw new Error(`no sum is called ${form.sum}`);
  return sum;
}

const PER_CENT = 100;

function figure(text: string, then: (value: number) => unknown = (value) => value): Read {
  const value = typedNumber(text);
  return value === null ? { problem: { code: "not-a-figure" } } : { value: then(value) };
}

function inUnit(text: string, unit: Unit, gallons: Gallons | null): Read {
  const read = readQuantity(text, { unit, gallons });
  if (read.ok) return { value: valueIn(read.value.quantity, unit) };
  const [issue] = read.issues;
  return issue === undefined
    ? { problem: { code: "not-a-figure" } }
    : { problem: { code: "quantity", issue, unit } };
}

/** A share as per cent, or the temperature at which it freezes: one below 0, or with its unit. */
function glycol(text: string, typed: Typed, gallons: Gallons | null): Read {
  const isTemperature = /[cf°]|^\s*[-−]/i.test(text);
  if (!isTemperature) return figure(text.replace("%", ""), (value) => value / PER_CENT);
  const read = inUnit(text, "degC", gallons);
  if ("problem" in read) return read;
  const of: Glycol = typed["glycol"] === "propylene" ? "propylene" : "ethylene";
  const share = shareFreezingAt(of, read.value as number);
  return share === null ? { problem: { code: "no-mix-as-cold" } } : { value: share };
}

const wordsIn = (text: string, apart: RegExp): string[] =>
  text
    .split(apart)
    .map((word) => word.trim())
    .filter((word) => word !== "");

/** Several of one kind; the first that cannot be read tells for all. */
function each(parts: readonly string[], read: (part: string) => Read): Read {
  const all = parts.map(read);
  const wrong = all.find((one) => "problem" in one);
  return wrong ?? { value: all.map((one) => ("value" in one ? one.value : null)) };
}

function linesIn(text: string, { read, gather }: FieldInput & { readonly kind: "lines" }): Read {
  const all = wordsIn(text, /[\n;·]/).map((line) => read(wordsIn(line, /\s+/)));
  const wrong = all.indexOf(null);
  if (wrong >= 0) return { problem: { code: "line", line: wrong + 1 } };
  if (gather === "by name") return { value: Object.fromEntries(all as [string, unknown][]) };
  return { value: gather === "one" ? (all[0] ?? null) : all };
}

function readField(field: FormField, text: string, typed: Typed, gallons: Gallons | null): Read {
  const { input } = field;
  switch (input.kind) {
    case "quantity":
      return inUnit(text, input.unit, gallons);
    case "quantities":
      return each(wordsIn(text, /\s+/), (part) => inUnit(part, input.unit, gallons));
    case "percent":
      return figure(text.replace("%", ""), (value) => value / PER_CENT);
    case "glycol":
      return glycol(text, typed, gallons);
    case "number":
      return figure(text);
    case "figures":
      return each(wordsIn(text, /\s+/), (part) => figure(part));
    case "choice":
      return { value: input.isFigure === true ? Number(text) : text };
    case "several":
    case "words":
      return { value: wordsIn(text, /,/) };
    case "text":
      return { value: text.trim() };
    case "day":
      return parseDay(text) === null ? { problem: { code: "not-a-day" } } : { value: text };
    case "lines":
      return linesIn(text, input);
  }
}

/** What an empty field is: a list without anything, nothing by name, or not known. */
function emptyValue({ input }: FormField): unknown {
  if (input.kind === "lines") return input.gather === "list" ? [] : null;
  return ["quantities", "figures", "several", "words"].includes(input.kind) ? [] : null;
}

/** Reads what stands in the fields of a sum. */
export function readFields(form: SumForm, typed: Typed, gallons: Gallons | null): ReadFields {
  const { fields } = sumOf(form);
  const input: Record<string, unknown> = {};
  const asked: Record<string, unknown> = {};
  const problems: Record<string, FieldProblem> = {};
  const missing: string[] = [];
  for (const field of form.fields) {
    const { name, label, isBeside = false } = field;
    const text = typed[name] ?? field.initial ?? "";
    const isEmpty = text.trim() === "";
    const read = isEmpty ? { value: emptyValue(field) } : readField(field, text, typed, gallons);
    if ("problem" in read) problems[name] = read.problem;
    else {
      const without = fields[name]?.without;
      if (!isBeside && read.value !== null) input[name] = read.value;
      asked[name] = read.value ?? without ?? null;
      if (!isBeside && read.value === null && without === undefined) missing.push(label);
    }
  }
  return { input, asked, problems, missing };
}
