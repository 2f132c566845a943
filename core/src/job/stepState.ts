import { verdictOf, type StepVerdict } from "../inspect/verdict.js";
import { pointsOf, type CardStep } from "./card.js";
import { PassRuns } from "./passRuns.js";

/** The level of a filling, as it was last read. */
export type FillLevel = "unread" | "below" | "mark" | "above";

/** What was read or judged at a point of a step. */
interface PointState {
  /** Since the step was last reopened. */
  readings: number[];
  /** The last one there was, from before a reopening where none has come since. */
  verdict: StepVerdict | null;
  /** Whether there is a reading or a verdict since the step was last reopened. */
  isJudged: boolean;
  /** When it was last read or judged, in the order of events; 0 never. */
  judgedAt: number;
}

/** What has gone into a fill since its present count began, litres. */
export interface FillCount {
  /** 1 for the first. */
  number: number;
  drained: number;
  in: number;
  /** Whether anything was told to go in. */
  hasIn: boolean;
}

const newCount = (number: number): FillCount => ({ number, drained: 0, in: 0, hasIn: false });

/** A step of a job while it goes on. */
export class StepState {
  closed: "done" | "skipped" | null = null;
  readonly ticked = new Set<string>();
  readonly points = new Map<string | null, PointState>();
  /** When what says stop was last released, in the order of events. */
  releasedAt = 0;
  /** When a wait was last started, milliseconds. */
  startedAt: number | null = null;
  level: FillLevel = "unread";
  count: FillCount = newCount(1);
  readonly passes: PassRuns;
  /** What went out of a drain, and out of and into a fill, all told; litres. */
  out = 0;
  in = 0;
  /** Whether it was ever done, and ever told to have let something out. */
  wasDone = false;
  hasOut = false;
  /** Whether a fact but a note was ever accepted on it. */
  hasFact = false;

  constructor(readonly step: CardStep) {
    this.passes = new PassRuns(step.inFirst === true);
    const points = pointsOf(step);
    for (const point of points.length === 0 ? [null] : points) {
      this.points.set(point, { readings: [], verdict: null, isJudged: false, judgedAt: 0 });
    }
  }

  /** Begins anew: ticks are forgotten, readings and verdicts count no more but for a stop, amounts stay. */
  begin(): void {
    this.closed = null;
    this.ticked.clear();
    this.startedAt = null;
    this.level = "unread";
    for (const point of this.points.values()) {
      point.readings = [];
      point.isJudged = false;
    }
  }

  /** A copy that goes on by itself. */
  copy(): StepState {
    const other = new StepState(this.step);
    const { closed, releasedAt, startedAt, level, out, in: filled } = this;
    const { wasDone, hasOut, hasFact, count } = this;
    Object.assign(other, { closed, releasedAt, startedAt, level, out, in: filled });
    Object.assign(other, { wasDone, hasOut, hasFact, count: { ...count } });
    for (const point of this.ticked) other.ticked.add(point);
    for (const [point, state] of this.points) {
      other.points.set(point, { ...state, readings: [...state.readings] });
    }
    other.passes.takeOver(this.passes);
    return other;
  }

  beginCount(): void {
    this.count = newCount(this.count.number + 1);
  }

  read(point: string | null, value: number, order: number): void {
    const state = this.points.get(point) as PointState;
    state.readings.push(value);
    this.judge(point, verdictOfReadings(this.step, state.readings).verdict, order);
  }

  judge(point: string | null, verdict: StepVerdict | null, order: number): void {
    const state = this.points.get(point) as PointState;
    state.verdict = verdict;
    state.isJudged = true;
    state.judgedAt = order;
  }

  /** Whether a measure or a look says that the machine is not to run. */
  saysStop(): boolean {
    const { kind, severity } = this.step;
    if (kind !== "measure" && kind !== "look") return false;
    return [...this.points.values()].some(({ verdict, judgedAt }) => {
      const isClose = kind === "measure" && severity === "stop" && verdict === "too close to call";
      return (verdict === "stop" || isClose) && judgedAt > this.releasedAt;
    });
  }
}

/** What readings mean by the limits of a step; without readings or limits nothing. */
export function verdictOfReadings(
  step: CardStep,
  readings: readonly number[],
): { readonly value: number | null; readonly verdict: StepVerdict | null } {
  if (readings.length === 0) return { value: null, verdict: null };
  const limits = {
    least: step.least ?? null,
    most: step.most ?? null,
    watchLeast: step.watchLeast ?? null,
    watchMost: step.watchMost ?? null,
  };
  const hasLimits = Object.values(limits).some((limit) => limit !== null);
  const uncertainty = step.uncertainty ?? 0;
  const resolution = step.resolution ?? 0;
  const severity = step.severity ?? "attend";
  const found = verdictOf({ readings, ...limits, uncertainty, resolution, severity });
  return { value: found.value, verdict: hasLimits ? found.verdict : null };
}
