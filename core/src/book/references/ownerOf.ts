import type { MachineId } from "../records/ids.js";
import type { RecordOf, Section } from "../records/recordSchemas.js";
import { isShared } from "../records/sections.js";

/** The machine that a record belongs to: of a machine itself, and none where it belongs to no one machine. */
export function ownerOf(section: Section, record: RecordOf[Section]): MachineId | null {
  if (section === "machines") return record.id as MachineId;
  return isShared(section) ? null : (record as RecordOf["tasks"]).machine;
}
