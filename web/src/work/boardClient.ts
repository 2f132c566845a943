import type { DayNumber } from "@yonderfell/core";
import type { BoardMessage, WakeMessage } from "./messages.js";

/** Talks to the worker that keeps the board of one book. */
export class BoardClient {
  private readonly worker = new Worker(new URL("./board.worker.ts", import.meta.url), {
    type: "module",
  });

  constructor(
    private readonly database: string,
    onMessage: (message: BoardMessage) => void,
  ) {
    this.worker.onmessage = (event: MessageEvent<BoardMessage>) => onMessage(event.data);
    this.worker.onerror = (event) => onMessage({ code: "failed", reason: event.message });
  }

  /** Has the worker look for changes. */
  wake(today: DayNumber): void {
    const message: WakeMessage = { database: this.database, today };
    this.worker.postMessage(message);
  }

  stop(): void {
    this.worker.terminate();
  }
}
