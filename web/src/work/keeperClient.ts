import type { DayNumber } from "@yonderfell/core";
import type { KeeperMessage, WakeMessage } from "./messages.js";

/** What a page is told of what a worker keeps current. */
export interface KeeperListener<Update> {
  readonly onUpdate: (update: Update) => void;
  readonly onUnchanged: () => void;
  readonly onFailure: (reason: string) => void;
}

/** Talks to a worker that keeps something of one book current; `take` is given its updates piece by piece. */
export class KeeperClient<Update> {
  constructor(
    private readonly worker: Worker,
    private readonly database: string,
    private readonly listener: KeeperListener<Update>,
    private readonly take: (update: Update, isLast: boolean) => void,
  ) {
    worker.onmessage = (event: MessageEvent<KeeperMessage<Update>>) => this.receive(event.data);
    worker.onerror = (event) => listener.onFailure(event.message);
  }

  /** Has the worker look for changes. */
  wake(today: DayNumber): void {
    const message: WakeMessage = { database: this.database, today };
    this.worker.postMessage(message);
  }

  stop(): void {
    this.worker.terminate();
  }

  private receive(message: KeeperMessage<Update>): void {
    switch (message.code) {
      case "piece":
        return this.take(message.update, message.isLast);
      case "unchanged":
        return this.listener.onUnchanged();
      case "failed":
        return this.listener.onFailure(message.reason);
    }
  }
}
