import { AskCurrency } from "../../shared/currency/AskCurrency.js";
import type { Price } from "@yonderfell/core";
import type { ReactElement } from "react";
import { RowsField } from "../../../form/RowsField.js";
import { isEmpty } from "../../../form/typed.js";
import { TextField } from "../../../ui/fields.js";
import type { Field } from "../../../ui/field.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** A price as it stands in a form. */
export interface PriceRow {
  readonly source: string;
  readonly price: string;
}

/** Prices as they stand in a form. */
export function priceRows(prices: readonly Price[] | undefined): PriceRow[] {
  return (prices ?? []).map(({ source, price }) => ({ source, price: typedFigure(price) }));
}

/** The rows that are no price, by their places: they need a source and an amount of 0 or more. */
export function priceProblems(
  rows: readonly PriceRow[],
): readonly { readonly field: string; readonly code: "not-a-price" }[] {
  return rows.flatMap(({ source, price }, index) => {
    if (isEmpty(price)) return [];
    const isPrice = !isEmpty(source) && (typedNumber(price) ?? -1) >= 0;
    return isPrice ? [] : [{ field: `${index}.price`, code: "not-a-price" as const }];
  });
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
export function PriceFields(field: Field<readonly PriceRow[]>): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">Price of a pack, by source</legend>
      <RowsField {...field} noun="price" empty={(): PriceRow => ({ source: "", price: "" })}>
        {(_row, rowField) => (
          <div className="grid gap-x-5 sm:grid-cols-2">
            <TextField label="From" {...rowField("source")} />
            <TextField label="Price" isMono {...rowField("price")} />
          </div>
        )}
      </RowsField>
      {field.value.length > 0 && <AskCurrency />}
    </fieldset>
  );
}
