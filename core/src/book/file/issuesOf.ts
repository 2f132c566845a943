import type { z } from "zod";
import type { BookIssue, IssuePath } from "./issue.js";

/** What a schema finds wrong with a value that stands at `path`. */
export function issuesOf(schema: z.ZodType, value: unknown, path: IssuePath): BookIssue[] {
  const result = schema.safeParse(value);
  if (result.success) return [];
  return result.error.issues.map((issue) => ({
    code: "wrong-shape",
    path: [...path, ...issue.path.map((step) => (typeof step === "symbol" ? String(step) : step))],
    expected: issue.message,
  }));
}
