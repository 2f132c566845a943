import type { Book } from "../book/file/book.js";
import type { RecordOf } from "../book/records/recordSchemas.js";
import type { RecordChange } from "../book/change/change.js";
import { removedKey } from "../book/change/removed.js";
import type { Removed } from "../book/change/removedSchema.js";
import { compareRevisions, revisionOf } from "../book/records/revision.js";
import { SECTIONS, type Section } from "../book/records/sections.js";
import type { Conflict } from "./mergePlan.js";

type AnyRecord = RecordOf[Section];

/** What the deletions of two copies make of the records that only one of them has. */
export interface ComparedDeletions {
  /** Records of the other copy to be added. */
  readonly added: readonly RecordChange[];
  /** Records of this copy to be deleted. */
  readonly removed: readonly RecordChange[];
  readonly conflicts: readonly Conflict[];
}

/** What became of a record that one copy has and the other has not. */
type Fate =
  | { readonly code: "never-there" }
  | { readonly code: "deleted" }
  | { readonly code: "changed-since"; readonly removal: Removed };

function fateOf(record: AnyRecord, section: Section, deleted: ReadonlyMap<string, Removed>): Fate {
  const removal = deleted.get(removedKey({ section, id: record.id }));
  if (removal === undefined) return { code: "never-there" };
  const order = compareRevisions(revisionOf(record), revisionOf(removal));
  if (order === "before" || order === "same") return { code: "deleted" };
  // One that follows from its deletion was restored.
  return order === "after" ? { code: "never-there" } : { code: "changed-since", removal };
}

const byKey = (book: Book): ReadonlyMap<string, Removed> =>
  new Map((book.removed ?? []).map((one) => [removedKey(one), one]));

/**
 * Which records that only one copy has stay, go or are asked about; `added` are those that only the other has, `changing`
 * the other versions of those that both have and that may come to stand.
 */
export function compareDeletions(
  ours: Book,
  theirs: Book,
  added: readonly RecordChange[],
  changing: readonly AnyRecord[],
): ComparedDeletions {
  const [goneHere, goneThere] = [byKey(ours), byKey(theirs)];
  if (goneHere.size + goneThere.size === 0) return { added, removed: [], conflicts: [] };
  const conflicts: Conflict[] = [];
  const kept: RecordChange[] = [];
  const changedThere: RecordChange[] = [];
  const buried: RecordChange[] = [];
  for (const change of added) {
    const { section, id, after } = change;
    if (after === null) continue;
    const fate = fateOf(after, section, goneHere);
    if (fate.code === "never-there") kept.push(change);
    else if (fate.code === "deleted") buried.push(change);
    else {
      changedThere.push(change);
      conflicts.push(conflictOf(section, id, { ours: null, theirs: after }, fate.removal));
    }
  }
  const staying: AnyRecord[] = [];
  const going: RecordChange[] = [];
  for (const section of SECTIONS) {
    for (const record of ours[section] ?? []) {
      const fate = fateOf(record, section, goneThere);
      const { id } = record;
      if (fate.code === "deleted") going.push({ section, id, before: record, after: null });
      else staying.push(record);
      if (fate.code === "changed-since") {
        conflicts.push(conflictOf(section, id, { ours: record, theirs: null }, fate.removal));
      }
    }
  }
  const coming = [...kept, ...changedThere].flatMap(({ after }) => after ?? []);
  const needed = neededBy([...staying, ...coming, ...changing], [...going, ...buried]);
  const isNeeded = ({ id }: RecordChange): boolean => needed.has(id);
  return {
    added: [...kept, ...[...buried, ...changedThere].filter(isNeeded)],
    removed: going.filter((one) => !isNeeded(one)),
    // One that is needed stays, whatever became of it in one of the copies.
    conflicts: conflicts.filter((one) => !("id" in one && needed.has(one.id))),
  };
}

function conflictOf(
  section: Section,
  id: string,
  records: { readonly ours: AnyRecord | null; readonly theirs: AnyRecord | null },
  removal: Removed,
): Conflict {
  const key = JSON.stringify([section, "deleted", id]);
  return { code: "deleted-apart", key, section, id, ...records, removal };
}

/**
 * Every word that the records which stay hold, beside their own ids: what is named among them cannot go. Those that
 * were to go and stay for that hold words of their own. Rather too many than too few, so that nothing is left to refer
 * to what is not there.
 */
function neededBy(
  staying: readonly AnyRecord[],
  toGo: readonly RecordChange[],
): ReadonlySet<string> {
  const used = new Set<string>();
  staying.forEach((record) => noteWords(record, used));
  let waiting = toGo;
  for (;;) {
    const back = waiting.filter(({ id }) => used.has(id));
    if (back.length === 0) return used;
    waiting = waiting.filter(({ id }) => !used.has(id));
    for (const { before, after } of back) noteWords(after ?? before, used);
  }
}

function noteWords(record: AnyRecord | null, used: Set<string>): void {
  const look = (value: unknown): void => {
    if (typeof value === "string") used.add(value);
    else if (Array.isArray(value)) value.forEach(look);
    else if (typeof value === "object" && value !== null) {
      for (const [key, one] of Object.entries(value)) {
        used.add(key);
        look(one);
      }
    }
  };
  const { id: _, revision: __, ...rest }: Record<string, unknown> = { ...record };
  look(rest);
}
