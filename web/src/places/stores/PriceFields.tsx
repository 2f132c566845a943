import { AskCurrency } from "./AskCurrency.js";
import type { Price } from "@yonderfell/core";
import { Plus } from "lucide-react";
import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { TextField } from "../../ui/fields.js";
import { fieldsOf, type Field } from "../../ui/useModel.js";
import { typedFigure, typedNumber } from "../../words/writing.js";

/** A price as it stands in a form. */
export interface PriceRow {
  readonly source: string;
  readonly price: string;
}

/** Prices as they stand in a form. */
export function priceRows(prices: readonly Price[] | undefined): PriceRow[] {
  return (prices ?? []).map(({ source, price }) => ({ source, price: typedFigure(price) }));
}

/** The first price that is none, as a line; empty where all are. */
export function priceProblem(rows: readonly PriceRow[]): string {
  const wrong = rows.find(({ source, price }) => {
    if (price.trim() === "") return false;
    return source.trim() === "" || (typedNumber(price) ?? -1) < 0;
  });
  return wrong === undefined
    ? ""
    : `A price needs a source and an amount of 0 or more (“${wrong.price}”).`;
}

/** The prices of a form that has no problem; rows left empty are left out. */
export function pricesOf(rows: readonly PriceRow[], before: readonly Price[] | undefined): Price[] {
  return rows.flatMap(({ source, price }) => {
    const amount = typedNumber(price);
    if (amount === null) return [];
    const known = (before ?? []).find((one) => one.source === source.trim());
    return [{ ...known, source: source.trim(), price: amount }];
  });
}

/** What something costs, by source. */
export function PriceFields({ value: rows, onChange }: Field<readonly PriceRow[]>): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">Price of a pack, by source</legend>
      {rows.map((row, index) => {
        const field = fieldsOf(row, (patch) =>
          onChange(rows.map((one, at) => (at === index ? { ...one, ...patch } : one))),
        );
        return (
          <div
            key={index}
            className="grid gap-x-5 border-t border-hairline py-2 sm:grid-cols-2"
            role="group"
            aria-label={`Price ${index + 1}`}
          >
            <TextField label="From" {...field("source")} />
            <TextField label="Price" isMono {...field("price")} />
          </div>
        );
      })}
      {rows.length > 0 && <AskCurrency />}
      <button
        type="button"
        className={QUIET_BUTTON}
        onClick={() => onChange([...rows, { source: "", price: "" }])}
      >
        <Plus size={18} aria-hidden="true" />
        {rows.length === 0 ? "Add a price" : "Another source"}
      </button>
    </fieldset>
  );
}
