import type { Check } from "../book/records/checklist.js";
import type { Specification } from "../book/records/specification.js";
import { valueIn, type Quantity } from "../quantity/quantity.js";
import { dimensionOf, type Unit } from "../quantity/unit.js";
import { isAbove, isBelow } from "../sums/nearly.js";

/** What the readings of a check are judged by, in its unit, as it is kept with the result (records §3). */
export interface CheckLimits {
  readonly unit: Unit;
  readonly least: number | null;
  readonly most: number | null;
  readonly watchLeast: number | null;
  readonly watchMost: number | null;
  readonly severity: "attend" | "stop";
  readonly uncertainty: number;
  readonly resolution: number;
  readonly source: string | null;
  /** Whether least or most stand on the machine's own plate, which win over the checklist's. */
  readonly isOfPlate: boolean;
}

/** The figure of the plate that a check goes by: the one it names, by its name in any case, or by its id. */
function specified(
  { specification }: Check,
  specifications: readonly Specification[],
): Specification | null {
  if (!specification) return null;
  const wanted = specification.trim().toLowerCase();
  const isMeant = ({ id, name }: Specification): boolean =>
    id === specification || name.trim().toLowerCase() === wanted;
  return specifications.find(isMeant) ?? null;
}

/** A check that is read as a figure: it has a unit, or is measured or counted. */
export const isRead = ({ how, unit }: Check): boolean =>
  (unit ?? null) !== null || how === "measure" || how === "count";

/**
 * What the readings of a check are judged by on a machine: the limits of its plate where the check names a specification that
 * has any in the same dimension, else its own. A limit to watch that the plate's leaves no room for is left out. Null for
 * a check that is not read. A measured or counted check without a unit counts pieces.
 */
export function checkLimits(
  check: Check,
  specifications: readonly Specification[],
): CheckLimits | null {
  if (!isRead(check)) return null;
  const plate = specified(check, specifications);
  const { least: low, most: high, source } = plate?.override ?? plate ?? {};
  const unit = check.unit ?? (low ?? high)?.unit ?? "piece";
  const inUnit = (quantity: Quantity | null | undefined): number | null =>
    quantity && dimensionOf(quantity.unit) === dimensionOf(unit) ? valueIn(quantity, unit) : null;
  const [plateLeast, plateMost] = [inUnit(low), inUnit(high)];
  const isOfPlate = plateLeast !== null || plateMost !== null;
  const least = isOfPlate ? plateLeast : (check.least ?? null);
  const most = isOfPlate ? plateMost : (check.most ?? null);
  const watchLeast = check.watchLeast ?? null;
  const watchMost = check.watchMost ?? null;
  const hasRoomBelow = watchLeast !== null && (least === null || isAbove(watchLeast, least));
  const hasRoomAbove = watchMost !== null && (most === null || isBelow(watchMost, most));
  return {
    ...{ unit, least, most, isOfPlate },
    watchLeast: hasRoomBelow ? watchLeast : null,
    watchMost: hasRoomAbove ? watchMost : null,
    severity: check.severity ?? "attend",
    uncertainty: check.uncertainty ?? 0,
    resolution: check.resolution ?? 0,
    source: isOfPlate ? (source ?? "the machine's plate") : (check.source ?? null),
  };
}
