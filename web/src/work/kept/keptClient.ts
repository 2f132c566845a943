import type { DayNumber } from "@yonderfell/core";
import { wrap } from "comlink";
import { errorWords } from "../../words/errorWords.js";
import type { KeptUpdate } from "./keeper.js";
import { Pieces } from "./pieces.js";
import type { Kept } from "./serveKeeper.js";

/** What a page is told of what a worker keeps current. */
export interface KeptListener<Update> {
  readonly onUpdate: (update: Update) => void;
  readonly onUnchanged: () => void;
  readonly onFailure: (reason: string) => void;
}

/** Asks a worker that keeps something of one book current for what has changed, whenever it is woken. */
export class KeptClient<Update extends KeptUpdate> {
  private readonly pieces: Pieces<Update>;
  private isAsking = false;
  /** The day to look again for, once what is asked now is answered. */
  private again: DayNumber | null = null;

  constructor(
    private readonly kept: Kept<Update>,
    private readonly database: string,
    private readonly listener: KeptListener<Update>,
    inParts: boolean,
  ) {
    this.pieces = new Pieces(listener.onUpdate, inParts);
  }

  /** Looks for changes. */
  wake(today: DayNumber): void {
    this.again = today;
    if (!this.isAsking) void this.askWhileWoken();
  }

  private async askWhileWoken(): Promise<void> {
    this.isAsking = true;
    while (this.again !== null) {
      const today = this.again;
      this.again = null;
      await this.ask(today).catch(this.fail);
    }
    this.isAsking = false;
  }

  private readonly fail = (error: unknown): void => this.listener.onFailure(errorWords(error));

  private async ask(today: DayNumber): Promise<void> {
    let isChanged = false;
    for (;;) {
      const piece = await this.kept.next(this.database, today);
      if (piece === null) break;
      isChanged = true;
      this.pieces.take(piece);
    }
    if (!isChanged) this.listener.onUnchanged();
    // Not waited for: what changes meanwhile is shown first.
    this.kept.stored().catch(this.fail);
  }
}

/** The way to a worker that keeps something of a book current, and to end it. `inParts`: a large first update is begun to be shown before it is whole. */
export function keptClient<Update extends KeptUpdate>(
  worker: Worker,
  database: string,
  listener: KeptListener<Update>,
  inParts: boolean,
): { readonly wake: (today: DayNumber) => void; readonly stop: () => void } {
  worker.addEventListener("error", ({ message }) => listener.onFailure(message));
  const client = new KeptClient(wrap<Kept<Update>>(worker), database, listener, inParts);
  return { wake: (today) => client.wake(today), stop: () => worker.terminate() };
}
