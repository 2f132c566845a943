import { z } from "zod";
import { bookSchema, listWords } from "../file/book.js";
import { RECORD_SCHEMAS } from "./recordSchemas.js";
import type { BookIssue } from "../file/issue.js";
import { issuesOf } from "../file/issuesOf.js";
import { SECTIONS } from "./sections.js";

/** The book with its sections as lists of anything: the records are looked at one by one. */
const headSchema = bookSchema.extend(
  Object.fromEntries(
    SECTIONS.map((section) => [section, z.array(z.unknown(), listWords(section)).optional()]),
  ),
);

/** So many issues say enough of a broken file. */
const MOST_ISSUES = 100;

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
