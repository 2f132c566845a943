import { DEFAULT_PLANNING } from "@yonderfell/core";
import { keptState, type KeptState } from "../work/kept/keptState.js";
import type { VisitsUpdate } from "../work/visitKeeper.js";

/** The visits of the open book, planned while a screen wants them. */
export type VisitsState = KeptState<VisitsUpdate>;

/** What may become of the visits. */
export const visits = keptState<VisitsUpdate>("visits", "unwanted", {
  planning: DEFAULT_PLANNING,
  weekHours: [],
});
