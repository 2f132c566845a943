import {
  crossingRecords,
  OWN_DATED_SECTIONS,
  type DatedOfMachine,
  type OwnDatedSection,
  type MachineId,
} from "@yonderfell/core";
import type { Held } from "./page.js";

/** Reads what one section of a machine holds, within the running transaction. */
type Read = (machine: MachineId, section: OwnDatedSection) => PromiseLike<Held<OwnDatedSection>[]>;

/** Dated records of a section that cross from one machine to another, with all they go back to. */
export async function crossingIn<S extends OwnDatedSection>(
  section: S,
  machines: readonly MachineId[],
  read: Read,
): Promise<Held<S>[]> {
  const held = (await Promise.all(machines.map((id) => read(id, section)))).flat();
  const records: readonly DatedOfMachine[] = held.map(([, record]) => record);
  const crossing = new Set(crossingRecords(records));
  const found = held.filter(([, record]) => crossing.has(record));
  return found.sort(([one], [other]) => one - other) as unknown as Held<S>[];
}

/** The same of all dated sections. */
export async function readCrossing(
  machines: readonly MachineId[],
  read: Read,
): Promise<ReadonlyMap<OwnDatedSection, readonly Held[]>> {
  const found = new Map<OwnDatedSection, readonly Held[]>();
  for (const section of OWN_DATED_SECTIONS) {
    found.set(section, await crossingIn(section, machines, read));
  }
  return found;
}
