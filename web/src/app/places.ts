/** A place of the program: named in a plain word, reachable by a key. */
export interface Place {
  readonly name: string;
  readonly path: string;
  readonly key: string;
}

/** The places there are so far; each keeps its key, so that the keys do not move as others come. */
export const PLACES: readonly Place[] = [
  { name: "Ahead", path: "/ahead", key: "1" },
  { name: "Yard", path: "/yard", key: "2" },
  { name: "Bench", path: "/bench", key: "3" },
  { name: "Rounds", path: "/rounds", key: "4" },
  { name: "Stores", path: "/stores", key: "5" },
  { name: "Ledger", path: "/ledger", key: "6" },
];
