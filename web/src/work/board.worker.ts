import { DexieStorage } from "../data/dexieStorage.js";
import { errorWords } from "../words/errorWords.js";
import { BoardKeeper } from "./boardKeeper.js";
import type { BoardMessage, WakeMessage } from "./messages.js";

let keeper: BoardKeeper | null = null;
let turn: Promise<void> = Promise.resolve();

async function refresh({ database, today }: WakeMessage): Promise<void> {
  keeper ??= new BoardKeeper(new DexieStorage(database));
  let message: BoardMessage;
  try {
    const update = await keeper.refresh(today);
    message = update === null ? { code: "unchanged" } : { code: "updated", update };
  } catch (error) {
    // Whatever went wrong reaches the person: the board would otherwise stand still unexplained.
    message = { code: "failed", reason: errorWords(error) };
  }
  self.postMessage(message);
}

self.onmessage = (event: MessageEvent<WakeMessage>): void => {
  const wake = event.data;
  turn = turn.then(() => refresh(wake));
};
