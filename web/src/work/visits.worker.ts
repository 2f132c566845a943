import { DexieBoardSource } from "../data/dexieBoardSource.js";
import { errorWords } from "../words/errorWords.js";
import type { VisitsMessage, WakeMessage } from "./messages.js";
import { VisitKeeper } from "./visitKeeper.js";

/** So many machines a message; a few milliseconds of the page's time each. */
const MACHINES_A_PIECE = 100;

let keeper: VisitKeeper | null = null;
let turn: Promise<void> = Promise.resolve();

const send = (message: VisitsMessage): void => self.postMessage(message);

async function refresh({ database, today }: WakeMessage): Promise<void> {
  keeper ??= new VisitKeeper(new DexieBoardSource(database));
  try {
    const update = await keeper.refresh(today);
    if (update === null) return send({ code: "unchanged" });
    const { machines } = update;
    for (let from = 0; from === 0 || from < machines.length; from += MACHINES_A_PIECE) {
      const isLast = from + MACHINES_A_PIECE >= machines.length;
      const piece = { ...update, machines: machines.slice(from, from + MACHINES_A_PIECE) };
      send({ code: "piece", update: piece, isLast });
    }
  } catch (error) {
    send({ code: "failed", reason: errorWords(error) });
  }
}

self.onmessage = (event: MessageEvent<WakeMessage>): void => {
  const wake = event.data;
  turn = turn.then(() => refresh(wake));
};
