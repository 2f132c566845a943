import {
  crossingRecords,
  OWN_DATED_SECTIONS,
  type DatedOfMachine,
  type MachineId,
  type Sections,
} from "@yonderfell/core";

/** The machines with a record that replaces one of another, or is replaced so. */
export function machinesThatCross(sections: Partial<Sections>): MachineId[] {
  const crossing = OWN_DATED_SECTIONS.flatMap((section) =>
    crossingRecords<DatedOfMachine>(sections[section] ?? []),
  );
  return [...new Set(crossing.map(({ machine }) => machine as MachineId))];
}
