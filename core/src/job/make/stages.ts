import type { MethodStep } from "../../book/records/step.js";
import type { Way } from "./library/way.js";

/** What is done when (job rules §3): all is looked at first, opened before it is drained, filled before it runs. */
const STAGE = {
  before: 1,
  open: 2,
  drain: 3,
  work: 4,
  fill: 5,
  run: 6,
  after: 7,
  reset: 8,
} as const;

/** The stage that a step is of by itself; null where it goes by what stands before it. */
function ownStage({ kind, of }: MethodStep): number | null {
  if (kind === "reset") return STAGE.reset;
  if (kind === "run") return STAGE.run;
  if (kind === "open") return STAGE.open;
  if (kind === "drain" || kind === "passes") return STAGE.drain;
  if (kind === "fill") return STAGE.fill;
  if (kind === "close") return of === "fill" ? STAGE.fill : STAGE.work;
  return null;
}

/**
 * The stage of each step of a way, never an earlier one than that of the step before it: what is looked at or measured first is
 * of the first, work after a drain or on no fluid at all comes before anything is filled, and what follows a run after all runs.
 */
export function stagesOf({ steps }: Way): number[] {
  let at: number = STAGE.before;
  let hasBegun = false;
  return steps.map((step) => {
    const own = ownStage(step);
    hasBegun ||= own !== null || (step.kind !== "look" && step.kind !== "measure");
    if (at >= STAGE.run && own !== STAGE.reset) at = STAGE.after;
    else if (own !== null) at = Math.max(at, own);
    else if (at === STAGE.drain || (hasBegun && at === STAGE.before && !opensLater(steps, step))) {
      at = STAGE.work;
    }
    return at;
  });
}

/** Whether a system is opened after a step: it then belongs to what is done before. */
function opensLater(steps: readonly MethodStep[], step: MethodStep): boolean {
  return steps.slice(steps.indexOf(step)).some(({ kind }) => kind === "open");
}
