import type { Fluid } from "../book/fluid.js";
import type { Machine } from "../book/machine.js";
import type { MachinePlate, SharedBook } from "../book/machinePlate.js";
import type { Product } from "../book/product.js";
import type { Specification } from "../book/specification.js";
import { capacityAnswers, type CapacityAnswer } from "../fluid/capacity.js";
import { productCovers, type CoverIssue } from "../fluid/covers.js";
import { valueIn } from "../quantity/quantity.js";
import { fittedAnswer, isMismatch, type FittedAnswer } from "./fitted.js";

/** Something on a machine's plate that a mechanic should see at once. */
export type PlateFinding =
  | {
      readonly code: "mismatch";
      readonly specification: Specification;
      readonly answer: FittedAnswer;
    }
  | {
      readonly code: "product-does-not-cover";
      readonly fluid: Fluid;
      readonly product: Product;
      readonly issues: readonly CoverIssue[];
    }
  | {
      readonly code: "capacities-disagree";
      readonly fluid: Fluid;
      readonly answer: CapacityAnswer;
    };

/** The coldest start of a machine in °C; null where it is not recorded. */
export function coldestStartOf(machine: Machine): number | null {
  const coldest = machine.duty?.coldestStart ?? null;
  return coldest === null ? null : valueIn(coldest, "degC");
}

/** What on the plate does not agree: fitted against specified, the product that is in against what is required, sources against each other where no figure has been chosen. */
export function plateFindings(
  machine: Machine,
  plate: MachinePlate,
  { parts, products }: Pick<SharedBook, "parts" | "products">,
): PlateFinding[] {
  const coldest = coldestStartOf(machine);
  const mismatches = plate.specifications.flatMap((specification): PlateFinding[] => {
    const answer = fittedAnswer(specification, parts);
    return isMismatch(answer) ? [{ code: "mismatch", specification, answer }] : [];
  });
  const uncovered = plate.fluids.flatMap((fluid): PlateFinding[] => {
    const product = products.find((one) => one.id === fluid.product);
    if (product === undefined) return [];
    const { issues } = productCovers(product, fluid, coldest);
    return issues.length === 0 ? [] : [{ code: "product-does-not-cover", fluid, product, issues }];
  });
  const disagreements = plate.fluids.flatMap((fluid) =>
    capacityAnswers(fluid)
      .filter((answer) => answer.disagrees && answer.why.code === "least")
      .map((answer): PlateFinding => ({ code: "capacities-disagree", fluid, answer })),
  );
  return [...mismatches, ...uncovered, ...disagreements];
}
