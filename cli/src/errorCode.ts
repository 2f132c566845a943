/** The code that the platform gives its own errors, such as `ENOENT`; empty where there is none. */
export function errorCode(error: unknown): string {
  const hasCode = typeof error === "object" && error !== null && "code" in error;
  return hasCode ? String(error.code) : "";
}
