import type { Book } from "../book/file/book.js";
import type { Fluid } from "../book/records/fluid.js";
import type { Machine } from "../book/records/machine.js";
import type { MachinePlate, SharedBook } from "../book/slice/machinePlate.js";
import type { Product } from "../book/records/product.js";
import type { Specification } from "../book/records/specification.js";
import { capacityAnswers, type CapacityAnswer } from "../fluid/capacity.js";
import { productCovers, type Cold, type CoverIssue } from "../fluid/covers.js";
import { DEFAULT_COLD_MARGIN } from "../fluid/grade.js";
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
function coldestStartOf(machine: Machine): number | null {
  const coldest = machine.duty?.coldestStart ?? null;
  return coldest === null ? null : valueIn(coldest, "degC");
}

/** The cold that the oils of a machine must serve, with the margin of the book's settings. */
export function coldOf(machine: Machine, settings: Book["settings"]): Cold {
  return { coldest: coldestStartOf(machine), margin: settings?.coldMargin ?? DEFAULT_COLD_MARGIN };
}

/** What on the plate does not agree: fitted against specified, the product that is in against what is required, sources against each other where no figure has been chosen. */
export function plateFindings(
  machine: Machine,
  plate: MachinePlate,
  { parts, products }: Pick<SharedBook, "parts" | "products">,
  cold: Cold,
): PlateFinding[] {
  const mismatches = plate.specifications.flatMap((specification): PlateFinding[] => {
    const answer = fittedAnswer(specification, parts);
    return isMismatch(answer) ? [{ code: "mismatch", specification, answer }] : [];
  });
  const uncovered = plate.fluids.flatMap((fluid): PlateFinding[] => {
    const product = products.find((one) => one.id === fluid.product);
    if (product === undefined) return [];
    const { issues } = productCovers(product, fluid, cold);
    return issues.length === 0 ? [] : [{ code: "product-does-not-cover", fluid, product, issues }];
  });
  const disagreements = plate.fluids.flatMap((fluid) =>
    capacityAnswers(fluid)
      .filter(
        ({ disagrees, why }) =>
          (disagrees && why.code === "least") || why.code === "not-comparable",
      )
      .map((answer): PlateFinding => ({ code: "capacities-disagree", fluid, answer })),
  );
  return [...mismatches, ...uncovered, ...disagreements];
}
