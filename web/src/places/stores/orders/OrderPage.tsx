import {
  dayOf,
  formatDay,
  orderStanding,
  type LineStanding,
  type Order,
  type SupplierOrder,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useParams } from "react-router";
import { FormBody } from "../../../form/FormBody.js";
import { useForm } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { TextField } from "../../../ui/fields.js";
import { fieldsOf } from "../../../ui/field.js";
import NotFound from "../../../ui/NotFound.js";
import { fullDate } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { askOrder } from "../../../work/supplier.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { itemName, stockWords } from "../stockWords.js";
import { StoresFrame } from "../StoresFrame.js";
import { useCatalogue, type OpenCatalogue } from "../useCatalogue.js";
import { CloseLine } from "./CloseLine.js";
import { lineAmount, orderStandWords } from "./orderWords.js";
import {
  cameOf,
  newlyCome,
  RECEIVE_LABELS,
  receiveProblems,
  receiveProblemWords,
  receiveSheet,
  type CameRow,
} from "./receiveModel.js";
import { useOrdering, useOrders } from "./useOrders.js";

/** An order: what of it has come, and what comes is taken in. */
export default function OrderPage(): ReactElement | null {
  const { orderId = "" } = useParams();
  const orders = useOrders();
  const catalogue = useCatalogue();
  if (orders === undefined || catalogue === undefined) return null;
  const order = orders.find(({ id }) => id === orderId);
  if (order === undefined) return <NotFound />;
  return <Ordered order={order} catalogue={catalogue} />;
}

interface OrderedProps {
  readonly order: Order;
  readonly catalogue: OpenCatalogue;
}

function Ordered({ order, catalogue }: OrderedProps): ReactElement {
  const [told, setTold] = useState<SupplierOrder | null>(null);
  const [said, setSaid] = useState("");
  const standing = orderStanding(order);
  const isOpen = standing.some(({ open }) => open > 0);
  const { reference, promised, placed, online } = order;
  const ask = async (): Promise<void> => {
    const answer = await askOrder(reference ?? "");
    setTold(answer);
    if (answer === null) {
      return setSaid("The supplier does not answer, or does not know the order any more.");
    }
    const come = newlyCome(order, answer).size;
    setSaid(
      come === 0 ? "Nothing more has come yet." : "What came is filled in below: look it over.",
    );
  };
  return (
    <StoresFrame title={`Order from ${order.source}`}>
      <p className="mb-2 max-w-[68ch]">
        Ordered on {fullDate(dayOf(placed))}
        {reference ? `, their number ${reference}` : ""}
        {promised ? `, promised for ${fullDate(dayOf(promised))}` : ""}:{" "}
        <strong>{orderStandWords(standing)}</strong>.
      </p>
      {order.note && <p className="mb-2">{order.note}</p>}
      <Lines standing={standing} order={order} catalogue={catalogue} />
      {isOpen && online === true && (
        <div className="mt-4 flex flex-wrap items-center gap-4">
          <button type="button" className={QUIET_BUTTON} onClick={() => void ask()}>
            Ask after it
          </button>
          <span role="status">{said}</span>
        </div>
      )}
      {isOpen && (
        <Receive
          key={`${order.received?.length ?? 0} ${told?.deliveries.length ?? 0}`}
          order={order}
          catalogue={catalogue}
          told={told}
        />
      )}
    </StoresFrame>
  );
}

function Lines({
  standing,
  order,
  catalogue,
}: OrderedProps & { readonly standing: readonly LineStanding[] }): ReactElement {
  const currency = useCurrency();
  return (
    <ul className="max-w-4xl">
      {standing.map(({ line, at, item, came, open }) => (
        <li
          key={at}
          className="grid items-start gap-x-5 border-t border-hairline py-2 sm:grid-cols-[1fr_8rem_7rem_15rem]"
        >
          <span>
            <span className="font-semibold">{item === null ? "" : itemName(item, catalogue)}</span>
            {line.number && <span className="block text-soon-text">asked for {line.number}</span>}
          </span>
          <span className="tabular-nums">{lineAmount(line.count, line)}</span>
          <span className="text-quiet tabular-nums">
            {line.price == null ? "no price" : money(line.price, currency)}
          </span>
          <span>
            {line.closed ? (
              <strong className="text-soon-text">{line.closed}</strong>
            ) : open === 0 ? (
              "all of it has come"
            ) : (
              <>
                <strong>{stockWords(open)} to come</strong>
                {came > 0 && <span className="text-quiet">, {stockWords(came)} came</span>}
                <CloseLine order={order} line={at} />
              </>
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}

function Receive({
  order,
  catalogue,
  told,
}: OrderedProps & { readonly told: SupplierOrder | null }): ReactElement {
  const today = formatDay(useAppSelector((state) => state.session.today));
  const { receive, failure } = useOrdering();
  const form = useForm({
    form: "receive",
    of: `${order.id} ${order.received?.length ?? 0} ${told?.deliveries.length ?? 0}`,
    source: order,
    modelOf: (own) => receiveSheet(own, told, today),
    labels: RECEIVE_LABELS,
    problemsOf: receiveProblems,
    problemWords: receiveProblemWords,
  });
  const { field, model, set } = form;
  const { problemAt = () => "" } = field("rows");
  const setRow = (at: number, patch: Partial<CameRow>): void =>
    set({ rows: model.rows.map((row, place) => (place === at ? { ...row, ...patch } : row)) });
  const allOfIt = (): void => {
    const standing = orderStanding(order);
    set({
      rows: model.rows.map((row) => ({ ...row, count: String(standing[row.line]?.open ?? "") })),
    });
  };
  return (
    <section aria-labelledby="take-in" className="mt-6 max-w-4xl">
      <h2 id="take-in" className="mb-1 text-large font-bold">
        Take in what came
      </h2>
      <FormBody
        form={form}
        onSave={(typed) => receive(order.id, typed.on, cameOf(typed))}
        failure={failure}
        className="space-y-2"
        foot={
          <div className="flex flex-wrap gap-3">
            <button type="submit" className={PRIMARY_BUTTON}>
              Take it in
            </button>
            <button type="button" className={QUIET_BUTTON} onClick={allOfIt}>
              All of it came
            </button>
          </div>
        }
      >
        <div className="max-w-60">
          <DayField {...field("on")} />
        </div>
        {model.rows.map((row, at) => {
          const line = order.lines[row.line];
          const item = orderStanding(order)[row.line]?.item ?? null;
          const rowField = fieldsOf(
            row,
            (patch) => setRow(at, patch),
            (path) => problemAt(`${at}.${path}`),
          );
          if (line === undefined || item === null) return null;
          const name = itemName(item, catalogue);
          return (
            <div
              key={row.line}
              role="group"
              aria-label={name}
              className="grid items-start gap-x-4 border-t border-hairline py-2 sm:grid-cols-[1fr_7rem_8rem_12rem]"
            >
              <span className="pt-5 font-semibold">{name}</span>
              <TextField label="Came" isMono {...rowField("count")} />
              <TextField label="Price of one" isMono {...rowField("price")} />
              {"part" in item ? (
                <TextField label="Another number came" isMono {...rowField("instead")} />
              ) : (
                <span />
              )}
            </div>
          );
        })}
      </FormBody>
    </section>
  );
}
