import { z } from "zod";
import { bookSchema, LIST_WORDS, RECORD_SCHEMAS } from "./book.js";
import type { BookIssue, IssuePath } from "./issue.js";
import { SECTIONS } from "./sections.js";

/** The book with its sections as lists of anything: the records are looked at one by one. */
const headSchema = bookSchema.extend(
  Object.fromEntries(
    SECTIONS.map((section) => [section, z.array(z.unknown(), LIST_WORDS[section]).optional()]),
  ),
);

/** So many issues say enough of a broken file. */
const MOST_ISSUES = 100;

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

/**
 * What is wrong with the shape of a book, record by record, so that a large broken file is not
 * described to its last record: about a hundred issues at the most.
 */
export function shapeIssues(data: Readonly<Record<string, unknown>>): BookIssue[] {
  const issues = issuesOf(headSchema, data, []);
  if (issues.length > 0) return issues;
  for (const section of SECTIONS) {
    const records = (data[section] ?? []) as readonly unknown[];
    for (let index = 0; index < records.length && issues.length < MOST_ISSUES; index += 1) {
      issues.push(...issuesOf(RECORD_SCHEMAS[section], records[index], [section, index]));
    }
  }
  return issues;
}
