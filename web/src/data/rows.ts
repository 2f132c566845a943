import { sharedReferences, type RecordOf, type Section } from "@yonderfell/core";
import type { Row } from "./bookDatabase.js";

/** A text field of a record, empty where it has none. */
export function textOf(record: object, key: string): string {
  const value = (record as Readonly<Record<string, unknown>>)[key];
  return typeof value === "string" ? value : "";
}

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

/** A record as it is stored, with what it is looked up by. `machineReplaced` is that of the record it replaces, null where there is none. */
export function rowOf<S extends Section>(
  section: S,
  record: RecordOf[S],
  place: number,
  machineReplaced: string | null,
): Row<S> {
  const machine = textOf(record, "machine");
  const refers = sharedReferences(section, record).map(referenceKey);
  return {
    id: record.id,
    place,
    machine,
    date: textOf(record, "date"),
    replaces: textOf(record, "replaces"),
    ...(machineReplaced !== null && machineReplaced !== machine ? { crosses: 1 as const } : {}),
    ...(refers.length > 0 ? { refers } : {}),
    record,
  };
}

/** The records of a whole section as they are stored. */
export function rowsOf<S extends Section>(section: S, records: readonly RecordOf[S][]): Row<S>[] {
  const machines = new Map<string, string>();
  for (const record of records) machines.set(record.id, textOf(record, "machine"));
  return records.map((record, place) =>
    rowOf<S>(section, record, place, machines.get(textOf(record, "replaces")) ?? null),
  );
}
