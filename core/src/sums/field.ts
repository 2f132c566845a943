import { z } from "zod";

/** A field of what a sum takes: its schema, what is expected there in words with its unit, and what it is where nothing is given. */
export interface SumField<Schema extends z.ZodType = z.ZodType> {
  readonly schema: Schema;
  readonly expected: string;
  /** Absent where the field must be given; null where it may be left out and counts as not known. */
  readonly without?: unknown;
}

/** The fields of what a sum takes, by name. */
export type SumFields = Readonly<Record<string, SumField>>;

/** What a sum takes, with what was left out filled in. */
export type Given<Fields extends SumFields> = {
  readonly [Key in keyof Fields]: z.output<Fields[Key]["schema"]>;
};

const of = <Schema extends z.ZodType>(schema: Schema, expected: string): SumField<Schema> => ({
  schema,
  expected,
});

/** A figure for which something holds, such as `litres, above 0`. */
const figure = (expected: string, holds: (value: number) => boolean): SumField<z.ZodNumber> =>
  of(z.number({ error: expected }).refine(holds, { error: expected }), expected);

/** Any figure. */
export const anyFigure = (what: string): SumField<z.ZodNumber> => figure(what, () => true);

/** A figure above 0. */
export const aboveNone = (what: string): SumField<z.ZodNumber> =>
  figure(`${what}, above 0`, (value) => value > 0);

/** A figure of 0 or more. */
export const noneOrMore = (what: string): SumField<z.ZodNumber> =>
  figure(`${what}, 0 or more`, (value) => value >= 0);

/** A figure from one to another, both included. */
export const within = (what: string, least: number, most: number): SumField<z.ZodNumber> =>
  figure(`${what} from ${least} to ${most}`, (value) => value >= least && value <= most);

/** A share from 0 to 1. */
export const share = (): SumField<z.ZodNumber> => within("a share", 0, 1);

/** A share above 0, up to 1. */
export const someShare = (): SumField<z.ZodNumber> =>
  figure("a share above 0, up to 1", (value) => value > 0 && value <= 1);

/** A share between 0 and 1, neither of them. */
export const partShare = (what = "a share"): SumField<z.ZodNumber> =>
  figure(`${what} above 0 and below 1`, (value) => value > 0 && value < 1);

/** A whole number from `least` on. */
export const whole = (what: string, least: number): SumField<z.ZodNumber> =>
  figure(
    `${what}, a whole number from ${least} on`,
    (value) => Number.isInteger(value) && value >= least,
  );

/** One of several words or figures. */
export function oneOf<const Word extends string | number>(
  words: readonly [Word, ...Word[]],
): SumField<z.ZodType<Word>> {
  const expected = `one of ${words.join(", ")}`;
  const schema = z.literal<readonly [Word, ...Word[]]>(words, { error: expected });
  return of(schema as unknown as z.ZodType<Word>, expected);
}

/** A text for which something holds. */
export const text = (
  expected: string,
  holds: (value: string) => boolean = () => true,
): SumField<z.ZodString> =>
  of(z.string({ error: expected }).refine(holds, { error: expected }), expected);

/** Whether something is so. */
export const yesOrNo = (): SumField<z.ZodBoolean> =>
  of(z.boolean({ error: "true or false" }), "true or false");

/** A list of one kind; `least` of them at least. */
export function listOf<Schema extends z.ZodType>(
  { schema, expected }: SumField<Schema>,
  least = 0,
): SumField<z.ZodArray<Schema>> {
  const what = least > 0 ? `a list of ${least} or more: ${expected}` : `a list: ${expected}`;
  return of(z.array(schema, { error: what }).min(least, { error: what }), what);
}

/** The schema of fields: no other field may stand beside them. */
export type ObjectOf<Fields extends SumFields> = z.ZodObject<
  { [Key in keyof Fields]: Fields[Key]["schema"] },
  z.core.$strict
>;

/** Several fields together. */
export function fieldsOf<const Fields extends SumFields>(
  fields: Fields,
): SumField<ObjectOf<Fields>> {
  const names = Object.entries(fields).map(([name, { without }]) =>
    without === undefined ? name : `${name}?`,
  );
  const expected = `{ ${names.join(", ")} }`;
  const shape = Object.fromEntries(
    Object.entries(fields).map(([name, { schema }]) => [name, schema]),
  );
  const error: z.core.$ZodErrorMap = (issue) => {
    if (issue.code !== "unrecognized_keys") return expected;
    return `no field but ${Object.keys(fields).join(", ")}`;
  };
  return of(z.strictObject(shape, { error }) as unknown as ObjectOf<Fields>, expected);
}

/** Figures by names that are not known beforehand. */
export function byName<Schema extends z.ZodType>({
  schema,
  expected,
}: SumField<Schema>): SumField<z.ZodRecord<z.ZodString, Schema>> {
  const what = `by name: ${expected}`;
  return of(z.record(z.string(), schema, { error: what }), what);
}

/** A field that may be absent or null, and then counts as not known. */
export function orUnknown<Schema extends z.ZodType>({
  schema,
  expected,
}: SumField<Schema>): SumField<z.ZodType<z.output<Schema> | null>> {
  const filled = schema.nullish().transform((value) => value ?? null);
  const field = of(filled as unknown as z.ZodType<z.output<Schema> | null>, expected);
  return { ...field, without: null };
}

/** A field that may be absent or null, and then is what is usual. */
export function usually<Schema extends z.ZodType>(
  { schema, expected }: SumField<Schema>,
  without: z.output<Schema>,
): SumField<z.ZodType<z.output<Schema>>> {
  const filled = schema.nullish().transform((value) => value ?? without);
  const field = of(filled as unknown as z.ZodType<z.output<Schema>>, expected);
  return { ...field, without };
}
