/** A value with its figures to a millionth, for comparing with worked cases. */
export function rounded(value: unknown): unknown {
  if (typeof value === "number") return Math.round(value * 1e6) / 1e6 + 0;
  if (Array.isArray(value)) return value.map(rounded);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, rounded(one)]));
}
