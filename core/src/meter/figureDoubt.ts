import type { DayNumber } from "../calendar/dayNumber.js";
import { dialOn, lifeOfFigure } from "./dials.js";
import { badStep, CEILING_PER_DAY } from "./keptPoints.js";
import { lastPositionUpTo } from "./lifeLine.js";
import type { Point } from "./points.js";
import type { MeterReckoning } from "./reckonMeter.js";

/** Why a figure cannot stand beside the others: below an earlier one, above a later one, or more than the machine can run. */
export interface FigureDoubt {
  readonly code: "goes-back" | "impossible-rise" | "above-a-later-one";
  /** The point it does not agree with. */
  readonly against: Point;
  /** The figure of that point on the dial then in place. */
  readonly againstDial: number;
}

/**
 * Whether a figure read on `day` (in the meter's unit) disagrees with the kept points around it
 * (due rules §2); null where it fits. Only the person can tell what went wrong.
 */
export function figureDoubt(
  reckoning: MeterReckoning,
  day: DayNumber,
  figure: number,
): FigureDoubt | null {
  const { dials, kept, meter } = reckoning;
  const candidate: Point = {
    day,
    life: lifeOfFigure(dials, figure, day).life,
    estimated: false,
    confirmed: false,
    change: false,
    source: { section: "readings", id: "" },
  };
  const ceiling = CEILING_PER_DAY[meter.unit];
  const before = kept[lastPositionUpTo(kept, day - 1)];
  if (before !== undefined) {
    const step = badStep(before, candidate, ceiling);
    if (step !== null)
      return { code: step, against: before, againstDial: dialFigure(reckoning, before) };
  }
  const after = kept[lastPositionUpTo(kept, day) + 1];
  if (after === undefined || badStep(candidate, after, ceiling) === null) return null;
  const code = after.life < candidate.life ? "above-a-later-one" : "impossible-rise";
  return { code, against: after, againstDial: dialFigure(reckoning, after) };
}

/** The figure a point had on the dial in place on its day, in the meter's unit. */
export function dialFigure({ dials }: MeterReckoning, point: Point): number {
  const dial = dialOn(dials, point.day);
  return point.life - (dials[dial - 1]?.offset ?? 0);
}
