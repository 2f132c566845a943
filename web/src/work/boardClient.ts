import type { BoardUpdate } from "./boardKeeper.js";
import { KeeperClient, type KeeperListener } from "./keeperClient.js";
import { Pieces } from "./pieces.js";

/** The way to the worker that keeps the board of a book. */
export function boardClient(
  database: string,
  listener: KeeperListener<BoardUpdate>,
): KeeperClient<BoardUpdate> {
  const worker = new Worker(new URL("./board.worker.ts", import.meta.url), { type: "module" });
  const pieces = new Pieces(listener.onUpdate);
  return new KeeperClient(worker, database, listener, (update, isLast) =>
    pieces.take(update, isLast),
  );
}
