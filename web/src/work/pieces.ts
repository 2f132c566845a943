import type { BoardUpdate } from "./boardKeeper.js";

/**
 * Puts the pieces of an update together again. The first piece of a whole board is handed on at
 * once when nothing is shown yet; after that only finished updates are.
 */
export class Pieces {
  private parts: BoardUpdate[] = [];
  private showsAny = false;

  constructor(private readonly onUpdate: (update: BoardUpdate) => void) {}

  take(piece: BoardUpdate, isLast: boolean): void {
    this.parts.push(piece);
    if (isLast) {
      const machines = this.parts.flatMap((part) => part.machines);
      this.parts = [];
      this.showsAny = true;
      this.onUpdate({ ...piece, machines });
    } else if (!this.showsAny) {
      this.showsAny = true;
      this.onUpdate({ ...piece, isCurrent: false });
    }
  }
}
