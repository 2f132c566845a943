import { DexieBoardSource } from "../data/dexieBoardSource.js";
import { errorWords } from "../words/errorWords.js";
import { inPieces } from "./inPieces.js";
import type { KeeperMessage, WakeMessage } from "./messages.js";
import { VisitKeeper, type VisitsUpdate } from "./visitKeeper.js";

/** So many machines a message; a few milliseconds of the page's time each. */
const MACHINES_A_PIECE = 100;

let keeper: VisitKeeper | null = null;
let turn: Promise<void> = Promise.resolve();

const send = (message: KeeperMessage<VisitsUpdate>): void => self.postMessage(message);

async function refresh({ database, today }: WakeMessage): Promise<void> {
  keeper ??= new VisitKeeper(new DexieBoardSource(database));
  try {
    const update = await keeper.refresh(today);
    if (update === null) return send({ code: "unchanged" });
    inPieces(update, MACHINES_A_PIECE).forEach(send);
  } catch (error) {
    send({ code: "failed", reason: errorWords(error) });
  }
}

self.onmessage = (event: MessageEvent<WakeMessage>): void => {
  const wake = event.data;
  turn = turn.then(() => refresh(wake));
};
