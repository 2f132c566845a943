/** Lives less than this far apart count as equal: decimal dials and offsets do not add up exactly (due rules §2). */
export const LIFE_TOLERANCE = 0.000001;

/** Whether life `a` is below life `b`, in the same unit. */
export function isBelow(a: number, b: number): boolean {
  return a <= b - LIFE_TOLERANCE;
}

/** Whether life `a` has come to life `b`, in the same unit. */
export function hasReached(a: number, b: number): boolean {
  return !isBelow(a, b);
}
