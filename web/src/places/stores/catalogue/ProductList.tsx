import { Terms } from "../../../ui/Term.js";
import type { Product } from "@yonderfell/core";
import type { ReactElement } from "react";
import { cheapestFirst, priceWords, riseWords } from "../../../words/partWords.js";
import { productWords } from "../../../words/plateWords.js";
import { quantityWords } from "../../../words/quantityWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";

/** The fluids of the book as they are bought. */
export function ProductList({
  products,
  isAll,
  onEdit,
}: {
  readonly products: readonly Product[];
  readonly isAll: boolean;
  readonly onEdit: (product: Product) => void;
}): ReactElement {
  return (
    <section aria-labelledby="products">
      <h2 id="products" className="text-large font-bold">
        Fluid products{" "}
        <span className="font-normal text-quiet tabular-nums">{products.length}</span>
      </h2>
      {products.length === 0 && (
        <p className="border-t border-hairline py-3 text-quiet">
          {isAll
            ? "No products yet. Write down oils, coolants and brake fluids with what their labels claim."
            : "No product fits these words."}
        </p>
      )}
      <Terms words={["claim"]} />
      <ul>
        {products.map((product) => (
          <ProductRow key={product.id} product={product} onEdit={onEdit} />
        ))}
      </ul>
    </section>
  );
}

function ProductRow({
  product,
  onEdit,
}: {
  readonly product: Product;
  readonly onEdit: (product: Product) => void;
}): ReactElement {
  const currency = useCurrency();
  const claims = product.claims ?? [];
  return (
    <li className="grid items-start gap-x-6 gap-y-0.5 border-t border-hairline py-2 lg:grid-cols-[minmax(14rem,1fr)_minmax(12rem,1fr)_minmax(16rem,1.2fr)_3.5rem]">
      <span className="leading-tight">
        <span className="block font-medium">{productWords(product)}</span>
        <span className="text-fine text-quiet">
          {[product.kind, product.base ?? ""].filter(Boolean).join(", ")}
        </span>
      </span>
      <span>
        {claims.length === 0 ? (
          <span className="text-quiet">no claims recorded</span>
        ) : (
          claims.join(", ")
        )}
      </span>
      <span className="tabular-nums">
        {(product.packs ?? []).map(({ quantity, prices }, index) => {
          const [cheapest] = cheapestFirst(prices);
          return (
            <span key={index} className="block">
              <strong>{quantityWords(quantity)}</strong>{" "}
              <span className="text-quiet">
                {cheapest === undefined ? "no price" : priceWords(cheapest, currency)}
              </span>
              {cheapest !== undefined && (
                <span className="block text-fine text-soon-text empty:hidden">
                  {riseWords(prices, cheapest, currency)}
                </span>
              )}
            </span>
          );
        })}
      </span>
      <button
        type="button"
        aria-label={`Edit ${product.name}`}
        className="min-h-10 text-clear hover:underline"
        onClick={() => onEdit(product)}
      >
        Edit
      </button>
    </li>
  );
}
