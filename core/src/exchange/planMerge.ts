import { isEqual } from "es-toolkit";
import type { Book } from "../book/file/book.js";
import type { RecordOf } from "../book/records/recordSchemas.js";
import type { FieldChange, RecordChange } from "../book/change/change.js";
import { numbered } from "../book/file/numbered.js";
import {
  compareRevisions,
  joinedRevisions,
  revisionOf,
  withRevision,
  type RevisionOrder,
} from "../book/records/revision.js";
import { isDated, SECTIONS, type Section } from "../book/records/sections.js";
import { compareDeletions } from "./deletions.js";
import { standingConflicts } from "./standingConflicts.js";
import type { Conflict, DifferingField, MergePlan } from "./mergePlan.js";

/** Not the book's contents: what a file is, and what this copy is called. */
const NOT_MERGED: ReadonlySet<string> = new Set(["format", "version", "name", "removed"]);

/**
 * What handing another copy of a book over to this one would do. Both must have passed validation.
 * By id: what only the other copy has is added; of what both have, the version that follows from
 * the other stands; versions made apart, and records that cannot both stand, are conflicts for a
 * person. What only this copy has stays. What one copy has deleted goes from the other and does not come back,
 * unless something that stays refers to it; where the other has changed it since, a person chooses. Nothing else is
 * left out.
 */
export function planMerge(ours: Book, theirs: Book): MergePlan {
  const here = numbered(ours);
  const there = numbered(theirs);
  const parts = SECTIONS.map((section) =>
    compareSection(section, here.sections[section], there.sections[section]),
  );
  const fields = compareFields(here.head, there.head);
  const changing = parts.flatMap(({ changed, conflicts }) => [
    ...changed.flatMap(({ after }) => after ?? []),
    ...conflicts.flatMap((one) => (one.code === "changed-apart" ? one.theirs : [])),
  ]);
  const added = parts.flatMap((part) => part.added);
  const deleted = compareDeletions(ours, theirs, added, changing);
  const records = {
    added: deleted.added,
    changed: parts.flatMap((part) => part.changed),
    removed: deleted.removed,
    joined: parts.flatMap((part) => part.joined),
  };
  const apart = parts.flatMap((part) => part.conflicts);
  const standing = standingConflicts(here.sections, there.sections);
  return {
    ...records,
    fields: fields.changes,
    conflicts: [...apart, ...deleted.conflicts, ...standing, ...fields.conflicts],
  };
}

interface SectionParts {
  readonly added: RecordChange[];
  readonly changed: RecordChange[];
  readonly joined: RecordChange[];
  readonly conflicts: Conflict[];
}

function compareSection(
  section: Section,
  ours: readonly RecordOf[Section][],
  theirs: readonly RecordOf[Section][],
): SectionParts {
  const parts: SectionParts = { added: [], changed: [], joined: [], conflicts: [] };
  const byId = new Map<string, RecordOf[Section]>(ours.map((record) => [record.id, record]));
  for (const other of theirs) {
    const own = byId.get(other.id);
    const change = (after: RecordOf[Section]): RecordChange => ({
      section,
      id: other.id,
      before: own ?? null,
      after,
    });
    if (own === undefined) parts.added.push(change(other));
    else compareRecord(section, own, other, change, parts);
  }
  return parts;
}

function compareRecord(
  section: Section,
  own: RecordOf[Section],
  other: RecordOf[Section],
  change: (after: RecordOf[Section]) => RecordChange,
  parts: SectionParts,
): void {
  const order = compareRevisions(revisionOf(own), revisionOf(other));
  // What a dated record replaces is settled with all that hangs together with it.
  const all = differingFields(own, other);
  const fields = isDated(section) ? all.filter(({ name }) => name !== "replaces") : all;
  if (all.length === 0) {
    const joined = withRevision(own, joinedRevisions(revisionOf(own), revisionOf(other)));
    if (order === "before" || order === "apart") parts.joined.push(change(joined));
  } else if (order === "before") {
    parts.changed.push(change(other));
  } else if (order !== "after" && fields.length > 0) {
    const key = JSON.stringify([section, own.id]);
    const { id } = own;
    parts.conflicts.push({
      code: "changed-apart",
      key,
      section,
      id,
      ours: own,
      theirs: other,
      fields,
    });
  }
}

/** The fields in which two versions of a record differ, their revisions apart. */
export function differingFields(ours: object, theirs: object): DifferingField[] {
  const here = new Map<string, unknown>(Object.entries(ours));
  const there = new Map<string, unknown>(Object.entries(theirs));
  return [...new Set([...here.keys(), ...there.keys()])]
    .filter((name) => name !== "revision")
    .map((name) => ({ name, ours: here.get(name) ?? null, theirs: there.get(name) ?? null }))
    .filter((field) => !isEqual(field.ours, field.theirs));
}

function compareFields(
  ours: object,
  theirs: object,
): { changes: FieldChange[]; conflicts: Conflict[] } {
  const here = new Map<string, unknown>(Object.entries(ours));
  const changes: FieldChange[] = [];
  const conflicts: Conflict[] = [];
  for (const [key, other] of Object.entries(theirs) as [string, unknown][]) {
    if (NOT_MERGED.has(key) || (other ?? null) === null) continue;
    const own = here.get(key) ?? null;
    if (own === null) changes.push({ key, before: null, after: other });
    else if (!isEqual(own, other)) {
      const order: RevisionOrder = compareRevisions(revisionOf(own), revisionOf(other));
      if (order === "before") changes.push({ key, before: own, after: other });
      else if (order !== "after") {
        conflicts.push({
          code: "field-changed-apart",
          key: JSON.stringify([key]),
          field: key,
          ours: own,
          theirs: other,
        });
      }
    }
  }
  return { changes, conflicts };
}
