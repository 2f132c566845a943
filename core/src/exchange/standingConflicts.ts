import type { RecordOf } from "../book/records/recordSchemas.js";
import { supersededIds } from "../book/slice/currentRecords.js";
import type { MeterChange } from "../book/records/meterChange.js";
import type { Sections } from "../book/file/numbered.js";
import { compareRevisions, revisionOf } from "../book/records/revision.js";
import { DATED_SECTIONS, type DatedSection } from "../book/records/sections.js";
import type { Conflict } from "./mergePlan.js";

/** A record that supersedes others or is superseded. */
export type Dated = RecordOf[DatedSection];
type ById = ReadonlyMap<string, Dated>;

/** The two copies of a section. */
export interface Copies {
  readonly ours: ById;
  readonly theirs: ById;
}

/** Records that cannot stand as the two copies have them: the person chooses which copy's does. */
export type StandingConflict = Extract<
  Conflict,
  { code: "both-corrected" | "both-changed-meter" | "settled-apart" }
>;

const byId = (records: readonly Dated[]): ById =>
  new Map(records.map((record) => [record.id, record]));

/** A section of both copies, by id. */
export function copiesOf(section: DatedSection, ours: Sections, theirs: Sections): Copies {
  return { ours: byId(ours[section]), theirs: byId(theirs[section]) };
}

/**
 * Conflicts between records that are each right in their own copy and cannot stand side by side:
 * two corrections of one record, corrections put in opposite orders, two changes of one meter on
 * one date. All that hangs together by replacements is one conflict, so that no two choices can contradict each other.
 */
export function standingConflicts(ours: Sections, theirs: Sections): Conflict[] {
  return DATED_SECTIONS.flatMap((section) => {
    const copies = copiesOf(section, ours, theirs);
    const marks = [
      ...doublyReplaced(copies),
      ...(section === "meterChanges" ? changesOnOneDate(copies) : []),
    ];
    if (marks.length === 0) return [];
    return familiesOf(copies, marks).flatMap(
      ({ members, code }) => conflictOf(section, members, code, copies) ?? [],
    );
  });
}

/** What is wrong with a record, or with two: they belong together in a conflict. */
interface Mark {
  readonly code: StandingConflict["code"];
  readonly ids: readonly string[];
}

const replacedIn = (copy: ById, id: string): string | null => copy.get(id)?.replaces ?? null;

/** What a record replaces once the newer of its two versions is taken; of versions made apart both. */
function replacedBy(id: string, { ours, theirs }: Copies): string[] {
  const [here, there] = [ours.get(id), theirs.get(id)];
  const order =
    here === undefined
      ? "before"
      : there === undefined
        ? "after"
        : compareRevisions(revisionOf(here), revisionOf(there));
  const sides = order === "before" ? [theirs] : order === "after" ? [ours] : [ours, theirs];
  return [...new Set(sides.flatMap((side) => replacedIn(side, id) ?? []))];
}

const idsOf = ({ ours, theirs }: Copies): string[] => [
  ...new Set([...ours.keys(), ...theirs.keys()]),
];

/** Records that two others would replace, that would replace two, or that would replace each other in a ring. */
function doublyReplaced(copies: Copies): Mark[] {
  const marks: Mark[] = [];
  const replacing = new Map<string, string[]>();
  const next = new Map<string, string>();
  for (const id of idsOf(copies)) {
    const replaced = replacedBy(id, copies);
    if (replaced.length > 1) marks.push({ code: "settled-apart", ids: [id, ...replaced] });
    for (const one of replaced) {
      next.set(id, one);
      replacing.set(one, [...(replacing.get(one) ?? []), id]);
    }
  }
  for (const [replaced, by] of replacing) {
    if (by.length > 1) marks.push({ code: "both-corrected", ids: [replaced, ...by] });
  }
  return [...marks, ...rings(next)];
}

function rings(next: ReadonlyMap<string, string>): Mark[] {
  const marks: Mark[] = [];
  const seen = new Set<string>();
  for (const start of next.keys()) {
    const path: string[] = [];
    let at: string | undefined = start;
    while (at !== undefined && !seen.has(at)) {
      seen.add(at);
      path.push(at);
      at = next.get(at);
    }
    const from = at === undefined ? -1 : path.indexOf(at);
    if (from >= 0) marks.push({ code: "settled-apart", ids: path.slice(from) });
  }
  return marks;
}

/** Two changes of one meter on one date that would both count, one from each copy. */
function changesOnOneDate(copies: Copies): Mark[] {
  const ids = idsOf(copies);
  const replaced = new Set(ids.flatMap((id) => replacedBy(id, copies)));
  const byPlace = new Map<string, string[]>();
  for (const id of ids) {
    const record = (copies.ours.get(id) ?? copies.theirs.get(id)) as MeterChange;
    if (record.void === true || replaced.has(id)) continue;
    const place = JSON.stringify([record.machine, record.meter, record.date]);
    byPlace.set(place, [...(byPlace.get(place) ?? []), id]);
  }
  return [...byPlace.values()].flatMap((same): Mark[] =>
    same.length < 2 ? [] : [{ code: "both-changed-meter", ids: same }],
  );
}

/** Records that hang together, and what is wrong among them. */
interface Family {
  readonly members: readonly string[];
  readonly code: StandingConflict["code"];
}

/** The records that hang together with what is marked, by the replacements of either copy. */
function familiesOf(copies: Copies, marks: readonly Mark[]): Family[] {
  const near = new Map<string, Set<string>>();
  const join = (one: string, other: string): void => {
    near.set(one, (near.get(one) ?? new Set()).add(other));
    near.set(other, (near.get(other) ?? new Set()).add(one));
  };
  for (const id of idsOf(copies)) {
    for (const side of [copies.ours, copies.theirs]) {
      const replaced = replacedIn(side, id);
      if (replaced !== null) join(id, replaced);
    }
  }
  for (const { ids } of marks) for (const id of ids.slice(1)) join(ids[0] as string, id);
  const codes = new Map(marks.flatMap(({ code, ids }) => ids.map((id) => [id, code] as const)));
  const seen = new Set<string>();
  return marks.flatMap(({ ids: [first = ""] }): Family[] => {
    if (seen.has(first)) return [];
    const members: string[] = [];
    const open = [first];
    for (let id = open.pop(); id !== undefined; id = open.pop()) {
      if (seen.has(id)) continue;
      seen.add(id);
      members.push(id);
      open.push(...(near.get(id) ?? []));
    }
    const found = new Set(members.flatMap((id) => codes.get(id) ?? []));
    const code = found.has("settled-apart") ? "settled-apart" : ([...found][0] ?? "both-corrected");
    return [{ members, code }];
  });
}

function conflictOf(
  section: DatedSection,
  members: readonly string[],
  code: StandingConflict["code"],
  copies: Copies,
): StandingConflict | null {
  const ours = tipAmong(members, copies.ours);
  const theirs = tipAmong(members, copies.theirs);
  if (ours === null || theirs === null) return null;
  const key = JSON.stringify([section, "stands", ...[...members].sort().slice(0, 1)]);
  return { code, key, section, ours, theirs, members };
}

/** The record among `members` that stands in a copy; of several the last to be written. */
function tipAmong(members: readonly string[], copy: ById): Dated | null {
  const records = members.flatMap((id) => copy.get(id) ?? []);
  const replaced = supersededIds(records);
  const tips = records.filter((record) => !replaced.has(record.id));
  return tips.reduce<Dated | null>(
    (last, one) => (last === null || (one.seq ?? 0) >= (last.seq ?? 0) ? one : last),
    null,
  );
}

/**
 * What each record of a conflict replaces once a copy has been chosen (null where nothing): all that copy knows stays as
 * it has it; what only the other knows goes into the history, under the record that stands.
 */
export function settledReplacements(
  { members, ours, theirs }: StandingConflict,
  side: "ours" | "theirs",
  copies: Copies,
): ReadonlyMap<string, string | null> {
  const [winner, tip] = side === "ours" ? [copies.ours, ours] : [copies.theirs, theirs];
  const loser = side === "ours" ? copies.theirs : copies.ours;
  const settled = new Map<string, string | null>();
  for (const id of members) if (winner.has(id)) settled.set(id, replacedIn(winner, id));
  const under = oldestFirst(
    members.filter((id) => !winner.has(id)),
    loser,
  );
  let below = replacedIn(winner, tip.id);
  for (const id of under) {
    settled.set(id, below);
    below = id;
  }
  if (under.length > 0) settled.set(tip.id, below);
  return settled;
}

/** Records in the order in which a copy has them replaced, the oldest first. */
function oldestFirst(ids: readonly string[], copy: ById): string[] {
  const depth = (id: string): number => {
    let steps = 0;
    for (let at = replacedIn(copy, id); at !== null && steps <= copy.size; steps += 1) {
      at = replacedIn(copy, at);
    }
    return steps;
  };
  return [...ids].sort((one, other) => depth(one) - depth(other) || (one < other ? -1 : 1));
}
