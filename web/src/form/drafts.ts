import { z } from "zod";
import { keysOf, type Model, type Standing } from "./rebase.js";

/** A form that was begun and not saved, as it stands in a tab. */
export interface Draft<M> extends Standing<M> {
  /** When it was last touched, as an ISO instant. */
  readonly at: string;
}

const draftSchema = z.object({
  model: z.record(z.string(), z.unknown()),
  base: z.record(z.string(), z.unknown()),
  clashes: z.array(z.string()),
  at: z.string(),
});

/** Whether a kept value can stand where the form of now has another: an older version of the program may have kept it otherwise. */
function fits(kept: unknown, now: unknown): boolean {
  if (Array.isArray(now)) {
    const [first] = now as readonly unknown[];
    return Array.isArray(kept) && (first === undefined || kept.every((one) => fits(one, first)));
  }
  if (typeof now !== "object" || now === null) return typeof kept === typeof now;
  if (typeof kept !== "object" || kept === null || Array.isArray(kept)) return false;
  return Object.entries(now).every(([key, value]) =>
    fits((kept as Readonly<Record<string, unknown>>)[key], value),
  );
}

/**
 * The form begun earlier in this tab under a key; null where there is none, or where the form has other fields
 * by now. `fresh` is what would stand in it.
 */
export function draftOf<M extends Model>(key: string, fresh: M): Draft<M> | null {
  const text = sessionStorage.getItem(key);
  if (text === null) return null;
  const read = draftSchema.safeParse(parsed(text));
  if (!read.success) return null;
  const { model, base, clashes, at } = read.data;
  if (!fits(model, fresh) || !fits(base, fresh)) return null;
  const asked = keysOf(fresh).filter((key) => clashes.includes(key));
  return { model: model as M, base: base as M, clashes: asked, at };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Keeps a form as it is typed, for this tab; answers whether there was room for it. */
export function keepDraft<M>(key: string, standing: Standing<M>, at: string): boolean {
  try {
    sessionStorage.setItem(key, JSON.stringify({ ...standing, at }));
    return true;
  } catch {
    return false;
  }
}

/** Lets a form go that is saved, or begun afresh. */
export function dropDraft(key: string): void {
  sessionStorage.removeItem(key);
}
