import type { DayNumber } from "../calendar/dayNumber.js";
import { dialOn, lifeOfFigure, offsetOn } from "./dials.js";
import { badStep, CEILING_PER_DAY } from "./keptPoints.js";
import { isBelow } from "./life.js";
import { lastPositionUpTo, lifeOn } from "./lifeLine.js";
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
 * (due rules §2); null where it fits. Points that were only estimated cannot contradict a reading.
 * Only the person can tell what went wrong.
 */
export function figureDoubt(
  reckoning: MeterReckoning,
  day: DayNumber,
  figure: number,
): FigureDoubt | null {
  const kept = reckoning.kept.filter((point) => !point.estimated);
  const candidate: Point = {
    day,
    life: lifeOfFigure(reckoning.dials, figure, day).life,
    estimated: false,
    confirmed: false,
    change: false,
    section: "readings",
    id: "",
  };
  const ceiling = CEILING_PER_DAY[reckoning.meter.unit];
  const doubtAgainst = (against: Point, code: FigureDoubt["code"]): FigureDoubt => ({
    code,
    against,
    againstDial: dialFigure(reckoning, against),
  });
  const before = kept.findLast(
    (point) => point.day < day || (point.day === day && isBelow(candidate.life, point.life)),
  );
  const stepFrom = before === undefined ? null : badStep(before, candidate, ceiling);
  if (before !== undefined && stepFrom !== null) return doubtAgainst(before, stepFrom);
  const after = kept[lastPositionUpTo(kept, day) + 1];
  const stepTo = after === undefined ? null : badStep(candidate, after, ceiling);
  if (after === undefined || stepTo === null) return null;
  return doubtAgainst(after, stepTo === "goes-back" ? "above-a-later-one" : stepTo);
}

/** The kept points that a figure read on `day` contradicts: earlier ones and those of the day above it, later ones below it. */
export function contradictedPoints(
  { dials, kept }: MeterReckoning,
  day: DayNumber,
  figure: number,
): Point[] {
  const { life } = lifeOfFigure(dials, figure, day);
  return kept.filter((point) =>
    point.day <= day ? isBelow(life, point.life) : isBelow(point.life, life),
  );
}

/** The figure a point had on the dial in place on its day, in the meter's unit. */
export function dialFigure({ dials }: MeterReckoning, point: Point): number {
  const dial = dialOn(dials, point.day);
  return point.life - (dials[dial - 1]?.offset ?? 0);
}

/** What the dial in place on `day` is reckoned to have shown, in the meter's unit; null before the first point. */
export function reckonedDial(
  { dials, kept, rate, running }: MeterReckoning,
  day: DayNumber,
): number | null {
  const life = lifeOn(kept, rate.perDay, day, running);
  return life === null ? null : life - offsetOn(dials, day);
}
