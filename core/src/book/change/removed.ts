import { fieldsOf, withFieldsSet, type Change } from "./change.js";
import { joinedRevisions, nextRevision, revisionOf, type Revision } from "../records/revision.js";
import type { Removed } from "./removedSchema.js";
import type { Section } from "../records/sections.js";

/** What a removal is found by. */
export function removedKey({
  section,
  id,
}: {
  readonly section: Section;
  readonly id: string;
}): string {
  return JSON.stringify([section, id]);
}

/**
 * The removals of a book after a change: with those it makes, counted as changes of `copy`, and without those it takes
 * back. What was added and is taken back before anyone has seen it was never there.
 */
function removedAfter(
  removed: readonly Removed[],
  { records, undoes }: Change,
  copy: string,
): readonly Removed[] {
  const isUnseen = undoes?.wasHandedOver === false;
  const known = new Set(removed.map(removedKey));
  const touched = records.filter(({ section, id, before, after }) => {
    if (after !== null) return before === null && known.has(removedKey({ section, id }));
    return before !== null && !isUnseen;
  });
  if (touched.length === 0) return removed;
  const byKey = new Map(removed.map((one) => [removedKey(one), one]));
  for (const { section, id, before, after } of touched) {
    const key = removedKey({ section, id });
    if (after !== null) byKey.delete(key);
    else {
      const earlier = revisionOf(byKey.get(key));
      const revision = joinedRevisions(earlier, nextRevision(revisionOf(before), copy));
      byKey.set(key, { section, id, revision });
    }
  }
  return [...byKey.values()];
}

/** The removals that two copies know, each counted as both have it. */
export function joinedRemoved(one: readonly Removed[], other: readonly Removed[]): Removed[] {
  const byKey = new Map(one.map((each) => [removedKey(each), each]));
  for (const each of other) {
    const known = byKey.get(removedKey(each));
    const revision: Revision = joinedRevisions(revisionOf(known), revisionOf(each));
    byKey.set(removedKey(each), { ...each, revision });
  }
  return [...byKey.values()];
}

interface WithRemoved {
  readonly removed?: readonly Removed[] | null | undefined;
}

/** A book's own fields after a change in `copy`: those it sets, and what it deletes. The same object where nothing is changed. */
export function headAfter<T extends WithRemoved>(head: T, change: Change, copy: string): T {
  const fields = fieldsOf(change);
  const set = fields.length === 0 ? head : withFieldsSet(head, fields);
  const known = set.removed ?? [];
  const removed = removedAfter(known, change, copy);
  if (removed === known) return set;
  const { removed: _, ...rest } = set;
  return (removed.length === 0 ? rest : { ...rest, removed }) as T;
}
