import {
  crossingRecords,
  DATED_SECTIONS,
  type DatedRecord,
  type DatedSection,
  type MachineId,
  type Sections,
} from "@yonderfell/core";

/** The machines with a record that replaces one of another, or is replaced so. */
export function machinesThatCross(sections: Pick<Sections, DatedSection>): MachineId[] {
  const crossing = DATED_SECTIONS.flatMap((section) =>
    crossingRecords<DatedRecord>(sections[section]),
  );
  return [...new Set(crossing.map(({ machine }) => machine as MachineId))];
}
