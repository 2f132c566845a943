import type { Gallons } from "@yonderfell/core";
import { readFields, sumOf, type FieldProblem, type Typed } from "./readFields.js";
import type { SumForm, Told } from "./sumForm.js";

/** What comes of what stands in the fields. */
export type Outcome =
  /** Fields that must be filled in are empty. */
  | { readonly kind: "incomplete"; readonly missing: readonly string[] }
  | { readonly kind: "wrong"; readonly problems: Readonly<Record<string, FieldProblem>> }
  /** It can be asked and has no answer. */
  | { readonly kind: "refused"; readonly code: string }
  | { readonly kind: "told"; readonly told: Told };

const isEmptyList = (value: unknown): boolean =>
  value === undefined || (Array.isArray(value) && value.length === 0);

/** Asks the sum of a form what stands in its fields. */
export function reckoned(form: SumForm, typed: Typed, gallons: Gallons | null): Outcome {
  const { input, asked, problems, missing } = readFields(form, typed, gallons);
  if (Object.keys(problems).length > 0) return { kind: "wrong", problems };
  if (missing.length > 0) return { kind: "incomplete", missing };
  const found = sumOf(form).ask(input);
  if ("wrong" in found) {
    const { path, expected } = found.wrong;
    const name = String(path[0] ?? "");
    const field = form.fields.find((one) => one.name === name);
    // What is still empty is asked for and not found fault with.
    if (isEmptyList(input[name]) && field !== undefined) {
      return { kind: "incomplete", missing: [field.label] };
    }
    return { kind: "wrong", problems: { [name]: { code: "expected", expected } } };
  }
  const { answer } = found;
  if ("refused" in answer) return { kind: "refused", code: String(answer.refused) };
  return { kind: "told", told: form.told(answer as never, asked) };
}
