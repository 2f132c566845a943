import type { Fluid } from "../../book/records/fluid.js";
import type { PointPurpose, ServicePoint } from "../../book/records/servicePoint.js";
import type { Product } from "../../book/records/product.js";
import type { MachinePlate } from "../../book/slice/machinePlate.js";
import { formatQuantity } from "../../quantity/formatQuantity.js";
import type { Quantity } from "../../quantity/quantity.js";

/** Something that a card could not be filled in with: the plate does not have it. */
export type CardLack =
  /** No fluid system that the work is on. */
  | { readonly code: "system"; readonly task: string }
  | { readonly code: "point"; readonly system: string; readonly purpose: PointPurpose }
  | { readonly code: "capacity"; readonly system: string }
  | { readonly code: "product"; readonly system: string };

/** How figures stand in the words of a step. */
const STYLE = { decimal: ".", thousands: "\u00a0" } as const;

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

const torqueWords = (torque: Quantity | null | undefined): string =>
  torque ? `, ${formatQuantity(torque, STYLE)}` : "";

/** What stands for the `$` places of a fluid system, and what the plate lacks for them. */
export function placesOf(
  fluid: Fluid,
  product: Product | null,
  { servicePoints }: MachinePlate,
): { readonly fill: (words: string) => string; readonly lacks: (words: string) => CardLack[] } {
  const pointOf = (purpose: PointPurpose): ServicePoint | undefined =>
    servicePoints.find((point) => point.fluid === fluid.id && point.purpose === purpose);
  const [drain, filler, check] = [pointOf("drain"), pointOf("fill"), pointOf("check")];
  const { system } = fluid;
  const filled: Readonly<Record<string, string>> = {
    $filler: filler ? pointWords(filler) : `the filler of the ${system}`,
    $drain: drain ? pointWords(drain) : `the drain of the ${system}`,
    $check: check ? pointWords(check) : `the level mark of the ${system}`,
    $product: product?.name ?? "what the handbook asks for",
    $seal: drain?.seal ? ` with a new ${drain.seal}` : ", its seal renewed",
    $torque: torqueWords(drain?.torque),
  };
  const point = (purpose: PointPurpose): CardLack => ({ code: "point", system, purpose });
  const missing: Readonly<Record<string, CardLack>> = {
    ...(filler ? {} : { $filler: point("fill") }),
    ...(drain ? {} : { $drain: point("drain") }),
    ...(check ? {} : { $check: point("check") }),
    ...(product ? {} : { $product: { code: "product", system } as const }),
  };
  const named = (words: string): string[] => words.match(/\$[a-z]+/g) ?? [];
  return {
    fill: (words) => raised(words.replaceAll(/\$[a-z]+/g, (place) => filled[place] ?? place)),
    lacks: (words) => named(words).flatMap((place) => missing[place] ?? []),
  };
}
