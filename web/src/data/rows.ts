import type { RecordOf, Section } from "@yonderfell/core";
import type { Row } from "./bookDatabase.js";

/** A text field of a record, empty where it has none. */
export function textOf(record: object, key: string): string {
  const value = (record as Readonly<Record<string, unknown>>)[key];
  return typeof value === "string" ? value : "";
}

/** A record as it is stored, with what it is looked up by. `machineReplaced` is that of the record it replaces, null where there is none. */
export function rowOf<S extends Section>(
  record: RecordOf[S],
  place: number,
  machineReplaced: string | null,
): Row<S> {
  const machine = textOf(record, "machine");
  return {
    id: record.id,
    place,
    machine,
    date: textOf(record, "date"),
    replaces: textOf(record, "replaces"),
    ...(machineReplaced !== null && machineReplaced !== machine ? { crosses: 1 as const } : {}),
    record,
  };
}

/** The records of a whole section as they are stored. */
export function rowsOf<S extends Section>(records: readonly RecordOf[S][]): Row<S>[] {
  const machines = new Map<string, string>();
  for (const record of records) machines.set(record.id, textOf(record, "machine"));
  return records.map((record, place) =>
    rowOf<S>(record, place, machines.get(textOf(record, "replaces")) ?? null),
  );
}
