import { isEqual } from "es-toolkit";
import type { BookIssue } from "../file/issue.js";
import { issuesOf } from "../file/issuesOf.js";
import { RECORD_SCHEMAS, type RecordOf } from "../records/recordSchemas.js";
import type { DatedSection, Section } from "../records/sections.js";
import type { ChangedElsewhere, CommandResult } from "./command.js";
import { failure, success } from "./result.js";

/** The sections whose records are edited in place; dated records are superseded instead. */
export type EditedSection = Exclude<Section, DatedSection>;

/** What stands in the way of keeping a record as edited. */
export type KeepIssue = BookIssue | ChangedElsewhere;

/**
 * Keeps a record as edited (`before`, as the person saw it, null for a new one; `after` null to take it out), among
 * those the book holds. Refused: a record that the book's schemas refuse, and one that no longer stands as
 * `before` says. Whether what it refers to is there, and whether what is taken out is still needed, the
 * store tells when the change is made.
 */
export function keepRecord<S extends EditedSection>(
  held: readonly RecordOf[S][],
  section: S,
  before: RecordOf[S] | null,
  after: RecordOf[S] | null,
): CommandResult<KeepIssue> {
  const id = (after ?? before)?.id;
  if (id === undefined) return success({ command: "keep-record", records: [] });
  const standing = held.find((record) => record.id === id) ?? null;
  if (!isEqual(standing, before)) return failure([{ code: "changed-elsewhere", section, id }]);
  const issues = after === null ? [] : issuesOf(RECORD_SCHEMAS[section], after, []);
  if (issues.length > 0) return failure(issues);
  const command = before === null ? "add-record" : after === null ? "remove-record" : "edit-record";
  return success({ command, records: [{ section, id, before, after }] });
}
