import type { Piece } from "./inPieces.js";
import type { KeptUpdate } from "./keeper.js";

/**
 * Puts the pieces of an update together again. Where it is shown in parts, the first piece of all is handed on at
 * once when nothing is shown yet; else only finished updates are.
 */
export class Pieces<Update extends KeptUpdate> {
  private parts: Update[] = [];
  private showsAny: boolean;

  constructor(
    private readonly onUpdate: (update: Update) => void,
    inParts: boolean,
  ) {
    this.showsAny = !inParts;
  }

  take({ update, isLast }: Piece<Update>): void {
    this.parts.push(update);
    if (isLast) {
      const machines = this.parts.flatMap((part) => part.machines);
      this.parts = [];
      this.showsAny = true;
      this.onUpdate({ ...update, machines });
    } else if (!this.showsAny) {
      this.showsAny = true;
      this.onUpdate({ ...update, isCurrent: false });
    }
  }
}
