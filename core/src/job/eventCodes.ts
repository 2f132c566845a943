import { isAbove, isBelow } from "../sums/nearly.js";
import { isByMark, pointsOf, type CardStep, type ToldEvent } from "./card.js";
import { verdictOfReadings, type StepState } from "./stepState.js";

/** Why an event changed nothing (job rules §2). */
export type RejectedCode =
  | ("no-such-event" | "no-such-step" | "not-for-this-step" | "no-amount" | "no-such-level")
  | ("no-value" | "no-such-verdict" | "which-point" | "no-such-point" | "not-closed")
  | ("nothing-to-release" | "no-reason" | "already-closed" | "cannot-skip" | "held")
  | ("already-ticked" | "no-reading" | "read-again" | "not-at-the-mark" | "nothing-in")
  | ("pass-open" | "no-pass" | "not-started" | "not-waited" | "cannot-undo");

const MS_IN_MINUTE = 60_000;
/** So many readings settle what one of them cannot. */
const ENOUGH_READINGS = 3;
export const TAKES: Readonly<Record<string, ReadonlySet<CardStep["kind"]>>> = {
  out: new Set(["drain", "passes", "fill"]),
  in: new Set(["fill", "passes"]),
  level: new Set(["fill"]),
  reading: new Set(["measure"]),
  judge: new Set(["look"]),
  start: new Set(["wait"]),
};
const LEVELS: readonly unknown[] = ["below", "mark", "above"];
const VERDICTS: readonly unknown[] = ["sound", "watch", "attend", "stop"];
export const ACTS: readonly string[] = ["tick", "skip", "release", "reopen"];

const isAmount = (value: unknown): value is number =>
  typeof value === "number" && Number.isFinite(value) && value > 0;
export const hasReason = ({ reason }: ToldEvent): boolean =>
  typeof reason === "string" && reason.trim() !== "";
export const pointIn = ({ point }: ToldEvent): string | null =>
  typeof point === "string" ? point : null;

/** What is wrong with a fact that makes no sense; null where it does. */
export function factCode(event: ToldEvent, step: CardStep): RejectedCode | null {
  if (TAKES[event.do]?.has(step.kind) !== true) return "not-for-this-step";
  if ((event.do === "out" || event.do === "in") && !isAmount(event.amount)) return "no-amount";
  if (event.do === "level" && !LEVELS.includes(event.level)) return "no-such-level";
  if (event.do === "reading" && !Number.isFinite(event.value)) return "no-value";
  if (event.do === "judge" && !VERDICTS.includes(event.verdict)) return "no-such-verdict";
  if (event.do !== "reading" && event.do !== "judge") return null;
  const points = pointsOf(step);
  const isGiven = (event.point ?? null) !== null;
  if (points.length > 0 && !isGiven) return "which-point";
  return isGiven && !points.includes(event.point as string) ? "no-such-point" : null;
}

/** Why a step that is not ticked by point is not done yet; null where it is. */
export function tickCode(event: ToldEvent, state: StepState): RejectedCode | null {
  const { step } = state;
  const { kind } = step;
  if (kind === "measure" || kind === "look") return judgedCode(state);
  if (kind === "fill") {
    if (isByMark(step)) return state.level === "mark" ? null : "not-at-the-mark";
    return isAbove(state.count.in, 0) ? null : "nothing-in";
  }
  if (kind === "passes") {
    const passes = state.passes.all();
    if (passes.at(-1)?.isOpen === true) return "pass-open";
    return passes.length === 0 ? "no-pass" : null;
  }
  if (kind !== "wait" || hasReason(event)) return null;
  if (state.startedAt === null) return "not-started";
  const waited = event.at - state.startedAt;
  return isBelow(waited, (step.minutes ?? 0) * MS_IN_MINUTE) ? "not-waited" : null;
}

function judgedCode({ step, points }: StepState): RejectedCode | null {
  const all = [...points.values()];
  if (all.some(({ isJudged }) => !isJudged)) return "no-reading";
  const isUnsettled = all.some(
    ({ readings }) =>
      readings.length < ENOUGH_READINGS &&
      verdictOfReadings(step, readings).verdict === "too close to call",
  );
  return step.kind === "measure" && isUnsettled ? "read-again" : null;
}
