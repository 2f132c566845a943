import { AskCurrency } from "../../shared/currency/AskCurrency.js";
import { parseDay, type Price } from "@yonderfell/core";
import type { ReactElement } from "react";
import { RowsField } from "../../../form/RowsField.js";
import { isEmpty } from "../../../form/typed.js";
import { DayField } from "../../../ui/DayField.js";
import { TextField } from "../../../ui/fields.js";
import type { Field } from "../../../ui/field.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** A price as it stands in a form. */
export interface PriceRow {
  readonly source: string;
  readonly price: string;
  /** The day it is of, empty where that is not said. */
  readonly on: string;
}

/** Prices as they stand in a form. */
export function priceRows(prices: readonly Price[] | undefined): PriceRow[] {
  return (prices ?? []).map(({ source, price, on }) => ({
    ...{ source, price: typedFigure(price), on: on ?? "" },
  }));
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
  return rows.flatMap(({ source, price, on }): Price[] => {
    const amount = typedNumber(price);
    if (amount === null) return [];
    const day = parseDay(on) === null ? {} : { on };
    const named = source.trim();
    const known = (before ?? []).find(
      (one) => one.source === named && (one.on ?? "") === (day.on ?? ""),
    );
    return [{ ...known, source: named, price: amount, ...day }];
  });
}

/** What something costs, by source. */
export function PriceFields(field: Field<readonly PriceRow[]>): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">Price of a pack, by source</legend>
      <RowsField
        {...field}
        noun="price"
        empty={(): PriceRow => ({ source: "", price: "", on: "" })}
      >
        {(_row, rowField) => (
          <div className="grid gap-x-5 sm:grid-cols-3">
            <TextField label="From" {...rowField("source")} />
            <TextField label="Price" isMono {...rowField("price")} />
            <DayField label="As of" {...rowField("on")} />
          </div>
        )}
      </RowsField>
      {field.value.length > 0 && <AskCurrency />}
    </fieldset>
  );
}
