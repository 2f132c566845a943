/** The address at which a job on a machine begins, for a task or a finding. */
export function beginPath(machine: string, of: "task" | "finding", id: string): string {
  return `/bench/new?${new URLSearchParams({ machine, [of]: id }).toString()}`;
}

/** The address at which a round of a machine begins; of any, where none is named. */
export function beginRoundPath(machine?: string): string {
  return machine === undefined
    ? "/rounds/new"
    : `/rounds/new?${new URLSearchParams({ machine }).toString()}`;
}
