import type { DayNumber } from "@yonderfell/core";
import type { BoardUpdate } from "./boardKeeper.js";
import type { BoardMessage, WakeMessage } from "./messages.js";
import { Pieces } from "./pieces.js";

/** What the board's page is told. */
export interface BoardListener {
  readonly onUpdate: (update: BoardUpdate) => void;
  readonly onUnchanged: () => void;
  readonly onFailure: (reason: string) => void;
}

/** Talks to the worker that keeps the board of one book. */
export class BoardClient {
  private readonly worker = new Worker(new URL("./board.worker.ts", import.meta.url), {
    type: "module",
  });
  private readonly pieces: Pieces;

  constructor(
    private readonly database: string,
    private readonly listener: BoardListener,
  ) {
    this.pieces = new Pieces(listener.onUpdate);
    this.worker.onmessage = (event: MessageEvent<BoardMessage>) => this.receive(event.data);
    this.worker.onerror = (event) => listener.onFailure(event.message);
  }

  /** Has the worker look for changes. */
  wake(today: DayNumber): void {
    const message: WakeMessage = { database: this.database, today };
    this.worker.postMessage(message);
  }

  stop(): void {
    this.worker.terminate();
  }

  private receive(message: BoardMessage): void {
    switch (message.code) {
      case "piece":
        return this.pieces.take(message.update, message.isLast);
      case "unchanged":
        return this.listener.onUnchanged();
      case "failed":
        return this.listener.onFailure(message.reason);
    }
  }
}
