import type { z } from "zod";
import { fieldsOf, type Given, type SumFields } from "./field.js";

/** Something that can be asked but has no answer, and why. */
interface Refused<Code extends string = string> {
  readonly refused: Code;
}

/** Fields that are each right and do not go together: which, and what was expected. */
export interface Mismatch {
  readonly path: readonly (string | number)[];
  readonly expected: string;
}

/** A calculator: what it takes, and what it answers. */
export interface Sum<Fields extends SumFields = SumFields, Answer extends object = object> {
  readonly name: string;
  /** What it is for, in a line. */
  readonly about: string;
  readonly fields: Fields;
  /** What is wrong between its fields; null where nothing is. */
  readonly mismatch: (given: Given<Fields>) => Mismatch | null;
  readonly reckon: (given: Given<Fields>) => Answer | Refused;
}

/** A calculator as the registry holds it: asked with anything. */
export interface AnySum {
  readonly name: string;
  readonly about: string;
  readonly fields: SumFields;
  /** The answer to what is asked, or what was expected and where. */
  readonly ask: (input: unknown) => { readonly answer: object } | { readonly wrong: Mismatch };
}

/** A calculator for the registry. */
export function asked<const Fields extends SumFields, Answer extends object>(
  sum: Omit<Sum<Fields, Answer>, "mismatch"> & Partial<Pick<Sum<Fields, Answer>, "mismatch">>,
): AnySum {
  const { schema } = fieldsOf(sum.fields);
  return {
    name: sum.name,
    about: sum.about,
    fields: sum.fields,
    ask: (input) => {
      const read = schema.safeParse(input);
      if (!read.success) return { wrong: firstWrong(read.error) };
      const given = read.data as unknown as Given<Fields>;
      const wrong = sum.mismatch?.(given) ?? null;
      return wrong === null ? { answer: sum.reckon(given) } : { wrong };
    },
  };
}

function firstWrong(error: z.ZodError): Mismatch {
  const [issue] = error.issues;
  const path = (issue?.path ?? []).map((step) => (typeof step === "symbol" ? "" : step));
  const expected = issue?.message ?? "";
  if (issue?.code === "unrecognized_keys")
    return { path: [...path, issue.keys[0] ?? ""], expected };
  return { path, expected };
}
