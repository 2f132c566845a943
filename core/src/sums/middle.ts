/** The mean of one or more figures. */
export const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** The median of one or more figures; of an even number the mean of the middle two. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other);
  const half = sorted.length / 2;
  return mean(sorted.slice(Math.ceil(half) - 1, Math.floor(half) + 1));
}

/** A point of a line through several. */
export type Point = readonly [x: number, y: number];

/** What stands at `x` on straight lines between neighbouring points, which rise in x; held at the ends. At least two points. */
export function linearIn(points: readonly Point[], x: number): number {
  const after = points.findIndex(([at]) => at >= x);
  if (after === -1) return points.at(-1)?.[1] ?? Number.NaN;
  const [x1, y1] = points[after] ?? [Number.NaN, Number.NaN];
  const before = points[after - 1];
  if (before === undefined) return y1;
  const [x0, y0] = before;
  return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}
