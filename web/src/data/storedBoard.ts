import type { StoredBoard } from "./bookStorage.js";

type BoardHead = Omit<StoredBoard, "machines">;

/** Whether a part of the board that changed since change number `from` belongs on the one that is stored. */
export function follows(part: BoardHead, stored: BoardHead, from: number): boolean {
  return stored.seq === from && stored.today === part.today && stored.program === part.program;
}
