import { fieldsOf, type Book, type Change } from "@yonderfell/core";

/** The name of a setting of the book. */
export type Setting = Extract<keyof NonNullable<Book["settings"]>, string>;

/** Whether a change makes any of some settings another. */
export function settingsMoved(change: Change, names: readonly Setting[]): boolean {
  return fieldsOf(change).some(({ key, before, after }) => {
    if (key !== "settings") return false;
    const [then, now] = [before, after].map((one) => (one ?? {}) as Record<string, unknown>);
    return names.some((name) => JSON.stringify(then?.[name]) !== JSON.stringify(now?.[name]));
  });
}
