import { isEqual } from "es-toolkit";
import type { Book } from "../book/file/book.js";
import type { RecordOf } from "../book/records/recordSchemas.js";
import {
  applyChange,
  type Change,
  type FieldChange,
  type RecordChange,
} from "../book/change/change.js";
import type { DatedRecord } from "../book/slice/dated.js";
import type { BookIssue } from "../book/file/issue.js";
import { numbered } from "../book/file/numbered.js";
import { joinedRemoved, removedKey } from "../book/change/removed.js";
import type { Removed } from "../book/change/removedSchema.js";
import { referenceIssues } from "../book/references/references.js";
import { failure, success, type Result } from "../book/change/result.js";
import {
  compareRevisions,
  joinedRevisions,
  nextRevision,
  revisionOf,
  withRevision,
} from "../book/records/revision.js";
import { SECTIONS, type Section } from "../book/records/sections.js";
import { choicesOf, keyOfField, type Conflict, type MergePlan, type Side } from "./mergePlan.js";
import { planMerge } from "./planMerge.js";
import {
  copiesOf,
  settledReplacements,
  type Copies,
  type Dated,
  type StandingConflict,
} from "./standingConflicts.js";

/** What stands in the way of a hand-over. */
export type MergeIssue =
  | { readonly code: "not-chosen"; readonly key: string }
  /** With these choices the book would contradict itself. */
  | { readonly code: "does-not-fit"; readonly issue: BookIssue };

type Choices = ReadonlyMap<string, Side>;

/** The records a hand-over sets, as they will stand, with what stood before. */
class Merged {
  private readonly changes = new Map<string, RecordChange>();

  constructor(private readonly copy: string) {}

  take(change: RecordChange): void {
    const key = JSON.stringify([change.section, change.id]);
    const before = this.changes.get(key)?.before ?? change.before;
    this.changes.set(key, { ...change, before });
  }

  /** Sets a record to a version settled here: it follows from both. */
  settle(
    section: Section,
    ours: RecordOf[Section] | null,
    theirs: RecordOf[Section] | null,
    settled: RecordOf[Section],
  ): void {
    const both = joinedRevisions(revisionOf(ours), revisionOf(theirs));
    const joined = joinedRevisions(both, revisionOf(settled));
    const after = withRevision(settled, nextRevision(joined, this.copy));
    this.take({ section, id: settled.id, before: ours, after });
  }

  /** A record as it will stand as far as is settled by now, null where nothing is said of it. */
  standing(section: Section, id: string): RecordOf[Section] | null {
    return this.changes.get(JSON.stringify([section, id]))?.after ?? null;
  }

  all(): RecordChange[] {
    return [...this.changes.values()];
  }
}

/**
 * The one change a hand-over makes, with the person's choices by conflict. `copy` names the copy at
 * hand in the counts of changes. Refused: a conflict without a choice, and choices that together
 * would make a book that contradicts itself.
 */
export function settleMerge(
  ours: Book,
  theirs: Book,
  choices: Choices,
  copy: string,
): Result<Change, MergeIssue> {
  const plan = planMerge(ours, theirs);
  const open = plan.conflicts.flatMap(choicesOf).filter((key) => !choices.has(key));
  if (open.length > 0) {
    return failure(open.map((key) => ({ code: "not-chosen" as const, key })));
  }
  const merged = new Merged(copy);
  for (const change of [...plan.changed, ...plan.joined, ...plan.added, ...plan.removed])
    merged.take(change);
  const fields: FieldChange[] = [...plan.fields];
  for (const conflict of plan.conflicts) {
    if (conflict.code === "changed-apart") settleRecord(conflict, choices, merged);
    else if (conflict.code === "deleted-apart") settleDeletion(conflict, choices, merged);
    else if (conflict.code === "field-changed-apart") {
      fields.push(...settleField(conflict, choices, copy));
    }
  }
  const copies = { ours: numbered(ours).sections, theirs: numbered(theirs).sections };
  for (const conflict of plan.conflicts) {
    if (!("members" in conflict)) continue;
    const both = copiesOf(conflict.section, copies.ours, copies.theirs);
    settleStanding(conflict, choices.get(conflict.key) ?? "ours", both, merged);
  }
  const settledDeletions = plan.conflicts.flatMap((one) => deletionOf(one, choices, copy));
  const theirsRemoved = joinedRemoved(theirs.removed ?? [], settledDeletions);
  fields.push(...settleRemoved(ours, theirsRemoved, merged));
  return checked(ours, plan, { command: "hand-over", records: merged.all(), fields });
}

/** What was deleted in one copy and changed in the other: it goes, or stands as changed, following from both. */
function settleDeletion(
  conflict: Extract<Conflict, { code: "deleted-apart" }>,
  choices: Choices,
  merged: Merged,
): void {
  const { section, id, ours, theirs, removal } = conflict;
  const chosen = choices.get(conflict.key) === "theirs" ? theirs : ours;
  // It follows from its deletion too.
  const revision = joinedRevisions(revisionOf(chosen), revisionOf(removal));
  if (chosen !== null) merged.settle(section, ours, theirs, withRevision(chosen, revision));
  else if (ours !== null) merged.take({ section, id, before: ours, after: null });
}

/** A deletion that was chosen over a change: it follows from both. */
function deletionOf(conflict: Conflict, choices: Choices, copy: string): Removed[] {
  if (conflict.code !== "deleted-apart") return [];
  const { ours, theirs, removal } = conflict;
  const chosen = choices.get(conflict.key) === "theirs" ? theirs : ours;
  if (chosen !== null) return [];
  const joined = joinedRevisions(revisionOf(ours ?? theirs), revisionOf(removal));
  return [{ ...removal, revision: nextRevision(joined, copy) }];
}

/** The deletions that both copies know, as far as what was deleted is not there again. */
function settleRemoved(ours: Book, theirs: readonly Removed[], merged: Merged): FieldChange[] {
  const known = ours.removed ?? [];
  const again = new Set(merged.all().flatMap((one) => (one.after === null ? [] : removedKey(one))));
  const going = new Set(merged.all().flatMap((one) => (one.after === null ? removedKey(one) : [])));
  const here = new Set(
    SECTIONS.flatMap((section) =>
      (ours[section] ?? []).map(({ id }) => removedKey({ section, id })),
    ),
  );
  const isThere = (one: Removed): boolean => {
    const key = removedKey(one);
    return again.has(key) || (here.has(key) && !going.has(key));
  };
  const joined = joinedRemoved(known, theirs).filter((one) => !isThere(one));
  if (isEqual(joined, known)) return [];
  return [{ key: "removed", before: ours.removed ?? null, after: joined }];
}

function checked(ours: Book, plan: MergePlan, change: Change): Result<Change, MergeIssue> {
  const here = numbered(ours);
  const book = applyChange({ ...here.head, ...here.sections }, change);
  const [issue] = referenceIssues(book);
  if (issue !== undefined) return failure([{ code: "does-not-fit", issue }]);
  const { fields = [], ...rest } = change;
  return success(fields.length === 0 ? rest : { ...rest, fields });
}

function settleRecord(
  conflict: Extract<Conflict, { code: "changed-apart" }>,
  choices: Choices,
  merged: Merged,
): void {
  const settled = new Map<string, unknown>(Object.entries(conflict.ours));
  for (const field of conflict.fields) {
    if (choices.get(keyOfField(conflict, field)) !== "theirs") continue;
    if (field.theirs === null) settled.delete(field.name);
    else settled.set(field.name, field.theirs);
  }
  const record = Object.fromEntries(settled) as unknown as RecordOf[Section];
  merged.settle(conflict.section, conflict.ours, conflict.theirs, record);
}

function settleField(
  conflict: Extract<Conflict, { code: "field-changed-apart" }>,
  choices: Choices,
  copy: string,
): FieldChange[] {
  const { field, ours, theirs } = conflict;
  const chosen = choices.get(conflict.key) === "theirs" ? theirs : ours;
  const canCarry = typeof chosen === "object" && chosen !== null && !Array.isArray(chosen);
  if (!canCarry) return chosen === ours ? [] : [{ key: field, before: ours, after: chosen }];
  const joined = joinedRevisions(revisionOf(ours), revisionOf(theirs));
  const after = withRevision(chosen, nextRevision(joined, copy));
  return [{ key: field, before: ours, after }];
}

/** Has each record of a conflict replace what it does in the copy that was chosen ({@link settledReplacements}). */
function settleStanding(
  conflict: StandingConflict,
  side: Side,
  copies: Copies,
  merged: Merged,
): void {
  const { section } = conflict;
  for (const [id, replaces] of settledReplacements(conflict, side, copies)) {
    const ours = copies.ours.get(id) ?? null;
    const theirs = copies.theirs.get(id) ?? null;
    const stands = merged.standing(section, id) ?? ours ?? theirs;
    if (stands === null || isSettled(ours, theirs, replaces)) continue;
    const { replaces: _, ...rest } = stands as DatedRecord;
    const settled = replaces === null ? rest : { ...rest, replaces };
    merged.settle(section, ours, theirs, settled as RecordOf[Section]);
  }
}

/** Whether the newer of the two versions of a record replaces what it should as it is. */
function isSettled(ours: Dated | null, theirs: Dated | null, replaces: string | null): boolean {
  const fits = (record: Dated | null): boolean => (record?.replaces ?? null) === replaces;
  if (ours === null || theirs === null) return fits(ours ?? theirs);
  switch (compareRevisions(revisionOf(ours), revisionOf(theirs))) {
    case "same":
      return fits(ours) && fits(theirs);
    case "after":
      return fits(ours);
    case "before":
      return fits(theirs);
    case "apart":
      return false;
  }
}
