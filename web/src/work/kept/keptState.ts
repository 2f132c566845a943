import type { DayNumber } from "@yonderfell/core";
import { createAction, type PayloadAction, type UnknownAction } from "@reduxjs/toolkit";
import { joined } from "./joined.js";
import type { KeptUpdate } from "./keeper.js";

/** What an update tells of the whole book, beside its machines. */
type More<Update extends KeptUpdate> = Omit<Update, keyof KeptUpdate>;

/** Something that is kept of the open book, as the page has it. */
export type KeptState<Update extends KeptUpdate> = More<Update> & {
  readonly phase: "unwanted" | "reckoning" | "ready" | "failed";
  readonly reason: string;
  readonly seq: number;
  readonly today: DayNumber | null;
  readonly machines: Update["machines"];
};

/** What may happen to it, and what it becomes. */
export interface KeptActions<Update extends KeptUpdate> {
  /** A book was opened or closed: nothing is known of it. */
  readonly closed: () => UnknownAction;
  /** A screen wants it from now on. */
  readonly wanted: () => UnknownAction;
  readonly reckoning: () => UnknownAction;
  readonly unchanged: () => UnknownAction;
  readonly updated: (update: Update) => PayloadAction<Update>;
  readonly failed: (reason: string) => PayloadAction<string>;
  readonly reducer: (
    state: KeptState<Update> | undefined,
    action: UnknownAction,
  ) => KeptState<Update>;
}

/**
 * The state of what is kept under a name. It begins `unwanted` where it is made only once a screen wants it. Written by
 * hand, not with drafts: something large is handed over as it is.
 */
export function keptState<Update extends KeptUpdate>(
  name: string,
  first: "unwanted" | "reckoning",
  more: More<Update>,
): KeptActions<Update> {
  const empty = { ...more, phase: first, reason: "", seq: -1, today: null, machines: [] };
  const closed = createAction(`${name}/closed`);
  const wanted = createAction(`${name}/wanted`);
  const reckoning = createAction(`${name}/reckoning`);
  const unchanged = createAction(`${name}/unchanged`);
  const updated = createAction<Update>(`${name}/updated`);
  const failed = createAction<string>(`${name}/failed`);
  const reducer = (state: KeptState<Update> = empty, action: UnknownAction): KeptState<Update> => {
    if (closed.match(action)) return empty;
    if (wanted.match(action)) {
      return state.phase === "unwanted" ? { ...state, phase: "reckoning" } : state;
    }
    if (reckoning.match(action)) return { ...state, phase: "reckoning" };
    if (unchanged.match(action)) return { ...state, phase: "ready" };
    if (failed.match(action)) return { ...state, phase: "failed", reason: action.payload };
    if (!updated.match(action)) return state;
    const update = action.payload as Update;
    const { isWhole: _, isCurrent, machines: __, ...rest } = update;
    const machines = joined(state.machines, update);
    const phase = isCurrent ? "ready" : "reckoning";
    return { ...rest, phase, reason: "", machines } as unknown as KeptState<Update>;
  };
  return { closed, wanted, reckoning, unchanged, failed, reducer, updated: updated as never };
}
