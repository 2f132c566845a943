import {
  isRefused,
  mixing,
  productCovers,
  type Cold,
  type Fluid,
  type Product,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { coverIssueWords, mixingWords, productWords } from "../../../words/plateWords.js";

/** Which products would do in a fluid system: what they cover, what is missing, what may be put to what is in. */
export function ProductChoice({
  fluid,
  cold,
  products,
  onClose,
}: {
  readonly fluid: Fluid;
  readonly cold: Cold;
  readonly products: readonly Product[];
  readonly onClose: () => void;
}): ReactElement {
  const own = products.filter((product) => product.kind === fluid.kind);
  const now = products.find((product) => product.id === fluid.product);
  return (
    <DialogFrame title={`What would do: ${fluid.system}`} onClose={onClose}>
      {own.length === 0 && (
        <p className="py-3 text-quiet">No product of this kind is written down in Stores yet.</p>
      )}
      <ul className="pb-3">
        {own.map((product) => (
          <li key={product.id} className="border-t border-hairline py-2">
            <p className="font-medium">
              {productWords(product)}
              {product.id === now?.id && (
                <span className="font-normal text-quiet">, in it now</span>
              )}
            </p>
            <Covers product={product} fluid={fluid} cold={cold} />
            {now !== undefined && product.id !== now.id && <Mixes now={now} product={product} />}
          </li>
        ))}
      </ul>
    </DialogFrame>
  );
}

function Covers({
  product,
  fluid,
  cold,
}: {
  readonly product: Product;
  readonly fluid: Fluid;
  readonly cold: Cold;
}): ReactElement {
  const { issues } = productCovers(product, fluid, cold);
  if (issues.length === 0) return <p className="text-clear">covers what is required</p>;
  return (
    <p className="font-semibold text-due">
      {issues.map((issue) => coverIssueWords(issue, fluid)).join("; ")}
    </p>
  );
}

/** Whether it may be put to what is in. */
function Mixes({
  now,
  product,
}: {
  readonly now: Product;
  readonly product: Product;
}): ReactElement {
  const answer = mixing(now, product);
  return (
    <p className={isRefused(answer) ? "font-semibold text-due" : "text-quiet"}>
      Topping up {now.name}: {mixingWords(answer)}
    </p>
  );
}
