import { aboveNone, noneOrMore, oneOf } from "../sums/field.js";
import { linearIn, type Point } from "../sums/middle.js";
import { isAbove, isAtLeast, isBelow } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";
import type { Verdict } from "./verdict.js";

/** Resting volts of a 12 V battery and its charge. Source: usual figures of resting voltage by kind. */
const CHARGE: Readonly<Record<"flooded" | "agm" | "gel", readonly Point[]>> = {
  flooded: [
    [11.89, 0],
    [12.06, 0.25],
    [12.24, 0.5],
    [12.45, 0.75],
    [12.65, 1],
  ],
  agm: [
    [11.8, 0],
    [12, 0.25],
    [12.3, 0.5],
    [12.6, 0.75],
    [12.8, 1],
  ],
  gel: [
    [11.8, 0],
    [12, 0.25],
    [12.35, 0.5],
    [12.65, 0.75],
    [12.85, 1],
  ],
};
const RESTED_HOURS = 4;
/** More stands only while it is charged, or just after. */
const MOST_AT_REST = 13.2;

const verdictOf = (charge: number): Verdict => {
  if (isAtLeast(charge, 0.75)) return "sound";
  return isAtLeast(charge, 0.5) ? "watch" : "attend";
};

/** How far a battery is charged, by its resting voltage. */
export const BATTERY = asked({
  name: "battery",
  about: "How far a battery is charged, by its volts at rest.",
  fields: {
    volts: aboveNone("volts"),
    system: oneOf([12, 24]),
    kind: oneOf(["flooded", "agm", "gel", "lithium"]),
    rested: noneOrMore("hours since it was charged or used"),
  },
  reckon: ({ volts, system, kind, rested }) => {
    if (kind === "lithium") return { refused: "not-by-voltage" };
    if (isBelow(rested, RESTED_HOURS)) return { refused: "not-rested" };
    const each = volts / (system / 12);
    if (isAbove(volts, MOST_AT_REST * (system / 12))) return { refused: "not-a-resting-voltage" };
    const charge = linearIn(CHARGE[kind], each);
    return { charge, verdict: verdictOf(charge) };
  },
});
