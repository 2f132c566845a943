import { crossingRecords, type DatedRecord, type DatedSection } from "@yonderfell/core";
import type { Held } from "./page.js";

/** Those of dated records that cross from one machine to another, with all they go back to. */
export function crossingOf<S extends DatedSection>(held: readonly Held<S>[]): Held<S>[] {
  const records: readonly DatedRecord[] = held.map(([, record]) => record);
  const crossing = new Set(crossingRecords(records));
  return held.filter(([, record]) => crossing.has(record));
}
