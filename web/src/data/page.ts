import type { OwnedSection, RecordOf } from "@yonderfell/core";

/** A record and its place in its section, so that a file keeps its order. */
export type Held<S extends OwnedSection = OwnedSection> = readonly [
  place: number,
  record: RecordOf[S],
];

/** Some records of one section of one machine, stored as one text: a row each would be ten times as slow to write and to read. */
export interface Page {
  readonly machine: string;
  readonly section: OwnedSection;
  /** Counted from 0; a page that has been emptied is gone. */
  readonly page: number;
  /** How many records it holds. */
  readonly count: number;
  /** The latest date of its entries; absent for other sections, so that the index holds only entries. */
  readonly newest?: string;
  /** The shared records that its records refer to, as `section id`; absent where there are none. */
  readonly refers?: readonly string[];
  /** What it holds, {@link Held}, as JSON. */
  readonly text: string;
}

/** What pages of one section hold, in the order of the file. */
export function unpacked<S extends OwnedSection>(pages: readonly Page[]): Held<S>[] {
  const held = pages.flatMap(({ text }) => JSON.parse(text) as Held<S>[]);
  return held.sort(([one], [other]) => one - other);
}
