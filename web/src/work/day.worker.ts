import { reckonBoard, type BoardMachine, type DayNumber } from "@yonderfell/core";
import { expose } from "comlink";
import { DexieStorage } from "../data/dexieStorage.js";
import { withStorage } from "../data/withStorage.js";

/** The board of a book as it stands on another day than today; nothing of it is kept. */
function boardOn(database: string, day: DayNumber): Promise<BoardMachine[]> {
  return withStorage(
    (name) => new DexieStorage(name),
    database,
    async (storage) => reckonBoard(await storage.everything(), day),
  );
}

const days = { boardOn };

export type Days = typeof days;

expose(days);
