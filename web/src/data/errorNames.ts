/** The names an error goes by: those of the ones it wraps, which say more, and its own. */
export function errorNames(error: unknown): string[] {
  if (typeof error !== "object" || error === null) return [];
  const inner = "inner" in error ? errorNames(error.inner) : [];
  const several = "failures" in error && Array.isArray(error.failures) ? error.failures : [];
  const own = "name" in error ? [String(error.name)] : [];
  return [...inner, ...several.flatMap(errorNames), ...own];
}
