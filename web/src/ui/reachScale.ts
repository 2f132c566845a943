/** The time scale of the reach: today on a common line, the near weeks given the most room. */
export interface ReachScale {
  readonly width: number;
  readonly todayX: number;
  /** Where a day stands, `offset` days from today, held within the drawing. */
  readonly x: (offset: number) => number;
  /** Whether a day stands past the right end. */
  readonly isBeyond: (offset: number) => boolean;
}

/** As far as the reach looks ahead and back, in days. */
export const AHEAD_DAYS = 730;
const BACK_DAYS = 182;
const END_MARGIN = 14;

/** A scale by the square root of days, ahead and (closer together) back. */
export function reachScale(width: number): ReachScale {
  const todayX = Math.round(Math.min(96, width * 0.14));
  const ahead = (width - todayX - END_MARGIN) / Math.sqrt(AHEAD_DAYS);
  const back = (todayX - 4) / Math.sqrt(BACK_DAYS);
  return {
    width,
    todayX,
    x: (offset) =>
      offset >= 0
        ? todayX + ahead * Math.sqrt(Math.min(offset, AHEAD_DAYS))
        : todayX - back * Math.sqrt(Math.min(-offset, BACK_DAYS)),
    isBeyond: (offset) => offset > AHEAD_DAYS,
  };
}

/** A mark on the scale. */
export interface ReachMark {
  readonly offset: number;
  readonly label: string;
}

const MARKS: readonly ReachMark[] = [
  { offset: -91, label: "3 months over" },
  { offset: 7, label: "1 week" },
  { offset: 30, label: "1 month" },
  { offset: 91, label: "3 months" },
  { offset: 182, label: "6 months" },
  { offset: 365, label: "1 year" },
  { offset: 730, label: "2 years" },
];
const ROOM_FOR_LABEL = 50;

/** The marks that a drawing of this width has room to name. */
export function reachMarks(scale: ReachScale): ReachMark[] {
  const shown: ReachMark[] = [];
  let lastX = scale.todayX - ROOM_FOR_LABEL / 2;
  for (const mark of MARKS) {
    const x = scale.x(mark.offset);
    const fits = mark.offset < 0 ? scale.todayX >= 90 : x - lastX >= ROOM_FOR_LABEL;
    if (!fits) continue;
    shown.push(mark);
    if (mark.offset > 0) lastX = x;
  }
  return shown;
}
