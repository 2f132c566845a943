/** A seeded source of numbers from 0 up to but not including 1: the same seed gives the same numbers. */
export type Random = () => number;

/** A source seeded by whole number, by the well-known 32-bit multiply-and-shift generator. */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** A number from `low` to `high`. */
export function between(random: Random, low: number, high: number): number {
  return low + random() * (high - low);
}
