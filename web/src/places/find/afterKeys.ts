const STEPS: Readonly<Record<string, (place: number, last: number) => number>> = {
  ArrowDown: (place, last) => Math.min(place + 1, last),
  ArrowUp: (place) => Math.max(place - 1, 0),
  Home: () => 0,
  End: (_place, last) => last,
};

/** Whether a key goes through a list or takes the line in hand. */
export const isTravel = (key: string): boolean => key === "Enter" || Object.hasOwn(STEPS, key);

/** Where some keys lead in a list of so many lines, and whether a line was taken on the way. */
export function afterKeys(
  keys: readonly string[],
  from: number,
  count: number,
): { readonly place: number; readonly isTaken: boolean } {
  let place = Math.min(from, Math.max(count - 1, 0));
  for (const key of keys) {
    if (key === "Enter") return { place, isTaken: true };
    place = STEPS[key]?.(place, Math.max(count - 1, 0)) ?? place;
  }
  return { place, isTaken: false };
}
