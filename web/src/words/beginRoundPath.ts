/** The address at which a round of a machine begins; of any, where none is named. */
export function beginRoundPath(machine?: string): string {
  return machine === undefined
    ? "/rounds/new"
    : `/rounds/new?${new URLSearchParams({ machine }).toString()}`;
}
