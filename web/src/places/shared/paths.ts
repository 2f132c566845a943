import type { Job, LogSection } from "@yonderfell/core";

/** The address of a leaf of a machine. */
export function machinePath(id: string, leaf = ""): string {
  return `/yard/${encodeURIComponent(id)}${leaf}`;
}

/** The address at which a record of a machine is corrected. */
export function correctionPath(machine: string, section: LogSection, id: string): string {
  return `/correct/${encodeURIComponent(machine)}/${section}/${encodeURIComponent(id)}`;
}

/** The address of a job. */
export function jobPath(job: Pick<Job, "id" | "machine">, leaf = ""): string {
  return `/bench/${encodeURIComponent(job.machine)}/${encodeURIComponent(job.id)}${leaf}`;
}

/** The address of a round. */
export function roundPath(round: { readonly id: string; readonly machine: string }): string {
  return `/rounds/${encodeURIComponent(round.machine)}/${encodeURIComponent(round.id)}`;
}

/** The address of the report on a machine. */
export function reportPath(machine: string): string {
  return `/rounds/report/${encodeURIComponent(machine)}`;
}

/** The address of the service record of a machine. */
export function recordPath(machine: string): string {
  return `/ledger/record/${encodeURIComponent(machine)}`;
}

/** The address of the turns of a machine's tasks, as a warranty asks for them. */
export function warrantyPath(machine: string): string {
  return `/ledger/warranty/${encodeURIComponent(machine)}`;
}

/** The address of a system's samples. */
export const systemPath = (machine: string, fluid: string): string =>
  `/rounds/samples/${encodeURIComponent(machine)}/${encodeURIComponent(fluid)}`;

/** The address of what the records teach: of all machines, or of one. */
export const learningPath = (machine: string): string =>
  `/ledger/learning?machine=${encodeURIComponent(machine)}`;
