import type { DatedOfMachine } from "./dated.js";

/**
 * The records of a section that replace one of another machine, with all that those go back to:
 * work logged on the wrong machine and put right, say. They matter to both machines: on the one
 * the old record no longer stands, on the other the new one takes its place in the order.
 */
export function crossingRecords<T extends DatedOfMachine>(records: readonly T[]): T[] {
  if (!records.some((record) => (record.replaces ?? null) !== null)) return [];
  const byId = new Map(records.map((record) => [record.id, record]));
  const found = new Set<T>();
  for (const record of records) {
    const replaced = record.replaces ?? null;
    const earlier = replaced === null ? undefined : byId.get(replaced);
    if (earlier === undefined || earlier.machine === record.machine) continue;
    for (const step of chainFrom(record, (id) => byId.get(id))) found.add(step);
  }
  return records.filter((record) => found.has(record));
}

/** A record and those it goes back to through its replacements, itself first. */
function chainFrom<T extends DatedOfMachine>(record: T, find: (id: string) => T | undefined): T[] {
  const chain = [record];
  const seen = new Set([record.id]);
  for (let at: T | undefined = record; at !== undefined;) {
    const replaced: string | null = at.replaces ?? null;
    at = replaced === null || seen.has(replaced) ? undefined : find(replaced);
    if (at === undefined) break;
    seen.add(at.id);
    chain.push(at);
  }
  return chain;
}
