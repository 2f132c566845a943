import { anyFigure, listOf, oneOf, orUnknown, within } from "../sums/field.js";
import { isAbove, isAtLeast, isBelow } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";
import { BRAKE_TYPES, type BrakeType } from "./kinds.js";
import { brakeMixture, brakeTypeServes, drawsWater } from "./mixing.js";

/** °C at which a fluid of each type must still not boil once it is wet. Source: the wet boiling points of the types. */
const WET_LEAST: Readonly<Record<BrakeType, number | null>> = {
  ...{ "3": 140, "4": 155, "5.1": 180, "5": 180, mineral: null },
};
const WET = 3;
const DAMP = 1.5;
/** So much above the least it is worth a look. */
const SOON = 1.1;

const verdictOf = (
  counts: BrakeType | null,
  verdict: "sound" | "watch" | "attend" | "stop" | null,
  reason: string | null,
) => ({ counts, verdict, reason });

/** What a mixture counts as; null where something is in it, or required, that mixes with nothing else. */
function countsAs(required: BrakeType, inside: readonly BrakeType[]): BrakeType | null {
  if (inside.some((one) => brakeMixture(required, one) === null)) return null;
  return inside.reduce<BrakeType | null>(
    (lowest, one) => (lowest === null ? one : brakeMixture(lowest, one)),
    null,
  );
}

/** What is in a brake system against what it requires: the type, water in per cent, the boiling point in °C. */
export const BRAKE_FLUID = asked({
  name: "brake-fluid",
  about: "Whether a brake fluid will do: its type, its moisture, its boiling point.",
  fields: {
    required: oneOf(BRAKE_TYPES),
    inside: listOf(oneOf(BRAKE_TYPES), 1),
    moisture: orUnknown(within("per cent of water", 0, 100)),
    boiling: orUnknown(anyFigure("°C at which it boils")),
  },
  reckon: ({ required, inside, ...given }) => {
    const counts = countsAs(required, inside);
    if (counts === null) return verdictOf(null, "stop", "wrong-fluid");
    if (!brakeTypeServes(counts, required)) {
      return verdictOf(counts, "attend", "too-low-a-type");
    }
    const least = WET_LEAST[required];
    const moisture = drawsWater(required) ? given.moisture : null;
    const boiling = least === null ? null : given.boiling;
    const boilsBelow = (limit: number): boolean => boiling !== null && isBelow(boiling, limit);
    if (boilsBelow(least ?? 0)) return verdictOf(counts, "attend", "boils-too-soon");
    if (moisture !== null && isAbove(moisture, WET)) return verdictOf(counts, "attend", "wet");
    if (boilsBelow((least ?? 0) * SOON)) return verdictOf(counts, "watch", "boils-soon");
    if (moisture !== null && isAtLeast(moisture, DAMP)) return verdictOf(counts, "watch", "damp");
    if (moisture === null && boiling === null) return verdictOf(counts, null, "not-measured");
    return verdictOf(counts, "sound", null);
  },
});
