import type { Figures } from "@yonderfell/core";
import { typedFigure } from "../../../words/writing.js";
import type { Typed } from "./readFields.js";
import type { SumForm } from "./sumForm.js";

const PER_CENT = 100;

/** Figures that a sum was asked with, as a person types them into its form. */
export function typedFigures(form: SumForm, figures: Figures): Typed {
  const typed = form.fields.flatMap(({ name, input }) => {
    const value = figures[name];
    if (value === undefined) return [];
    if (Array.isArray(value)) return [[name, value.join(",")]];
    if (typeof value === "string" || input.kind === "choice") return [[name, String(value)]];
    return [[name, typedFigure(input.kind === "percent" ? value * PER_CENT : value)]];
  });
  return Object.fromEntries(typed) as Typed;
}
