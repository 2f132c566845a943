import type { Book, RecordOf } from "../book/book.js";
import { applyChange, type Change, type FieldChange, type RecordChange } from "../book/change.js";
import { chainFrom } from "../book/crossing.js";
import type { DatedRecord } from "../book/dated.js";
import type { BookIssue } from "../book/issue.js";
import { numbered } from "../book/numbered.js";
import { referenceIssues } from "../book/references.js";
import { failure, success, type Result } from "../book/result.js";
import { joinedRevisions, nextRevision, revisionOf, withRevision } from "../book/revision.js";
import type { Section } from "../book/sections.js";
import { choicesOf, keyOfField, type Conflict, type MergePlan, type Side } from "./mergePlan.js";
import { planMerge } from "./planMerge.js";

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
    const joined = joinedRevisions(revisionOf(ours), revisionOf(theirs));
    const after = withRevision(settled, nextRevision(joined, this.copy));
    this.take({ section, id: settled.id, before: ours, after });
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
  for (const change of [...plan.changed, ...plan.joined, ...plan.added]) merged.take(change);
  const fields: FieldChange[] = [...plan.fields];
  for (const conflict of plan.conflicts) {
    if (conflict.code === "changed-apart") settleRecord(conflict, choices, merged);
    else if (conflict.code === "settled-apart")
      settleRing(conflict, choices, { ours, theirs }, merged);
    else if (conflict.code === "field-changed-apart") {
      fields.push(...settleField(conflict, choices, copy));
    }
  }
  for (const conflict of plan.conflicts) {
    if (conflict.code !== "both-corrected" && conflict.code !== "both-changed-meter") continue;
    settleStanding(conflict, choices, mergedSection(ours, conflict.section, merged), merged);
  }
  return checked(ours, plan, { command: "hand-over", records: merged.all(), fields });
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

function settleRing(
  conflict: Extract<Conflict, { code: "settled-apart" }>,
  choices: Choices,
  copies: Readonly<Record<Side, Book>>,
  merged: Merged,
): void {
  const { section } = conflict;
  const side = choices.get(conflict.key) ?? "ours";
  const find = (copy: Side, id: string): RecordOf[Section] | null =>
    numbered(copies[copy]).sections[section].find((record) => record.id === id) ?? null;
  for (const id of conflict.members) {
    const ours = find("ours", id);
    const theirs = find("theirs", id);
    const chosen = side === "ours" ? (ours ?? theirs) : (theirs ?? ours);
    if (chosen !== null) merged.settle(section, ours, theirs, chosen);
  }
}

function mergedSection(ours: Book, section: Section, merged: Merged): Map<string, DatedRecord> {
  const { sections } = numbered(ours);
  const change = { command: "hand-over", records: merged.all() };
  const records = applyChange({ [section]: sections[section] }, change)[section] ?? [];
  return new Map((records as readonly DatedRecord[]).map((record) => [record.id, record]));
}

/**
 * Puts the chain of the record that was not chosen under the chain of the one that was, so that it
 * stays in the history as something that was replaced.
 */
function settleStanding(
  conflict: Extract<Conflict, { code: "both-corrected" | "both-changed-meter" }>,
  choices: Choices,
  records: ReadonlyMap<string, DatedRecord>,
  merged: Merged,
): void {
  const isOurs = choices.get(conflict.key) === "ours";
  const [winner, loser] = isOurs
    ? [conflict.ours, conflict.theirs]
    : [conflict.theirs, conflict.ours];
  const find = (id: string): DatedRecord | undefined => records.get(id);
  const root =
    conflict.code === "both-corrected"
      ? records.get(winner.id)
      : chainFrom<DatedRecord>(records.get(winner.id) ?? winner, find).at(-1);
  if (root === undefined) return;
  const settled = { ...root, replaces: tipOf(loser.id, records) };
  const { section } = conflict;
  merged.settle(
    section,
    root as RecordOf[Section],
    root as RecordOf[Section],
    settled as RecordOf[Section],
  );
}

/** The record that stands at the end of the replacements that begin with one. */
function tipOf(id: string, records: ReadonlyMap<string, DatedRecord>): string {
  const replacedBy = new Map<string, string>();
  for (const record of records.values()) {
    if ((record.replaces ?? null) !== null) replacedBy.set(record.replaces ?? "", record.id);
  }
  let tip = id;
  for (let steps = 0; steps < records.size; steps += 1) {
    const next = replacedBy.get(tip);
    if (next === undefined) break;
    tip = next;
  }
  return tip;
}
