import { formatDay, parseDay, type MachineId, type SupplierAnswer } from "@yonderfell/core";
import { useMemo, useState, type ReactElement } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { FormBody } from "../../../form/FormBody.js";
import { RowsField } from "../../../form/RowsField.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { counted } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { askOffers, sendOrder } from "../../../work/supplier.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { untilOf } from "../buy/buyModel.js";
import { sourcesIn } from "../buy/sources.js";
import { useShopping, type Wanted } from "../buy/useShopping.js";
import { StoresFrame } from "../StoresFrame.js";
import { itemChoices, useCatalogue, type OpenCatalogue } from "../useCatalogue.js";
import {
  askedNumber,
  atTheirPrice,
  emptyRow,
  linesSent,
  ORDER_LABELS,
  orderOf,
  orderProblems,
  orderProblemWords,
  packsKnown,
  rowsOf,
  sumOf,
  type OrderModel,
  type OrderRow,
} from "./orderModel.js";
import { offerWords } from "./orderWords.js";
import { useOrdering } from "./useOrders.js";
import { useSupplier } from "./useSupplier.js";

/** Orders from a source: what the shopping list has of it, or what one adds. Nothing is ordered without a press. */
export default function NewOrder(): ReactElement {
  const [search] = useSearchParams();
  const source = search.get("from");
  const catalogue = useCatalogue();
  return (
    <StoresFrame title={source === null ? "Order something" : `Order from ${source}`}>
      {catalogue !== undefined &&
        (source === null ? (
          <OrderForm catalogue={catalogue} source="" rows={[]} />
        ) : (
          <FromList catalogue={catalogue} source={source} />
        ))}
    </StoresFrame>
  );
}

function FromList({
  catalogue,
  source,
}: {
  readonly catalogue: OpenCatalogue;
  readonly source: string;
}): ReactElement {
  const [search] = useSearchParams();
  const today = useAppSelector((state) => state.session.today);
  const [until, machines, only] = ["until", "machines", "only"].map((key) => search.get(key));
  const wanted = useMemo(
    (): Wanted => ({
      until: parseDay(until ?? "") ?? untilOf("30", today),
      machines: machines ? (machines.split(",") as MachineId[]) : null,
      source: only ?? null,
    }),
    [until, machines, only, today],
  );
  const { shopping, failure } = useShopping(wanted);
  if (failure !== "") return <p role="alert">The list was not made: {failure}</p>;
  if (shopping === null) return <p role="status">Adding up what the work ahead takes…</p>;
  return (
    <OrderForm catalogue={catalogue} source={source} rows={rowsOf(shopping.list.toBuy, source)} />
  );
}

interface OrderFormProps {
  readonly catalogue: OpenCatalogue;
  readonly source: string;
  readonly rows: readonly OrderRow[];
}

function useOrderForm({
  source,
  rows,
}: OrderFormProps): FormInHand<OrderModel, readonly OrderRow[]> {
  const today = formatDay(useAppSelector((state) => state.session.today));
  return useForm({
    form: "order",
    of: source === "" ? "new" : `new ${source}`,
    source: rows,
    modelOf: (lines): OrderModel => ({
      ...{ source, placed: today, reference: "", note: "" },
      lines: lines.length === 0 ? [emptyRow()] : lines,
    }),
    labels: ORDER_LABELS,
    problemsOf: orderProblems,
    problemWords: orderProblemWords,
  });
}

function OrderForm(props: OrderFormProps): ReactElement {
  const { catalogue } = props;
  const form = useOrderForm(props);
  const { field, model, set } = form;
  const supplier = useSupplier();
  const currency = useCurrency();
  const navigate = useNavigate();
  const { place, failure, fail } = useOrdering();
  const [answer, setAnswer] = useState<SupplierAnswer | null>(null);
  const isOnline = supplier !== null && supplier !== undefined && supplier === model.source.trim();
  const order = async (typed: OrderModel): Promise<boolean> => {
    const placed = orderOf(typed, catalogue);
    if (placed.lines.length === 0) return (await place(placed)) !== null;
    const sent = isOnline ? await sendOrder(linesSent(typed, catalogue)) : null;
    if (isOnline && sent === null) {
      fail("Not ordered: the supplier does not answer. Ring them, or try again later.");
      return false;
    }
    const online = sent && { reference: sent.reference, promised: sent.promised, online: true };
    const id = await place({ ...placed, ...online });
    if (id !== null) await navigate(`/stores/orders/${encodeURIComponent(id)}`);
    return id !== null;
  };
  const ask = async (): Promise<void> => {
    const told = await askOffers(model.lines.map((row) => askedNumber(row, catalogue)));
    setAnswer(told);
    fail(told === null ? "The supplier does not answer. Its prices stay as they are." : "");
  };
  const { cost, unpriced } = sumOf(model);
  return (
    <FormBody
      form={form}
      onSave={order}
      failure={failure}
      className="max-w-4xl space-y-3"
      foot={
        <div className="flex flex-wrap items-center gap-4">
          <button type="submit" className={PRIMARY_BUTTON}>
            {isOnline ? "Order it now" : "Write it down as ordered"}
          </button>
          <span>
            <strong className="tabular-nums">{money(cost, currency)}</strong>
            {unpriced > 0 && `, ${counted(unpriced, "line")} without a price`}
          </span>
          {!isOnline && (
            <span className="text-quiet">Ring or write to them yourself: nothing is sent.</span>
          )}
        </div>
      }
    >
      <OrderHead form={form} sources={sourcesIn(catalogue.listed)} />
      {isOnline && (
        <div className="flex flex-wrap items-center gap-3">
          <button type="button" className={QUIET_BUTTON} onClick={() => void ask()}>
            Ask price and time
          </button>
          {answer !== null && (
            <button
              type="button"
              className={QUIET_BUTTON}
              onClick={() =>
                set({
                  lines: model.lines.map((row) =>
                    atTheirPrice(row, offerFor(answer, row, catalogue)),
                  ),
                })
              }
            >
              Take these prices
            </button>
          )}
          <span className="text-quiet">{supplier} answers here; it is simulated.</span>
        </div>
      )}
      <RowsField {...field("lines")} noun="line" empty={emptyRow}>
        {(row, rowField) => {
          const offer = answer === null ? undefined : offerFor(answer, row, catalogue);
          const packs = packsKnown(row.item, catalogue);
          return (
            <>
              <div className="grid gap-x-4 gap-y-1 sm:grid-cols-[minmax(0,1fr)_6rem_7rem_7rem]">
                <SelectField
                  label="What"
                  choices={[["", "choose a part or a fluid"] as const, ...itemChoices(catalogue)]}
                  {...rowField("item")}
                />
                <TextField label="How many" isMono {...rowField("count")} />
                {row.item.startsWith("product ") ? (
                  <TextField label="Pack of" isMono offered={packs} {...rowField("pack")} />
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
        }}
      </RowsField>
    </FormBody>
  );
}

function OrderHead({
  form: { field },
  sources,
}: {
  readonly form: FormInHand<OrderModel, readonly OrderRow[]>;
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

const offerFor = (answer: SupplierAnswer, row: OrderRow, catalogue: OpenCatalogue) =>
  answer.offers.find(({ asked }) => asked === askedNumber(row, catalogue));
