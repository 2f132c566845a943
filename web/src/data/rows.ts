import { sharedReferences, type RecordOf, type Section } from "@yonderfell/core";
import type { Row, RowSection } from "./row.js";

/** A reference to a shared record as it is looked up. */
export function referenceKey({
  section,
  id,
}: {
  readonly section: Section;
  readonly id: string;
}): string {
  return `${section} ${id}`;
}

/** A machine or a shared record as it is stored, with what it is looked up by. */
export function rowOf<S extends RowSection>(
  section: S,
  record: RecordOf[S],
  place: number,
): Row<S> {
  const refers = sharedReferences<Section>(section, record).map(referenceKey);
  return { id: record.id, place, ...(refers.length > 0 ? { refers } : {}), record };
}
