import type { BoardMachine, DayNumber } from "@yonderfell/core";
import { createAction, type UnknownAction } from "@reduxjs/toolkit";
import { joined } from "./joined.js";
import type { BoardUpdate } from "../work/boardKeeper.js";

/** The derived board of the open book. */
export interface BoardState {
  readonly phase: "reckoning" | "ready" | "failed";
  readonly reason: string;
  readonly seq: number;
  readonly today: DayNumber | null;
  readonly machines: readonly BoardMachine[];
}

const EMPTY: BoardState = { phase: "reckoning", reason: "", seq: -1, today: null, machines: [] };

export const boardOpened = createAction("board/opened");
export const boardReckoning = createAction("board/reckoning");
export const boardUnchanged = createAction("board/unchanged");
export const boardUpdated = createAction<BoardUpdate>("board/updated");
export const boardFailed = createAction<string>("board/failed");

/** The board after an update. Written by hand, not with drafts: a large board is handed over as it is. */
export function boardReducer(state: BoardState = EMPTY, action: UnknownAction): BoardState {
  if (boardOpened.match(action)) return EMPTY;
  if (boardReckoning.match(action)) return { ...state, phase: "reckoning" };
  if (boardUnchanged.match(action)) return { ...state, phase: "ready" };
  if (boardFailed.match(action)) return { ...state, phase: "failed", reason: action.payload };
  if (boardUpdated.match(action)) return updated(state, action.payload);
  return state;
}

function updated(state: BoardState, update: BoardUpdate): BoardState {
  const { seq, today, isCurrent } = update;
  const phase = isCurrent ? "ready" : "reckoning";
  return { phase, reason: "", seq, today, machines: joined(state.machines, update) };
}
