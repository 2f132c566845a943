import { z } from "zod";

/** Texts among which each field finds one that it takes. */
const TEXTS = [
  ...["word", "two words", "2026-03-04", "2025-11-30", "=1+1", " ", "日本; a\nb"],
  "0123456789abcdef0123456789abcdef0123456789abcdef0123456789abcdef",
];
const NUMBERS = [3, 1, 2.5, 12, 0, 700, -4, 0.125];
/** So many times a record that its own rules refuse is drawn anew. */
const MOST_TRIES = 400;

/** Draws the next number, from 0 to below 1. */
export type Draw = () => number;

const pick = <T>(draw: Draw, list: readonly T[]): T => list[Math.floor(draw() * list.length)] as T;

interface Def {
  readonly type: string;
  readonly shape?: Readonly<Record<string, z.ZodType>>;
  readonly element?: z.ZodType;
  readonly innerType?: z.ZodType;
  readonly valueType?: z.ZodType;
  readonly options?: readonly z.ZodType[];
  readonly entries?: Readonly<Record<string, unknown>>;
}

const accepts = (schema: z.ZodType, value: unknown): boolean => schema.safeParse(value).success;

/** One of some values that a schema takes, seldom always the same. */
function leaf(schema: z.ZodType, draw: Draw, values: readonly unknown[]): unknown {
  const from = Math.floor(draw() * values.length);
  const turned = [...values.slice(from), ...values.slice(0, from)];
  const found = turned.find((value) => accepts(schema, value));
  if (found === undefined) throw new Error("no value that is tried is taken");
  return found;
}

function anyOf(schema: z.ZodType, draw: Draw): unknown {
  const def = schema._zod.def as unknown as Def;
  switch (def.type) {
    case "string":
      return leaf(schema, draw, TEXTS);
    case "number":
      return leaf(schema, draw, NUMBERS);
    case "boolean":
      return draw() < 0.5;
    case "unknown":
      return pick<unknown>(draw, ["word", 7, true, null, ["a"]]);
    case "enum":
      return pick(draw, Object.values(def.entries ?? {}));
    case "optional":
    case "nullable":
      return drawnFrom(def.innerType as z.ZodType, draw);
    case "array":
      return Array.from({ length: Math.floor(draw() * 3) }, () =>
        drawnFrom(def.element as z.ZodType, draw),
      );
    case "record":
      return draw() < 0.5 ? {} : { word: drawnFrom(def.valueType as z.ZodType, draw) };
    case "union":
      return drawnFrom(pick(draw, def.options ?? []), draw);
    case "object":
      return fieldsOf(def.shape ?? {}, draw);
    default:
      throw new Error(`a schema of another sort: ${def.type}`);
  }
}

/** Fields of an object: those that may be absent mostly are, or stand as null where they may. */
function fieldsOf(shape: Readonly<Record<string, z.ZodType>>, draw: Draw): object {
  const fields: Record<string, unknown> = {};
  const likely = draw();
  for (const [key, schema] of Object.entries(shape)) {
    if (!accepts(schema, undefined)) fields[key] = drawnFrom(schema, draw);
    else if (draw() < likely) fields[key] = drawnFrom(schema, draw);
    else if (draw() < 0.1 && accepts(schema, null)) fields[key] = null;
  }
  if (draw() < 0.2) fields["not known to it"] = { deep: [1, "two"] };
  return fields;
}

/** A value that a schema takes, with fields the schema does not name. */
export function drawnFrom(schema: z.ZodType, draw: Draw): unknown {
  for (let tries = 0; tries < MOST_TRIES; tries += 1) {
    const value = anyOf(schema, draw);
    if (accepts(schema, value)) return value;
  }
  throw new Error(
    `nothing that ${z.prettifyError(schema.safeParse({}).error as z.ZodError)} takes`,
  );
}

/** Numbers that follow from a seed (a linear congruential generator). */
export function drawing(seed: number): Draw {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}
