import { isEqual } from "es-toolkit";

/** What stands in a form, by field; each is typed text or a small value of it. */
export type Model = object;

/** Its fields by name. */
export type KeyOf<M> = keyof M & string;

/** A form whose record may move elsewhere while it is filled in. */
export interface Standing<M> {
  /** What is typed. */
  readonly model: M;
  /** What would stand there had nothing been typed. */
  readonly base: M;
  /** The fields that were typed into here and changed elsewhere, and of which nobody has yet said which is to stand. */
  readonly clashes: readonly KeyOf<M>[];
}

/** The fields of a form. */
export const keysOf = <M extends Model>(model: M): readonly KeyOf<M>[] =>
  Object.keys(model) as KeyOf<M>[];

/** Whether a field says something else than its record. */
function isTouched<M extends Model>({ model, base }: Standing<M>, key: KeyOf<M>): boolean {
  return !isEqual(model[key], base[key]);
}

/**
 * A form once its record has moved elsewhere: what was not typed into follows, what was stays. A field that was
 * typed into here and changed elsewhere to something else is to be asked about.
 */
export function rebased<M extends Model>(standing: Standing<M>, next: M): Standing<M> {
  const { model, base, clashes } = standing;
  const asked = new Set<string>(clashes);
  const mine: Partial<M> = {};
  for (const key of keysOf(next)) {
    if (!(key in model) || !isTouched(standing, key)) asked.delete(key);
    else {
      mine[key] = model[key];
      if (isEqual(model[key], next[key])) asked.delete(key);
      else if (!isEqual(base[key], next[key])) asked.add(key);
    }
  }
  return {
    model: { ...next, ...mine },
    base: next,
    clashes: keysOf(next).filter((key) => asked.has(key)),
  };
}

/**
 * A form once it is saved: it stands there, and how it is written from now on comes with its record. One that is for the
 * next of its kind stands as it opened (`fresh`), but for what was typed while it was being saved.
 */
export function onceSaved<M extends Model>(now: M, saved: M, fresh: M | null): Standing<M> {
  if (fresh === null) return { model: now, base: saved, clashes: [] };
  const since = keysOf(now).filter((key) => !isEqual(now[key], saved[key]));
  const typed = Object.fromEntries(since.map((key) => [key, now[key]]));
  return { model: { ...fresh, ...typed }, base: fresh, clashes: [] };
}

/** A form once it has been said what is to stand in a field that was changed elsewhere as well. */
export function settled<M extends Model>(
  standing: Standing<M>,
  key: KeyOf<M>,
  isMine: boolean,
): Standing<M> {
  const { model, base, clashes } = standing;
  return {
    base,
    model: isMine ? model : { ...model, [key]: base[key] },
    clashes: clashes.filter((one) => one !== key),
  };
}
