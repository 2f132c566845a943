import type { RecordOf } from "../book/book.js";
import type { RecordChange } from "../book/change.js";
import type { MeterChange } from "../book/meterChange.js";
import type { Sections } from "../book/numbered.js";
import { supersededIds } from "../book/currentRecords.js";
import { DATED_SECTIONS, type DatedSection } from "../book/sections.js";
import type { Conflict } from "./mergePlan.js";

type Dated = RecordOf[DatedSection];

interface Taken {
  readonly added: readonly RecordChange[];
  readonly changed: readonly RecordChange[];
}

/**
 * Conflicts between records that are each right in their own copy and cannot stand side by side:
 * two corrections of one record, corrections put in opposite orders, two changes of one meter on
 * one date. Records with differing contents count as this copy has them.
 */
export function standingConflicts(ours: Sections, theirs: Sections, taken: Taken): Conflict[] {
  return DATED_SECTIONS.flatMap((section) => {
    const union = unionOf(section, ours[section], taken);
    const copies: Copies = {
      here: new Map<string, Dated>(ours[section].map((record) => [record.id, record])),
      there: new Map<string, Dated>(theirs[section].map((record) => [record.id, record])),
    };
    return [
      ...forks(section, union, copies),
      ...rings(section, union, copies),
      ...(section === "meterChanges"
        ? changesOnOneDate(union as Map<string, MeterChange>, copies)
        : []),
    ];
  });
}

interface Copies {
  readonly here: ReadonlyMap<string, Dated>;
  readonly there: ReadonlyMap<string, Dated>;
}

/** The section with what is taken from the other copy. */
function unionOf(
  section: DatedSection,
  ours: readonly Dated[],
  { added, changed }: Taken,
): Map<string, Dated> {
  const union = new Map<string, Dated>(ours.map((record) => [record.id, record]));
  for (const change of [...changed, ...added]) {
    if (change.section === section && change.after !== null) {
      union.set(change.id, change.after as Dated);
    }
  }
  return union;
}

/** Records replaced by one record here and by another there. */
function forks(
  section: DatedSection,
  union: ReadonlyMap<string, Dated>,
  { here }: Copies,
): Conflict[] {
  const byReplaced = new Map<string, Dated[]>();
  for (const record of union.values()) {
    const replaced = record.replaces ?? null;
    if (replaced === null) continue;
    byReplaced.set(replaced, [...(byReplaced.get(replaced) ?? []), record]);
  }
  return [...byReplaced].flatMap(([replaced, [one, other, ...more]]): Conflict[] => {
    if (one === undefined || other === undefined || more.length > 0) return [];
    const isOneOurs = here.get(one.id)?.replaces === replaced;
    const [ours, theirs] = isOneOurs ? [one, other] : [other, one];
    const key = JSON.stringify([section, "corrected", replaced]);
    return [{ code: "both-corrected", key, section, ours, theirs }];
  });
}

/** Records that replace each other in a ring, because the copies settled a fork in opposite orders. */
function rings(
  section: DatedSection,
  union: ReadonlyMap<string, Dated>,
  { here, there }: Copies,
): Conflict[] {
  const seen = new Set<string>();
  const conflicts: Conflict[] = [];
  for (const start of union.values()) {
    if ((start.replaces ?? null) === null || seen.has(start.id)) continue;
    const path: string[] = [];
    let at: Dated | undefined = start;
    while (at !== undefined && !seen.has(at.id) && !path.includes(at.id)) {
      path.push(at.id);
      at = union.get(at.replaces ?? "");
    }
    const members = at === undefined ? [] : path.slice(path.indexOf(at.id));
    const isRing = at !== undefined && path.includes(at.id);
    for (const id of path) seen.add(id);
    if (!isRing) continue;
    const ours = tipAmong(members, here);
    const theirs = tipAmong(members, there);
    if (ours === undefined || theirs === undefined) continue;
    const key = JSON.stringify([section, "ring", ...[...members].sort()]);
    conflicts.push({ code: "settled-apart", key, section, ours, theirs, members });
  }
  return conflicts;
}

/** The record among `members` that none of the others replaces in a copy. */
function tipAmong(members: readonly string[], copy: ReadonlyMap<string, Dated>): Dated | undefined {
  const records = members.flatMap((id) => copy.get(id) ?? []);
  const replaced = supersededIds(records);
  return records.find((record) => !replaced.has(record.id));
}

/** Two changes of one meter on one date that both count, one from each copy. */
function changesOnOneDate(union: ReadonlyMap<string, MeterChange>, { here }: Copies): Conflict[] {
  const records = [...union.values()];
  const superseded = supersededIds(records);
  const byPlace = new Map<string, MeterChange[]>();
  for (const record of records) {
    if (record.void === true || superseded.has(record.id)) continue;
    const place = JSON.stringify([record.machine, record.meter, record.date]);
    byPlace.set(place, [...(byPlace.get(place) ?? []), record]);
  }
  return [...byPlace].flatMap(([place, [one, other]]): Conflict[] => {
    if (one === undefined || other === undefined) return [];
    const [ours, theirs] = here.has(one.id) ? [one, other] : [other, one];
    const key = JSON.stringify(["meterChanges", "same-date", place]);
    return [{ code: "both-changed-meter", key, section: "meterChanges", ours, theirs }];
  });
}
