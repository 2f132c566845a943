import type { DayNumber } from "@yonderfell/core";
import { expose } from "comlink";
import { errorWords } from "../../words/errorWords.js";
import { inPieces, type Piece } from "./inPieces.js";
import type { Keeper, KeptUpdate } from "./keeper.js";

/** What a page asks of a worker that keeps something current: piece by piece, so that no single one holds it up. */
export interface Kept<Update extends KeptUpdate> {
  /** The next piece of what has changed by `today` in the book of a database; null where there is no more for now. */
  next(database: string, today: DayNumber): Promise<Piece<Update> | null>;
  /** Resolves once what is kept is stored, where it is; rejects where it could not be. */
  stored(): Promise<void>;
}

/** Whatever goes wrong reaches the person in words: what is kept would otherwise stand still unexplained. */
async function worded<Value>(run: () => Promise<Value>): Promise<Value> {
  try {
    return await run();
  } catch (error) {
    throw new Error(errorWords(error), { cause: error });
  }
}

/** Has a keeper answer a page, in pieces of so many machines; `keeperOf` makes it at the first call. */
export function keptBy<Update extends KeptUpdate>(
  keeperOf: (database: string) => Keeper<Update>,
  machinesEach: number,
): Kept<Update> {
  let keeper: Keeper<Update> | null = null;
  let updates: AsyncGenerator<Update, void, undefined> | null = null;
  let pieces: Piece<Update>[] = [];
  const look = async (database: string, today: DayNumber): Promise<Piece<Update> | null> => {
    if (pieces.length === 0) {
      keeper ??= keeperOf(database);
      updates ??= keeper.refresh(today);
      try {
        const next = await updates.next();
        if (next.done === true) updates = null;
        else pieces = inPieces(next.value, machinesEach);
      } catch (error) {
        updates = null;
        throw error;
      }
    }
    return pieces.shift() ?? null;
  };
  return {
    next: (database, today) => worded(() => look(database, today)),
    stored: () => worded(async () => keeper?.stored()),
  };
}

/** Serves a keeper from a worker: all that its file needs. */
export function serveKeeper<Update extends KeptUpdate>(
  keeperOf: (database: string) => Keeper<Update>,
  machinesEach: number,
): void {
  expose(keptBy(keeperOf, machinesEach));
}
