/** What an error says of itself. */
export function errorWords(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
