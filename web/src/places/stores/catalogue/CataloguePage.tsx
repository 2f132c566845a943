import type { Part, Product } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { Plus } from "lucide-react";
import { useDeferredValue, useState, type ReactElement } from "react";
import { useSearchParams } from "react-router";
import { useBook } from "../../../session/openBook.js";
import { asItStands } from "../../../form/typed.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { TextField } from "../../../ui/fields.js";
import { StoresFrame } from "../StoresFrame.js";
import { PartForm } from "./PartForm.js";
import { PartList } from "./PartList.js";
import { ProductForm } from "./ProductForm.js";
import { ProductList } from "./ProductList.js";

/** What is being written down: a record, null for a new one, undefined while nothing is. */
type Editing<T> = T | null | undefined;

const fits = (words: string, ...texts: readonly unknown[]): boolean => {
  const text = texts.flat().join(" ").toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
};

/** Parts by number and fluids by what they claim: what the machines take, and what it costs. */
export default function CataloguePage(): ReactElement | null {
  const { storage } = useBook();
  const asked = useSearchParams()[0].get("words") ?? "";
  const [words, setWords] = useState(asked);
  const [lastAsked, setLastAsked] = useState(asked);
  if (asked !== lastAsked) {
    // Something else was found while this place was open.
    setLastAsked(asked);
    setWords(asked);
  }
  const wanted = useDeferredValue(words);
  const [part, setPart] = useState<Editing<Part>>();
  const [product, setProduct] = useState<Editing<Product>>();
  const parts = useLiveQuery(() => storage.list("parts"), [storage]);
  const products = useLiveQuery(() => storage.list("products"), [storage]);
  if (parts === undefined || products === undefined) return null;
  const shownParts = parts.filter((one) =>
    fits(wanted, one.name, one.kind, one.number, one.supersededBy, one.equivalents),
  );
  const shownProducts = products.filter((one) =>
    fits(wanted, one.name, one.kind, one.grade, one.claims),
  );
  return (
    <StoresFrame
      title="Numbers and prices"
      aside={
        <div className="flex flex-wrap gap-3">
          <button type="button" className={QUIET_BUTTON} onClick={() => setProduct(null)}>
            <Plus size={18} aria-hidden="true" />
            Add a fluid product
          </button>
          <button type="button" className={PRIMARY_BUTTON} onClick={() => setPart(null)}>
            <Plus size={18} aria-hidden="true" />
            Add a part
          </button>
        </div>
      }
    >
      <div className="mb-4 max-w-[30rem]">
        <TextField label="Number, name or code" value={words} onChange={setWords} />
      </div>
      <PartList parts={shownParts} isAll={wanted.trim() === ""} onEdit={setPart} />
      <ProductList products={shownProducts} isAll={wanted.trim() === ""} onEdit={setProduct} />
      {part !== undefined && (
        <PartForm parts={parts} part={asItStands(parts, part)} onClose={() => setPart(undefined)} />
      )}
      {product !== undefined && (
        <ProductForm
          product={asItStands(products, product)}
          onClose={() => setProduct(undefined)}
        />
      )}
    </StoresFrame>
  );
}
