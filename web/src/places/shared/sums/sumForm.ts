import type { Quantity, Unit } from "@yonderfell/core";
import type { Measure } from "../../../session/reckonerCalls.js";
import type { PlotSpec } from "./plot.js";

/** How a field of a sum is filled in, and what it becomes. */
export type FieldInput =
  /** A figure in a unit, typed in any. */
  | { readonly kind: "quantity"; readonly unit: Unit }
  /** Several figures in a unit, apart by spaces. */
  | { readonly kind: "quantities"; readonly unit: Unit }
  /** A share typed as per cent. */
  | { readonly kind: "percent" }
  /** A share of glycol typed as per cent, or as the temperature at which the mix freezes. */
  | { readonly kind: "glycol" }
  | { readonly kind: "number" }
  /** Several figures, apart by spaces. */
  | { readonly kind: "figures" }
  /** Words of a list; `isFigure` where they stand for figures. */
  | { readonly kind: "choice"; readonly choices: Choices; readonly isFigure?: boolean }
  /** Several words of a list. */
  | { readonly kind: "several"; readonly choices: Choices }
  | { readonly kind: "text" }
  /** Several words, apart by commas. */
  | { readonly kind: "words" }
  | { readonly kind: "day" }
  /** A line for each of several things: the words of a line are read by `read`; null where they cannot be. */
  | {
      readonly kind: "lines";
      readonly read: (words: readonly string[]) => unknown;
      /** Whether the lines are a list, one thing only, or names and what belongs to each. */
      readonly gather: "list" | "one" | "by name";
    };

type Choices = readonly (readonly [string, string])[];

/** A field of a sum as a person sees it. */
export interface FormField {
  readonly name: string;
  readonly label: string;
  readonly input: FieldInput;
  /** What stands in it at first. */
  readonly initial?: string;
  /** How it is filled in, or what it is when left empty. */
  readonly hint?: string;
  /** Whether it is asked for the drawing or the words only and is none of the sum. */
  readonly isBeside?: boolean;
}

/** Something of an answer that can be handed on: to the field that called, or kept as a measure. */
export interface Given {
  readonly label: string;
  readonly quantity: Quantity;
}

/** An answer for people. */
export interface Told {
  /** The answer itself, as short as it can be. */
  readonly main: string;
  /** What else it says, a line each. */
  readonly more?: readonly string[];
  /** Why, in a sentence. */
  readonly reason: string;
  readonly given?: readonly Given[];
  /** How it is kept with an entry. */
  readonly measure?: Measure;
  readonly plot?: PlotSpec;
}

/** What was asked, with what was left out as the sum takes it. */
export type Asked = Readonly<Record<string, unknown>>;

/** The subjects that sums are told under, in their order. */
export const SUBJECTS = [
  "Coolant",
  "Filling",
  "Oil, fuel and brakes",
  "Wear and condition",
  "Use and cost",
] as const;

/** A sum as the Reckoner shows it. */
export interface SumForm {
  /** Its name in the registry. */
  readonly sum: string;
  readonly subject: (typeof SUBJECTS)[number];
  /** What a person asks. */
  readonly question: string;
  /** Other words it is looked for by. */
  readonly also: string;
  readonly fields: readonly FormField[];
  readonly told: (answer: never, asked: Asked) => Told;
  /** Where its figures come from. */
  readonly source: string;
  readonly caution?: string;
}

type Rest = Pick<FormField, "initial" | "hint" | "isBeside">;

/** A field for a figure in a unit. */
export const inUnit = (name: string, label: string, unit: Unit, rest: Rest = {}): FormField => ({
  ...{ name, label, input: { kind: "quantity", unit } },
  ...rest,
});

/** A field for a figure without a unit. */
export const plain = (name: string, label: string, rest: Rest = {}): FormField => ({
  ...{ name, label, input: { kind: "number" } },
  ...rest,
});

/** A field for a share, typed as per cent. */
export const percent = (name: string, label: string, rest: Rest = {}): FormField => ({
  ...{ name, label, input: { kind: "percent" } },
  ...rest,
});

/** A field for one of several words. The first is chosen at first. */
export const choice = (
  name: string,
  label: string,
  choices: Choices,
  rest: Rest & { readonly isFigure?: boolean } = {},
): FormField => {
  const { isFigure = false, ...more } = rest;
  const input = { kind: "choice", choices, isFigure } as const;
  return { name, label, input, initial: choices[0]?.[0] ?? "", ...more };
};

/** A field of several lines. */
export const lines = (
  name: string,
  label: string,
  read: (words: readonly string[]) => unknown,
  rest: Rest & { readonly gather?: "list" | "one" | "by name" } = {},
): FormField => {
  const { gather = "list", ...more } = rest;
  return { name, label, input: { kind: "lines", read, gather }, ...more };
};
