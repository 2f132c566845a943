import { listRounds, type ListedRounds } from "@yonderfell/core";
import { expose } from "comlink";
import { DexieStorage } from "../data/dexieStorage.js";
import { withStorage } from "../data/withStorage.js";

/** How many rounds that are finished are listed. */
const LATEST = 12;

/** The rounds under way and those finished lately, from all rounds of a book. */
function roundsListed(database: string): Promise<ListedRounds> {
  return withStorage(
    (name) => new DexieStorage(name),
    database,
    async (storage) => {
      const [rounds, checklists, machines] = await Promise.all([
        storage.list("rounds"),
        storage.list("checklists"),
        storage.list("machines"),
      ]);
      return listRounds({ rounds, checklists, machines }, LATEST);
    },
  );
}

const rounds = { roundsListed };

export type RoundsWork = typeof rounds;

expose(rounds);
