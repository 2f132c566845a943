import { DexieBoardSource } from "../data/dexieBoardSource.js";
import { errorWords } from "../words/errorWords.js";
import { BoardKeeper, type BoardUpdate } from "./boardKeeper.js";
import { inPieces } from "./inPieces.js";
import type { KeeperMessage, WakeMessage } from "./messages.js";

/** So many machines a message; a few milliseconds of the page's time each. */
const MACHINES_A_PIECE = 20;

let keeper: BoardKeeper | null = null;
let turn: Promise<void> = Promise.resolve();

const send = (message: KeeperMessage<BoardUpdate>): void => self.postMessage(message);

// Whatever goes wrong reaches the person: the board would otherwise stand still unexplained.
const sendFailure = (error: unknown): void => send({ code: "failed", reason: errorWords(error) });

async function refresh({ database, today }: WakeMessage): Promise<void> {
  // The name of the built worker changes with its code, so a board of other code is known as such.
  keeper ??= new BoardKeeper(new DexieBoardSource(database), self.location.pathname);
  try {
    let isChanged = false;
    for await (const update of keeper.refresh(today)) {
      isChanged = true;
      inPieces(update, MACHINES_A_PIECE).forEach(send);
    }
    if (!isChanged) send({ code: "unchanged" });
    keeper.stored().catch(sendFailure);
  } catch (error) {
    sendFailure(error);
  }
}

self.onmessage = (event: MessageEvent<WakeMessage>): void => {
  const wake = event.data;
  turn = turn.then(() => refresh(wake));
};
