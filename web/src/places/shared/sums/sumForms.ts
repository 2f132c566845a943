import { COOLANT_FORMS } from "./forms/coolant.js";
import { FILLING_FORMS } from "./forms/filling.js";
import { FLUID_FORMS } from "./forms/fluids.js";
import { USE_FORMS } from "./forms/use.js";
import { WEAR_FORMS } from "./forms/wear.js";
import type { SumForm } from "./sumForm.js";

/** Every sum as the Reckoner shows it, in the order in which they are told. */
export const SUM_FORMS: readonly SumForm[] = [
  ...COOLANT_FORMS,
  ...FILLING_FORMS,
  ...FLUID_FORMS,
  ...WEAR_FORMS,
  ...USE_FORMS,
];

/** Those that some words ask for: each word somewhere in its question, its name or what else it is looked for by. */
export function formsFor(words: string): readonly SumForm[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return SUM_FORMS.filter(({ question, also, sum, subject }) => {
    const text = `${question} ${also} ${sum} ${subject}`.toLowerCase();
    return wanted.every((word) => text.includes(word));
  });
}
