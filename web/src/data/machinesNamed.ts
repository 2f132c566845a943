import { ownerOf, type Change, type MachineId } from "@yonderfell/core";

/** The machines that the records of a change belong to, before and after it. */
export function machinesNamed(change: Change): Set<MachineId> {
  const named = new Set<MachineId>();
  for (const { section, before, after } of change.records) {
    for (const record of [before, after]) {
      const owner = record === null ? null : ownerOf(section, record);
      if (owner !== null) named.add(owner);
    }
  }
  return named;
}
