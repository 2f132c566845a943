import {
  CAPACITY_CONDITIONS,
  type Capacity,
  type CapacityCondition,
  type Fluid,
} from "../book/records/fluid.js";
import { valueIn } from "../quantity/quantity.js";
import { dimensionOf, type Unit } from "../quantity/unit.js";

/** Sources further apart than this share of the least are shown as a disagreement. */
export const DISAGREEMENT_SHARE = 0.05;

/** Why a capacity is the one to work by. */
type WorkingReason =
  /** A person has chosen it. */
  | { readonly code: "chosen"; readonly reason: string }
  /** Set by a part that is not as the maker built it. */
  | { readonly code: "modified"; readonly note: string }
  | { readonly code: "only-one" }
  | { readonly code: "all-agree" }
  /** Some are weights and some volumes, which cannot be compared. */
  | { readonly code: "not-comparable" }
  /** They disagree: filling begins from the least, and is brought up to the mark. */
  | { readonly code: "least" };

/** What the sources say of one condition, and which figure to work by. */
export interface CapacityAnswer {
  readonly condition: CapacityCondition;
  readonly capacities: readonly Capacity[];
  readonly working: Capacity;
  readonly why: WorkingReason;
  /** How far the most is above the least, as a share of the least; 0 with one source. */
  readonly spread: number;
  /** Whether the sources disagree by more than 5 %. */
  readonly disagrees: boolean;
  /** Two sources differ just as US and imperial measure do, or as quarts and litres: a unit was perhaps misread. */
  readonly looksLike: "us-or-imperial" | "quarts-or-litres" | null;
}

/** US and imperial gallons, and the litre and the US quart, differ by these ratios. */
const IMPERIAL_TO_US = 4.54609 / 3.785411784;
const LITRE_TO_QUART = 1 / 0.946352946;
const NEAR = 0.006;
/** Decimal figures do not divide exactly. */
const TOLERANCE = 1e-9;

const isNear = (ratio: number, other: number): boolean => Math.abs(ratio / other - 1) < NEAR;

/** A capacity in litres, or in kilograms for what is filled by weight. */
export function plainCapacity({ quantity }: Capacity): number {
  const unit: Unit = dimensionOf(quantity.unit) === "mass" ? "kg" : "L";
  return valueIn(quantity, unit);
}

function byAmount(capacities: readonly Capacity[]): Capacity[] {
  return [...capacities].sort((one, other) => plainCapacity(one) - plainCapacity(other));
}

/**
 * What is known of how much a fluid system takes, by condition: the figure to work by and why, and
 * whether the sources disagree. A person's choice stands first, then what a modified part sets, else
 * the least. Sources of which one is a weight and another a volume are not compared.
 */
export function capacityAnswers(fluid: Fluid): CapacityAnswer[] {
  return CAPACITY_CONDITIONS.flatMap((condition) => {
    const capacities = (fluid.capacities ?? []).filter((one) => one.condition === condition);
    const [first] = capacities;
    return first === undefined ? [] : [answerFor(fluid, condition, capacities, first)];
  });
}

function answerFor(
  fluid: Fluid,
  condition: CapacityCondition,
  capacities: readonly Capacity[],
  first: Capacity,
): CapacityAnswer {
  const dimension = dimensionOf(first.quantity.unit);
  const alike = capacities.filter((one) => dimensionOf(one.quantity.unit) === dimension);
  const sorted = byAmount(alike);
  const least = sorted[0] ?? first;
  const most = sorted.at(-1) ?? first;
  const ratio = plainCapacity(most) / plainCapacity(least);
  const spread = Number.isFinite(ratio) ? ratio - 1 : 0;
  const disagrees = spread > DISAGREEMENT_SHARE + TOLERANCE;
  const looksLike = !disagrees
    ? null
    : isNear(ratio, IMPERIAL_TO_US)
      ? "us-or-imperial"
      : isNear(ratio, LITRE_TO_QUART)
        ? "quarts-or-litres"
        : null;
  const chosen = (fluid.working ?? []).find(({ capacity }) =>
    capacities.some((one) => one.id === capacity),
  );
  const chosenCapacity = capacities.find((one) => one.id === chosen?.capacity);
  const modified = capacities.find((one) => one.isModified === true);
  const shared = { condition, capacities, spread, disagrees, looksLike } as const;
  if (chosen !== undefined && chosenCapacity !== undefined) {
    const why = { code: "chosen", reason: chosen.reason } as const;
    return { ...shared, working: chosenCapacity, why };
  }
  if (modified !== undefined) {
    const why = { code: "modified", note: modified.note ?? "" } as const;
    return { ...shared, working: modified, why };
  }
  const isUnlike = alike.length < capacities.length;
  const code = isUnlike ? "not-comparable" : disagrees ? "least" : "all-agree";
  const why = { code: capacities.length === 1 ? "only-one" : code } as const;
  return { ...shared, working: disagrees ? least : first, why };
}
