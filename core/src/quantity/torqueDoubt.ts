import { valueIn, type Quantity } from "./quantity.js";
import type { Unit } from "./unit.js";

/** Strength classes of metric screws that the orientation table knows. */
type StrengthClass = "8.8" | "10.9" | "12.9";

/** What a torque is for, as far as an orientation value is known. */
export type TorqueUse =
  | { readonly code: "screw"; readonly thread: string; readonly strength: StrengthClass }
  | { readonly code: "plug" | "spark-plug" | "cover-screw" | "wheel" };

/** From the least to the most that is usual, in N·m. */
export interface TorqueRange {
  readonly least: number;
  readonly most: number;
}

/** Structural screws, dry, class 8.8, in N·m by metric thread and by inch thread. Orientation only: the handbook's figure wins. */
const SCREWS: ReadonlyMap<string, number> = new Map([
  ...([
    ["M5", 6],
    ["M6", 10],
    ["M8", 25],
    ["M10", 49],
    ["M12", 85],
    ["M14", 135],
    ["M16", 210],
    ["M18", 290],
    ["M20", 410],
    ["M22", 560],
    ["M24", 710],
  ] as const),
  ...([
    ["1/4", 10],
    ["5/16", 22],
    ["3/8", 39],
    ["7/16", 62],
    ["1/2", 95],
  ] as const),
]);

const STRENGTH_FACTOR: Readonly<Record<StrengthClass, number>> = {
  "8.8": 1,
  "10.9": 1.4,
  "12.9": 1.7,
};

const USUAL: Readonly<Record<Exclude<TorqueUse["code"], "screw">, TorqueRange>> = {
  plug: { least: 15, most: 60 },
  "spark-plug": { least: 10, most: 35 },
  "cover-screw": { least: 5, most: 12 },
  wheel: { least: 80, most: 180 },
};

/** What is usual for a use, in N·m; null for a thread the table does not know. */
export function usualTorque(use: TorqueUse): TorqueRange | null {
  if (use.code !== "screw") return USUAL[use.code];
  const value = SCREWS.get(use.thread);
  if (value === undefined) return null;
  const most = value * STRENGTH_FACTOR[use.strength];
  return { least: most, most };
}

/** A torque that looks like another unit was meant: asked, never refused. */
export interface TorqueDoubt {
  readonly code: "inch-pounds?" | "foot-pounds?";
  readonly usual: TorqueRange;
  /** The same figure in the unit it may have been meant in; null where it is in that one already. */
  readonly meant: Quantity | null;
}

/**
 * Whether inches and feet may have been confused, a factor of twelve: over twice what is usual asks
 * *inch-pounds?*, under a sixth of it *foot-pounds?*. Null where the torque is plausible, or nothing is
 * known of its use. Source: general orientation values by use and thread.
 */
export function torqueDoubt(torque: Quantity, use: TorqueUse): TorqueDoubt | null {
  const usual = usualTorque(use);
  if (usual === null) return null;
  const asked = valueIn(torque, "Nm");
  const { value, unit } = torque;
  const otherThan = (other: Unit): Quantity | null =>
    unit === other ? null : { value, unit: other };
  if (asked > 2 * usual.most) return { code: "inch-pounds?", usual, meant: otherThan("in-lbf") };
  if (asked < usual.least / 6) return { code: "foot-pounds?", usual, meant: otherThan("ft-lbf") };
  return null;
}
