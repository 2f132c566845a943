/**
 * How often a record has been changed, by the copy of the book that changed it. A record that was
 * only ever added has none. Of two versions of one record the counts tell whether one follows from
 * the other or both were changed apart.
 */
export type Revision = Readonly<Record<string, number>>;

const NEVER: Revision = {};

/** The revision of a record, or of anything else that may carry one. */
export function revisionOf(record: unknown): Revision {
  if (typeof record !== "object" || record === null) return NEVER;
  return (record as { readonly revision?: Revision | null }).revision ?? NEVER;
}

/** How two versions stand to each other: the same, one before or after the other, or changed apart. */
export type RevisionOrder = "same" | "before" | "after" | "apart";

/** How the version of one revision stands to that of another. */
export function compareRevisions(one: Revision, other: Revision): RevisionOrder {
  const copies = new Set([...Object.keys(one), ...Object.keys(other)]);
  let isBehind = false;
  let isAhead = false;
  for (const copy of copies) {
    const difference = countOf(one, copy) - countOf(other, copy);
    if (difference < 0) isBehind = true;
    if (difference > 0) isAhead = true;
  }
  if (isBehind && isAhead) return "apart";
  if (isBehind) return "before";
  return isAhead ? "after" : "same";
}

/** The revision that follows from both. */
export function joinedRevisions(one: Revision, other: Revision): Revision {
  const copies = [...new Set([...Object.keys(one), ...Object.keys(other)])].sort();
  return Object.fromEntries(
    copies.map((copy) => [copy, Math.max(countOf(one, copy), countOf(other, copy))]),
  );
}

/** The revision after one more change made in a copy. */
export function nextRevision(revision: Revision, copy: string): Revision {
  return joinedRevisions(revision, { [copy]: countOf(revision, copy) + 1 });
}

/** A record with another revision; one of no counts leaves the field out. */
export function withRevision<T extends object>(record: T, revision: Revision): T {
  const { revision: _, ...rest } = record as T & { readonly revision?: unknown };
  const isNever = Object.keys(revision).length === 0;
  return (isNever ? rest : { ...rest, revision }) as T;
}

function countOf(revision: Revision, copy: string): number {
  return Object.hasOwn(revision, copy) ? (revision[copy] ?? 0) : 0;
}
