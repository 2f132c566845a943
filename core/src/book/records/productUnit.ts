import type { Product } from "./product.js";

/** What a product is kept and counted in (records §2). */
export function unitOfProduct({ unit }: Pick<Product, "unit">): "L" | "kg" {
  return unit ?? "L";
}
