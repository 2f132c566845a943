import type { CheckPlace } from "@yonderfell/core";
import type { InHand } from "./useInHand.js";
import type { ShownRound } from "./useRounds.js";
import type { Telling } from "./useTelling.js";

/** What a check in hand is shown from. */
export interface CheckProps {
  readonly shown: ShownRound;
  readonly inHand: InHand;
  readonly telling: Telling;
  readonly place: CheckPlace;
}
