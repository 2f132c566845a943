import type { Saved } from "../data/bookStorage.js";
import { changeWords } from "../words/changeWords.js";
import { store } from "./store.js";
import { changeMade } from "./undo.js";

/** Notes a change that this tab made, so that it can be taken back. */
export function noteChange(saved: Saved): void {
  const words = changeWords(saved.change, store.getState().board.machines);
  store.dispatch(changeMade({ seq: saved.seq, words }));
}
