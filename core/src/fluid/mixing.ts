import { MIXABLE_OILS, type BrakeType, type CoolantFamily, type FluidKind } from "./kinds.js";

/** As much of a fluid as its mixing depends on. */
export interface MixableFluid {
  readonly kind: FluidKind;
  readonly coolantFamily?: CoolantFamily | null | undefined;
  readonly brakeType?: BrakeType | null | undefined;
}

/** What comes of mixing two fluids. */
export type MixingAnswer =
  | { readonly code: "mixes" }
  /** The mixture counts as the lower of the two types of brake fluid. */
  | { readonly code: "counts-as"; readonly brakeType: BrakeType }
  /** The kind alone does not tell: fluids of one kind are made for unlike uses, or of unlike stuff. */
  | { readonly code: "not-shown" }
  | { readonly code: "unlike-kinds"; readonly one: FluidKind; readonly other: FluidKind }
  /** Unlike coolant families: do not mix, flush. */
  | {
      readonly code: "unlike-coolants";
      readonly one: CoolantFamily;
      readonly other: CoolantFamily;
    }
  /** Silicone and mineral-oil brake fluids mix with none, and a wrong fluid ruins the seals. */
  | { readonly code: "ruins-seals"; readonly one: BrakeType; readonly other: BrakeType }
  /** What one of them is made of is not recorded, so nothing can be said. */
  | { readonly code: "not-known"; readonly of: "coolant family" | "brake fluid type" };

/** Glycol-ether types, the lowest first: these mix with one another. */
const GLYCOL: readonly BrakeType[] = ["3", "4", "5.1"];

/** Whether a type of brake fluid is a glycol ether, which draws water and is judged by it. */
export const drawsWater = (type: BrakeType): boolean => GLYCOL.includes(type);

/** What two brake fluids together count as: the lower of glycol ethers; null where one of them mixes with no other. */
export function brakeMixture(one: BrakeType, other: BrakeType): BrakeType | null {
  if (one === other) return one;
  if (!drawsWater(one) || !drawsWater(other)) return null;
  return GLYCOL.indexOf(one) < GLYCOL.indexOf(other) ? one : other;
}

/** Whether a mixing answer forbids it. */
export function isRefused(answer: MixingAnswer): boolean {
  return (
    answer.code === "unlike-kinds" ||
    answer.code === "unlike-coolants" ||
    answer.code === "ruins-seals"
  );
}

/**
 * What comes of putting one fluid to another. Oils of one use mix. Glycol-ether brake fluids mix and count as the
 * lowest; silicone and mineral-oil ones mix with no others. Coolants of unlike families are not mixed. Of all
 * else the kind does not show whether it mixes. Source: general engineering practice; the handbook may be stricter.
 */
export function mixing(one: MixableFluid, other: MixableFluid): MixingAnswer {
  if (one.kind !== other.kind) return { code: "unlike-kinds", one: one.kind, other: other.kind };
  if (one.kind === "coolant") return mixCoolants(one.coolantFamily, other.coolantFamily);
  if (one.kind === "brake fluid") return mixBrakeFluids(one.brakeType, other.brakeType);
  return { code: MIXABLE_OILS.has(one.kind) ? "mixes" : "not-shown" };
}

function mixCoolants(
  one: CoolantFamily | null | undefined,
  other: CoolantFamily | null | undefined,
): MixingAnswer {
  if (!one || !other) return { code: "not-known", of: "coolant family" };
  return one === other ? { code: "not-shown" } : { code: "unlike-coolants", one, other };
}

function mixBrakeFluids(
  one: BrakeType | null | undefined,
  other: BrakeType | null | undefined,
): MixingAnswer {
  if (!one || !other) return { code: "not-known", of: "brake fluid type" };
  if (one === other) return { code: drawsWater(one) ? "mixes" : "not-shown" };
  const brakeType = brakeMixture(one, other);
  return brakeType === null
    ? { code: "ruins-seals", one, other }
    : { code: "counts-as", brakeType };
}

/** Whether a type of brake fluid serves where another is required: the same, or a higher glycol-ether type. */
export function brakeTypeServes(fitted: BrakeType, required: BrakeType): boolean {
  if (fitted === required) return true;
  const [have, want] = [GLYCOL.indexOf(fitted), GLYCOL.indexOf(required)];
  return want >= 0 && have > want;
}
