import type { JobState, JobStep } from "@yonderfell/core";
import type { Plug } from "../shared/plug/usePlug.js";
import type { ShownJob } from "./useBench.js";
import type { Taps } from "./useTaps.js";

/** What a step in hand is shown from. */
export interface StepProps {
  readonly shown: ShownJob;
  readonly state: JobState;
  readonly step: JobStep;
  readonly standing: JobState["steps"][number];
  readonly taps: Taps;
  readonly plug: Plug;
  /** Goes to another step by its name. */
  readonly onGo: (step: string) => void;
}

/** What is pressed at the foot of a step: large enough for a glove. */
export const LARGE_BUTTON =
  "flex min-h-16 flex-1 items-center justify-center gap-2 rounded-[3px] bg-clear px-4 text-large font-bold text-on-body hover:opacity-90 disabled:bg-wash disabled:text-quiet";
/** Beside it, for what is not the step itself. */
export const CHOICE_BUTTON =
  "flex min-h-14 flex-1 items-center justify-center gap-2 rounded-[3px] border border-rule bg-raised px-2 font-semibold hover:bg-wash disabled:opacity-50 aria-pressed:border-2 aria-pressed:border-clear";
