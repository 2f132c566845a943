import type { Check, Checklist } from "../book/records/checklist.js";
import type { Round } from "../book/records/round.js";
import { valueIn } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";
import { mean } from "../sums/middle.js";
import { isAbove } from "../sums/nearly.js";
import { isRead } from "./checkLimits.js";
import { judgeSum } from "./judgeSum.js";
import { pickOf } from "./judgeCheck.js";
import { isFound, placesOf, resultAt, type CheckPlace, type CheckResult } from "./places.js";

/** Two sides of one check that wear unlike each other. */
export interface UnevenPair {
  readonly check: Check;
  readonly points: readonly [left: string, right: string];
  /** In the unit of the check; above 0. */
  readonly difference: number;
}

function valueAt(round: Pick<Round, "results">, check: Check, point: string): number | null {
  const unit = check.unit ?? null;
  const readings = (resultAt(round, { check, point })?.readings ?? []).filter(
    (one) => unit !== null && dimensionOf(one.unit) === dimensionOf(unit),
  );
  return unit === null || readings.length === 0
    ? null
    : mean(readings.map((reading) => valueIn(reading, unit)));
}

/** The left and right points of checks that differ by more than the check allows (`uneven`, in its unit): what is unlike has a cause of its own. */
export function unevenPairs(round: Pick<Round, "results">, { checks }: Checklist): UnevenPair[] {
  return (checks ?? []).flatMap((check) => {
    const { uneven = null, points = [] } = check;
    if (uneven === null || !isRead(check)) return [];
    return points.flatMap((left): UnevenPair[] => {
      const right = left.replace(/\bleft\b/, "right");
      if (right === left || !points.includes(right)) return [];
      const [one, other] = [valueAt(round, check, left), valueAt(round, check, right)];
      if (one === null || other === null) return [];
      const difference = Math.abs(one - other);
      return isAbove(difference, uneven) ? [{ check, points: [left, right], difference }] : [];
    });
  });
}

/** What is found in several places and has one cause. */
export interface SharedCause {
  readonly cause: string;
  readonly places: readonly CheckPlace[];
}

/** What a result that is not sound is put down to: the answer to its question first, then what its word or its figures usually mean. */
function causesOf({ check }: CheckPlace, result: CheckResult): readonly string[] {
  const { answered } = result;
  const told = answered === "yes" || answered === "no" ? check.separates?.[answered] : null;
  if (told) return [told];
  const signs = judgeSum(check, result.figures)?.signs ?? [];
  const picked = pickOf(check, result.picked)?.means;
  return [...(picked ? [picked] : []), ...signs.map(({ means }) => means)];
}

/** Causes that two or more places of a round share, in the order of the walk: each is cured once, before new parts go on. */
export function sharedCauses(
  round: Pick<Round, "results">,
  checklist: Checklist,
): readonly SharedCause[] {
  const all = new Map<string, CheckPlace[]>();
  for (const place of placesOf(checklist)) {
    const result = resultAt(round, place);
    if (result === null || !isFound(result.verdict)) continue;
    for (const cause of new Set(causesOf(place, result))) {
      all.set(cause, [...(all.get(cause) ?? []), place]);
    }
  }
  return [...all]
    .filter(([, places]) => places.length > 1)
    .map(([cause, places]) => ({ cause, places }));
}
