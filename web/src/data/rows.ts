import type { RecordOf, Section } from "@yonderfell/core";
import type { Row } from "./bookDatabase.js";

const textOf = (record: object, key: string): string => {
  const value = (record as Readonly<Record<string, unknown>>)[key];
  return typeof value === "string" ? value : "";
};

/** A record as it is stored, with what it is looked up by. */
export function rowOf<S extends Section>(
  record: RecordOf[S],
  place: number,
  revision: number,
): Row<S> {
  return {
    id: record.id,
    place,
    machine: textOf(record, "machine"),
    date: textOf(record, "date"),
    replaces: textOf(record, "replaces"),
    revision,
    record,
  };
}
