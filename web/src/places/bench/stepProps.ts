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
