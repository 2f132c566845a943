import { SHARED_SECTIONS, type Change, type MachineId, type Section } from "@yonderfell/core";

/** The machines that the records of a change belong to, before and after it. */
export function machinesNamed(change: Change): Set<MachineId> {
  const named = new Set<MachineId>();
  for (const { section, before, after } of change.records) {
    if ((SHARED_SECTIONS as readonly Section[]).includes(section)) continue;
    for (const record of [before, after]) {
      if (record === null) continue;
      named.add(
        section === "machines"
          ? (record.id as MachineId)
          : (record as { machine: MachineId }).machine,
      );
    }
  }
  return named;
}
