import type { LogSection } from "@yonderfell/core";

/** The address of a leaf of a machine. */
export function machinePath(id: string, leaf = ""): string {
  return `/yard/${encodeURIComponent(id)}${leaf}`;
}

/** The address at which a record of a machine is corrected. */
export function correctionPath(machine: string, section: LogSection, id: string): string {
  return `/correct/${encodeURIComponent(machine)}/${section}/${encodeURIComponent(id)}`;
}
