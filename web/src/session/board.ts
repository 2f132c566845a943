import { keptState, type KeptState } from "../work/kept/keptState.js";
import type { BoardUpdate } from "../work/boardKeeper.js";

/** The derived board of the open book. */
export type BoardState = KeptState<BoardUpdate>;

/** What may become of the board. */
export const board = keptState<BoardUpdate>("board", "reckoning", {});
