import type { DayNumber } from "@yonderfell/core";
import type { VisitsMessage, WakeMessage } from "./messages.js";
import type { PlannedMachine, VisitsUpdate } from "./visitKeeper.js";

/** What is told of the visits. */
export interface VisitsListener {
  readonly onUpdate: (update: VisitsUpdate) => void;
  readonly onUnchanged: () => void;
  readonly onFailure: (reason: string) => void;
}

/** Talks to the worker that plans the visits of one book. */
export class VisitClient {
  private readonly worker = new Worker(new URL("./visits.worker.ts", import.meta.url), {
    type: "module",
  });
  private pieces: PlannedMachine[] = [];

  constructor(
    private readonly database: string,
    private readonly listener: VisitsListener,
  ) {
    this.worker.onmessage = (event: MessageEvent<VisitsMessage>) => this.receive(event.data);
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

  private receive(message: VisitsMessage): void {
    switch (message.code) {
      case "piece": {
        this.pieces.push(...message.update.machines);
        if (!message.isLast) return;
        this.listener.onUpdate({ ...message.update, machines: this.pieces });
        this.pieces = [];
        return;
      }
      case "unchanged":
        return this.listener.onUnchanged();
      case "failed":
        return this.listener.onFailure(message.reason);
    }
  }
}
