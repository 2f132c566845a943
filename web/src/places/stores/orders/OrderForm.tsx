import type { SupplierAnswer, SupplierOffer } from "@yonderfell/core";
import type { ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { RowsField } from "../../../form/RowsField.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import type { FieldsOf } from "../../../ui/field.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { counted } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { sourcesIn } from "../buy/sources.js";
import { itemChoices, type OpenCatalogue } from "../useCatalogue.js";
import {
  askedNumber,
  atTheirPrice,
  emptyRow,
  packsKnown,
  sumOf,
  type OrderRow,
} from "./orderModel.js";
import { offerWords } from "./orderWords.js";
import { useOrderForm, type OrderFormProps, type OrderInHand } from "./useOrderForm.js";

/** What is ordered of whom: written down, and sent where the source answers here. */
export function OrderForm(props: OrderFormProps): ReactElement {
  const { catalogue } = props;
  const hand = useOrderForm(props);
  const { form, order, failure, answer } = hand;
  return (
    <FormBody
      form={form}
      onSave={order}
      failure={failure}
      className="max-w-4xl space-y-3"
      foot={<OrderFoot hand={hand} />}
    >
      <OrderHead hand={hand} sources={sourcesIn(catalogue.listed)} />
      <Asking hand={hand} catalogue={catalogue} />
      <RowsField {...form.field("lines")} noun="line" empty={emptyRow}>
        {(row, rowField) => (
          <LineFields
            row={row}
            rowField={rowField}
            catalogue={catalogue}
            offer={offerFor(answer, row, catalogue)}
          />
        )}
      </RowsField>
    </FormBody>
  );
}

const offerFor = (
  answer: SupplierAnswer | null,
  row: OrderRow,
  catalogue: OpenCatalogue,
): SupplierOffer | undefined =>
  answer?.offers.find(({ asked }) => asked === askedNumber(row, catalogue));

function OrderFoot({ hand }: { readonly hand: OrderInHand }): ReactElement {
  const currency = useCurrency();
  const { supplier, form } = hand;
  const { cost, unpriced } = sumOf(form.model);
  return (
    <div className="flex flex-wrap items-center gap-4">
      <button type="submit" className={PRIMARY_BUTTON}>
        {supplier === null ? "Write it down as ordered" : "Order it now"}
      </button>
      <span>
        <strong className="tabular-nums">{money(cost, currency)}</strong>
        {unpriced > 0 && `, ${counted(unpriced, "line")} without a price`}
      </span>
      {supplier === null && (
        <span className="text-quiet">Ring or write to them yourself: nothing is sent.</span>
      )}
    </div>
  );
}

function OrderHead({
  hand: {
    form: { field },
  },
  sources,
}: {
  readonly hand: OrderInHand;
  readonly sources: readonly string[];
}): ReactElement {
  return (
    <div className="grid gap-x-5 gap-y-2 sm:grid-cols-3">
      <TextField offered={sources} isRequired {...field("source")} />
      <DayField {...field("placed")} />
      <TextField {...field("reference")} />
      <div className="sm:col-span-3">
        <NoteField {...field("note")} />
      </div>
    </div>
  );
}

/** Asks price and time of whoever answers here; its prices are taken by a press. */
function Asking({
  hand: { supplier, ask, answer, form },
  catalogue,
}: {
  readonly hand: OrderInHand;
  readonly catalogue: OpenCatalogue;
}): ReactElement | null {
  if (supplier === null) return null;
  const { lines } = form.model;
  const take = (): void =>
    form.set({
      lines: lines.map((row) => atTheirPrice(row, offerFor(answer, row, catalogue))),
    });
  return (
    <div className="flex flex-wrap items-center gap-3">
      <button type="button" className={QUIET_BUTTON} onClick={() => void ask()}>
        Ask price and time
      </button>
      {answer !== null && (
        <button type="button" className={QUIET_BUTTON} onClick={take}>
          Take these prices
        </button>
      )}
      <span className="text-quiet">{supplier} answers here; it is simulated.</span>
    </div>
  );
}

function LineFields({
  row,
  rowField,
  catalogue,
  offer,
}: {
  readonly row: OrderRow;
  readonly rowField: FieldsOf<OrderRow>;
  readonly catalogue: OpenCatalogue;
  readonly offer: SupplierOffer | undefined;
}): ReactElement {
  const currency = useCurrency();
  const choices = [["", "choose a part or a fluid"] as const, ...itemChoices(catalogue)];
  return (
    <>
      <div className="grid gap-x-4 gap-y-1 sm:grid-cols-[minmax(0,1fr)_6rem_7rem_7rem]">
        <SelectField label="What" choices={choices} {...rowField("item")} />
        <TextField label="How many" isMono {...rowField("count")} />
        {row.item.startsWith("product ") ? (
          <TextField
            label="Pack of"
            isMono
            offered={packsKnown(row.item, catalogue)}
            {...rowField("pack")}
          />
        ) : (
          <TextField label="Ask for number" isMono {...rowField("number")} />
        )}
        <TextField label="Price of one" isMono {...rowField("price")} />
      </div>
      {offer !== undefined && (
        <p className="text-fine font-semibold text-clear">{offerWords(offer, currency)}</p>
      )}
    </>
  );
}
