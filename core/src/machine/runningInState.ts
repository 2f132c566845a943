import type { RunningIn, RunningInStage } from "../book/records/runningIn.js";
import { hasReached } from "../meter/life.js";

/** How far a machine is with running in; amounts in the unit of its meter, counted from where running in began. */
export interface RunningInState {
  readonly stage: RunningInStage;
  /** 1 for the first stage. */
  readonly number: number;
  /** What it has run so far, at least 0. */
  readonly run: number;
  /** What is left of the stage. */
  readonly left: number;
  /** Where running in is over. */
  readonly end: number;
}

/** How far a machine is with running in, by the life of the meter (`life`, null where it is not known); null once it is through. With an unknown life it stands at the beginning. */
export function runningInState(
  { from, stages }: RunningIn,
  life: number | null,
): RunningInState | null {
  const run = Math.max(0, (life ?? from ?? 0) - (from ?? 0));
  const index = stages.findIndex(({ until }) => !hasReached(run, until));
  const stage = stages[index];
  const end = stages.at(-1)?.until ?? 0;
  return stage === undefined
    ? null
    : { stage, number: index + 1, run, left: stage.until - run, end };
}
