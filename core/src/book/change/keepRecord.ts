import { RECORD_SCHEMAS, type RecordOf } from "../records/recordSchemas.js";
import type { Change } from "./change.js";
import type { BookIssue } from "../file/issue.js";
import { failure, success, type Result } from "./result.js";
import type { DatedSection, Section } from "../records/sections.js";
import { issuesOf } from "../file/issuesOf.js";

/** The sections whose records are edited in place; dated records are superseded instead. */
export type EditedSection = Exclude<Section, DatedSection>;

/**
 * The change that keeps a record as edited (`before` null for a new one, `after` null to take it
 * out). Refused: a record that the book's schemas refuse. Whether what it refers to is there, and
 * whether it still stands as it did, the store tells when the change is made.
 */
export function keepRecord<S extends EditedSection>(
  section: S,
  before: RecordOf[S] | null,
  after: RecordOf[S] | null,
): Result<Change, BookIssue> {
  const id = (after ?? before)?.id;
  if (id === undefined) return success({ command: "keep-record", records: [] });
  const issues = after === null ? [] : issuesOf(RECORD_SCHEMAS[section], after, []);
  if (issues.length > 0) return failure(issues);
  const command = before === null ? "add-record" : after === null ? "remove-record" : "edit-record";
  return success({ command, records: [{ section, id, before, after }] });
}
