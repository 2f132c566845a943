/** Two figures that are less than this apart count as one. */
const NEAR = 1e-9;

/** Whether two figures count as one. */
export const isSame = (one: number, other: number): boolean => Math.abs(one - other) < NEAR;

/** Whether one is less than the other, and not the same. */
export const isBelow = (one: number, other: number): boolean => one < other && !isSame(one, other);

/** Whether one is more than the other, and not the same. */
export const isAbove = (one: number, other: number): boolean => isBelow(other, one);

/** Whether one is at most the other. */
export const isAtMost = (one: number, other: number): boolean => !isAbove(one, other);

/** Whether one is at least the other. */
export const isAtLeast = (one: number, other: number): boolean => !isBelow(one, other);

/** A figure that is as good as none as none. */
export const orNone = (value: number): number => (isSame(value, 0) ? 0 : value);
