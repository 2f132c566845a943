import { USUAL_REACH } from "../../session/reaches.js";

/** The time scale of the reach: today on a common line, the near weeks given the most room. */
export interface ReachScale {
  readonly width: number;
  /** As far as it looks ahead, in days. */
  readonly ahead: number;
  readonly todayX: number;
  /** Where a day stands, `offset` days from today, held within the drawing. */
  readonly x: (offset: number) => number;
  /** Whether a day stands past the right end. */
  readonly isBeyond: (offset: number) => boolean;
}

const BACK_DAYS = 182;
const END_MARGIN = 14;

/** A scale by the square root of days, ahead and (closer together) back. */
export function reachScale(width: number, ahead: number = USUAL_REACH): ReachScale {
  const todayX = Math.round(Math.min(96, width * 0.14));
  const room = (width - todayX - END_MARGIN) / Math.sqrt(ahead);
  const back = (todayX - 4) / Math.sqrt(BACK_DAYS);
  return {
    width,
    ahead,
    todayX,
    x: (offset) =>
      offset >= 0
        ? todayX + room * Math.sqrt(Math.min(offset, ahead))
        : todayX - back * Math.sqrt(Math.min(-offset, BACK_DAYS)),
    isBeyond: (offset) => offset > ahead,
  };
}

/** A mark on the scale. */
export interface ReachMark {
  readonly offset: number;
  readonly label: string;
}

const MARKS: readonly ReachMark[] = [
  { offset: -91, label: "3 months over" },
  { offset: 3, label: "3 days" },
  { offset: 7, label: "1 week" },
  { offset: 14, label: "2 weeks" },
  { offset: 30, label: "1 month" },
  { offset: 42, label: "6 weeks" },
  { offset: 91, label: "3 months" },
  { offset: 182, label: "6 months" },
  { offset: 365, label: "1 year" },
  { offset: 730, label: "2 years" },
  { offset: 1096, label: "3 years" },
];
/** The marks that only a short reach has room for. */
const NEAR_MARKS: ReadonlySet<number> = new Set([3, 14, 42]);
const SHORT_REACH = 42;
const ROOM_FOR_LABEL = 53;
/** "Today" is a short word. */
const ROOM_FOR_TODAY = 42;

/** The marks that a drawing of this width has room to name. */
export function reachMarks(scale: ReachScale): ReachMark[] {
  const shown: ReachMark[] = [];
  let lastX = scale.todayX - (ROOM_FOR_LABEL - ROOM_FOR_TODAY);
  for (const mark of MARKS) {
    if (mark.offset > scale.ahead) continue;
    if (NEAR_MARKS.has(mark.offset) && scale.ahead > SHORT_REACH) continue;
    const x = scale.x(mark.offset);
    const fits = mark.offset < 0 ? scale.todayX >= 90 : x - lastX >= ROOM_FOR_LABEL;
    if (!fits) continue;
    shown.push(mark);
    if (mark.offset > 0) lastX = x;
  }
  // The last one is written to the left of its place: the one before it gives way.
  const [before, last] = shown.slice(-2);
  const isTight =
    before !== undefined &&
    last?.offset === scale.ahead &&
    before.offset > 0 &&
    scale.x(last.offset) - scale.x(before.offset) < ROOM_FOR_LABEL * 1.5;
  return isTight ? shown.filter((mark) => mark !== before) : shown;
}
