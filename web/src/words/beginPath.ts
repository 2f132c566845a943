/** The address at which a job on a machine begins, for a task or a finding. */
export function beginPath(machine: string, of: "task" | "finding", id: string): string {
  return `/bench/new?${new URLSearchParams({ machine, [of]: id }).toString()}`;
}
