import type { z } from "zod";
import { partIdField, productIdField } from "./ids.js";

/** What is kept on a shelf or ordered: a part, or a product. Exactly one of the two. */
export const itemFields = {
  part: partIdField.nullish(),
  product: productIdField.nullish(),
};

/** Refuses what names neither a part nor a product, or both. */
export function onePartOrProduct(
  one: { readonly part?: unknown; readonly product?: unknown },
  context: z.core.$RefinementCtx,
): void {
  if (((one.part ?? null) === null) !== ((one.product ?? null) === null)) return;
  const message = "a part or a product, one of the two";
  context.addIssue({ code: "custom", path: ["part"], message });
}
