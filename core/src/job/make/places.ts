import type { Fluid } from "../../book/records/fluid.js";
import type { LevelBy } from "../../book/records/levelBy.js";
import type { PointPurpose, ServicePoint } from "../../book/records/servicePoint.js";
import type { Product } from "../../book/records/product.js";
import type { MachinePlate } from "../../book/slice/machinePlate.js";
import { freezePoint, glycolShare } from "../../fluid/glycol.js";
import { formatNumber, formatQuantity } from "../../quantity/formatQuantity.js";
import { valueIn, type Quantity } from "../../quantity/quantity.js";
import { dimensionOf } from "../../quantity/unit.js";
import { workingQuantity } from "../../stores/taskNeeds.js";

/** Something that a card could not be filled in with: the plate does not have it. */
export type CardLack =
  /** No fluid system that the work is on. */
  | { readonly code: "system"; readonly task: string }
  | { readonly code: "point"; readonly system: string; readonly purpose: PointPurpose }
  | { readonly code: "capacity"; readonly system: string }
  | { readonly code: "product"; readonly system: string }
  /** How its level is read. */
  | { readonly code: "level"; readonly system: string }
  /** What the whole unit holds. */
  | { readonly code: "vessel"; readonly system: string };

/** How figures stand in the words of a step. */
const STYLE = { decimal: ".", thousands: "\u00a0" } as const;

/** A figure of a step, rounded to three significant digits, with its unit. */
export const stepFigure = (quantity: Quantity): string => formatQuantity(quantity, STYLE, 3);

const raised = (words: string): string => words.replace(/^[a-z]/, (letter) => letter.toUpperCase());
/** A name within a sentence; one of capitals, such as `PTO box`, stays. */
const within = (name: string): string =>
  name.replace(/^[A-Z](?=[a-z])/, (letter) => letter.toLowerCase());

/** Where and with what something is done: `sump plug, below (17 mm hexagon)`. */
function pointWords({ name, where, tool, count }: ServicePoint): string {
  const many = (count ?? 1) > 1 ? ` × ${count ?? 1}` : "";
  const place = where ? `, ${where}` : "";
  return `${within(name)}${many}${place}${tool ? ` (${tool})` : ""}`;
}

/** A seal without what is remarked on it: that it is new is said already. */
const sealWords = (seal: string): string => (seal.split(/[,;]/)[0] ?? seal).trim();

const torqueWords = (torque: Quantity | null | undefined): string =>
  torque ? `, ${stepFigure(torque)}` : "";

type Level = NonNullable<Fluid["level"]>;

/** How the level of each kind of fluid is usually read, where the plate does not say. */
function usualLevel({ kind }: Fluid): LevelBy | null {
  switch (kind) {
    case "engine oil":
      return "stick";
    case "gear oil":
    case "differential oil":
    case "automatic transmission fluid":
      return "overflow";
    case "hydraulic oil":
      return "glass";
    case "coolant":
    case "brake fluid":
    case "power steering fluid":
      return "lines";
    case "grease":
    case "exhaust fluid":
    case "washer fluid":
    case "refrigerant":
    case "fuel":
    case "other":
      return null;
  }
}

/** The mark itself, by how it is read. */
const MARKS: Readonly<Record<LevelBy, string>> = {
  stick: "the upper mark of the stick, wiped and dipped again",
  glass: "the middle of the sight glass, machine upright",
  overflow: "a trickle at the level hole, on level ground",
  lines: "the upper line of the reservoir",
  shelf: "the shelf in the tank",
};

/** Temperatures between which a level holds: `35 to 45 °C`; `working warmth` where the plate has none. */
function windowWords({ from, to }: Pick<Level, "from" | "to">): string {
  const degrees = (value: number): string => formatNumber(value, STYLE);
  if ((from ?? null) !== null && (to ?? null) !== null) {
    return `${degrees(from as number)} to ${degrees(to as number)} °C`;
  }
  if ((from ?? null) !== null) return `at least ${degrees(from as number)} °C`;
  return (to ?? null) === null ? "working warmth" : `at most ${degrees(to as number)} °C`;
}

/** The mark of a system, and in which state of the machine it is read. */
function markWords(fluid: Fluid): string {
  const level = fluid.level ?? null;
  const by = level?.by ?? usualLevel(fluid);
  if (by === null) return "its mark";
  const states = [
    ...(level?.engine ? [`engine ${level.engine}`] : []),
    ...((level?.warm ?? null) === null ? [] : [level?.warm === true ? "warm" : "cold"]),
    ...((level?.from ?? level?.to ?? null) === null ? [] : [windowWords(level ?? {})]),
    ...(level?.minutes ? [`after ${formatNumber(level.minutes, STYLE)} min`] : []),
  ];
  return [MARKS[by], ...states].join(", ");
}

/** Half and half is the usual mix, which protects most of what it is made for. */
const USUAL_SHARE = 0.5;

/** What is mixed of concentrate and water for so much coolant, cold enough for the machine (sums: glycol-share, coolant-mix, freeze-point). */
function mixWords(litres: number | null, coldest: number | null): string {
  const needed = coldest === null ? null : glycolShare("ethylene", coldest, null);
  const share = Math.max(USUAL_SHARE, needed ?? 0);
  const { freezesAt, below } = freezePoint("ethylene", share, null);
  const cold = `for ${formatNumber(Math.round(freezesAt ?? below ?? 0), STYLE)} °C`;
  const amount = (value: number): string => stepFigure({ value, unit: "L" });
  const parts =
    litres === null
      ? `${formatNumber(share * 100, STYLE, 2)} % concentrate`
      : `${amount(litres * share)} concentrate and ${amount(litres * (1 - share))} soft water`;
  return `${parts} ${cold}; what is bought ready mixed goes in as it is; its label wins`;
}

/** What the old filter held: it is part of what went in, and of no mark until the engine has run. */
function allowanceWords(fluid: Fluid): string {
  const litresOf = (condition: string): number | null => {
    const stated = (fluid.capacities ?? []).some((one) => one.condition === condition);
    const quantity = stated ? workingQuantity(fluid, condition) : null;
    return quantity !== null && dimensionOf(quantity.unit) === "volume"
      ? valueIn(quantity, "L")
      : null;
  };
  const [withIt, without] = [litresOf("with filter"), litresOf("without filter")];
  if (withIt === null || without === null || withIt <= without) return "";
  return `, which takes ${stepFigure({ value: withIt - without, unit: "L" })}`;
}

/** What is filled in for a fluid system. */
export interface SystemPlaces {
  readonly fill: (words: string) => string;
  readonly lacks: (words: string) => readonly CardLack[];
  /** What the level is read by; null where that is not known. */
  readonly mark: LevelBy | null;
  /** The service point that the words name first. */
  readonly pointIn: (words: string) => ServicePoint | null;
}

const PLACE = /\$[a-z]+/g;

/** What stands for the `$` places of a fluid system, and what the plate lacks for them. */
export function placesOf(
  fluid: Fluid,
  {
    product,
    litres,
    coldest,
    plate: { servicePoints },
  }: {
    readonly product: Product | null;
    readonly litres: number | null;
    readonly coldest: number | null;
    readonly plate: MachinePlate;
  },
): SystemPlaces {
  const pointOf = (purpose: PointPurpose): ServicePoint | undefined =>
    servicePoints.find((point) => point.fluid === fluid.id && point.purpose === purpose);
  const [drain, filler, check] = [pointOf("drain"), pointOf("fill"), pointOf("check")];
  const bleeds = servicePoints.filter(
    (point) => point.fluid === fluid.id && point.purpose === "bleed",
  );
  const { system } = fluid;
  const filled: Readonly<Record<string, string>> = {
    $filler: filler ? pointWords(filler) : `the filler of the ${system}`,
    $drain: drain ? pointWords(drain) : `the drain of the ${system}`,
    $check: check ? pointWords(check) : `the level mark of the ${system}`,
    $product: product?.name ?? "what the handbook asks for",
    $seal: drain?.seal ? ` with a new ${sealWords(drain.seal)}` : ", its seal renewed",
    $torque: torqueWords(drain?.torque),
    $fillseal: filler?.seal ? ` with a new ${sealWords(filler.seal)}` : "",
    $filltorque: torqueWords(filler?.torque),
    $mark: markWords(fluid),
    $window: windowWords(fluid.level ?? {}),
    $mix: mixWords(litres, coldest),
    $bleed: bleeds.length === 0 ? "" : `: ${bleeds.map(({ name }) => within(name)).join(", ")}`,
    $allowance: allowanceWords(fluid),
  };
  const point = (purpose: PointPurpose): CardLack => ({ code: "point", system, purpose });
  const missing: Readonly<Record<string, CardLack>> = {
    ...(filler ? {} : { $filler: point("fill") }),
    ...(drain ? {} : { $drain: point("drain") }),
    ...(check ? {} : { $check: point("check") }),
    ...(product ? {} : { $product: { code: "product", system } as const }),
    ...(fluid.level ? {} : { $mark: { code: "level", system } as const }),
  };
  const named = (words: string): string[] => words.match(PLACE) ?? [];
  return {
    fill: (words) => raised(words.replaceAll(PLACE, (place) => filled[place] ?? place)),
    mark: fluid.level?.by ?? usualLevel(fluid),
    lacks: (words) => named(words).flatMap((place) => missing[place] ?? []),
    pointIn: (words) => {
      const first = named(words).find((place) => place === "$drain" || place === "$filler");
      return (first === "$drain" ? drain : first === "$filler" ? filler : null) ?? null;
    },
  };
}
