import { daysBetween, type DayNumber } from "@yonderfell/core";
import type { ReachScale } from "./reachScale.js";
import type { Strip } from "./strip.js";

/** Where the parts of a strip stand, in pixels from its left edge; what is not drawn is null. */
export interface StripGeometry {
  /** The solid body from today to the early date. */
  readonly solidTo: number | null;
  /** Where the fading body ends, at the late date. */
  readonly fadeTo: number | null;
  readonly tick: number | null;
  /** Whether the body runs on past the right edge. */
  readonly isBeyond: boolean;
  /** The hatched body to the left of today begins here. */
  readonly overFrom: number | null;
  /** The wick goes back to here, and whether its end is the day it was done rather than the edge. */
  readonly wick: WickEnd | null;
  /** How far past its likely date the grace lasts; for a hard limit nowhere. */
  readonly graceTo: number | null;
  /** Whether the body ends in what the law or a warranty requires. */
  readonly isHard: boolean;
  /** The ends of the other limits. */
  readonly hairlines: readonly { readonly to: number; readonly isBeyond: boolean }[];
  readonly label: StripLabel;
}

/** Where the words of a strip stand: beginning at `x`, or inside the body and ending there; and whether there is room for all of them. */
interface StripLabel {
  readonly x: number;
  readonly isInside: boolean;
  readonly isWhole: boolean;
}

/** About how much room the words of a strip take, in pixels: all of them, and the first without the rest. */
export interface LabelWidths {
  readonly whole: number;
  readonly short: number;
}

/** Where a wick ends: on the day it was done or at the edge, and whether that is only assumed. */
interface WickEnd {
  readonly to: number;
  readonly isEnd: boolean;
  readonly isAssumed: boolean;
}

const LABEL_GAP = 10;
const INSIDE_GAP = 12;
const WICK_FLOOR_DAYS = 182;

/** The geometry of a strip. `label` is about how much room its words take. */
export function stripGeometry(
  strip: Strip,
  scale: ReachScale,
  today: DayNumber,
  label: LabelWidths,
): StripGeometry {
  const limit = strip.governing;
  const forecast = limit?.forecast ?? null;
  const wick = wickOf(strip, scale, today);
  const { todayX } = scale;
  const besideToday = { x: todayX + LABEL_GAP, isInside: false, isWhole: true };
  const none = {
    ...{ solidTo: null, fadeTo: null, tick: null, isBeyond: false, overFrom: null },
    ...{ graceTo: null, isHard: limit?.isHard === true },
  };
  if (limit === null || forecast === null) {
    return { ...none, wick, hairlines: [], label: besideToday };
  }
  const hairlines = hairlinesOf(strip, scale, today);
  const likely = daysBetween(today, forecast.likely);
  if (likely < 0) {
    return { ...none, overFrom: scale.x(likely), wick, hairlines, label: besideToday };
  }
  const solidTo = scale.x(daysBetween(today, forecast.early));
  const fadeTo = Math.max(scale.x(daysBetween(today, forecast.late)), solidTo);
  const { graceUntil } = limit;
  const graceTo =
    graceUntil === null || scale.isBeyond(likely) ? null : scale.x(daysBetween(today, graceUntil));
  const end = Math.max(fadeTo, graceTo ?? 0);
  const after = Math.max(end, ...hairlinesNear(hairlines, end)) + LABEL_GAP;
  return {
    ...none,
    solidTo,
    fadeTo,
    tick: scale.isBeyond(likely) ? null : scale.x(likely),
    isBeyond: scale.isBeyond(likely),
    graceTo,
    wick,
    hairlines,
    label: labelOf(label, after, solidTo, scale),
  };
}

/** After the body where there is room, else inside it; where neither has room for all, only the first words, and at worst past the edge. */
function labelOf(
  { whole, short }: LabelWidths,
  after: number,
  solidTo: number,
  { todayX, width }: ReachScale,
): StripLabel {
  for (const wanted of [whole, short]) {
    const isWhole = wanted === whole;
    if (after + wanted <= width) return { x: after, isInside: false, isWhole };
    const end = solidTo - INSIDE_GAP;
    if (end - wanted >= todayX + LABEL_GAP) return { x: end, isInside: true, isWhole };
  }
  return { x: after, isInside: false, isWhole: false };
}

/** Ends of hairlines so near the body's end that words beside it would touch them. */
function hairlinesNear(hairlines: StripGeometry["hairlines"], end: number): number[] {
  return hairlines.map((hairline) => hairline.to).filter((to) => to > end && to < end + LABEL_GAP);
}

function hairlinesOf(
  { others }: Strip,
  scale: ReachScale,
  today: DayNumber,
): StripGeometry["hairlines"] {
  return others.flatMap(({ forecast }) => {
    if (forecast === null || forecast.likely < today) return [];
    const ahead = daysBetween(today, forecast.likely);
    return [{ to: scale.x(ahead), isBeyond: scale.isBeyond(ahead) }];
  });
}

function wickOf({ last }: Strip, scale: ReachScale, today: DayNumber): StripGeometry["wick"] {
  if (last === null || last.day >= today) return null;
  const ago = daysBetween(last.day, today);
  return { to: scale.x(-ago), isEnd: ago <= WICK_FLOOR_DAYS, isAssumed: last.assumed };
}
