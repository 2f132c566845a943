import {
  dayOf,
  itemNamed,
  orderStanding,
  type LineStanding,
  type Order,
  type SupplierOrder,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useParams } from "react-router";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
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
import { Receive } from "./Receive.js";
import { newlyCome } from "./receiveModel.js";
import { useOrders } from "./useOrders.js";

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
      <Received order={order} catalogue={catalogue} />
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
            {typeof line.price === "number" ? money(line.price, currency) : "no price"}
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

/** What came so far, each time with its day. */
function Received({ order: { received }, catalogue }: OrderedProps): ReactElement | null {
  if ((received ?? []).length === 0) return null;
  return (
    <section aria-labelledby="came" className="mt-4 max-w-4xl">
      <h2 id="came" className="font-semibold text-quiet">
        Came so far
      </h2>
      <ul>
        {(received ?? []).map(({ on, lines }, at) => (
          <li
            key={at}
            className="grid gap-x-5 border-t border-hairline py-1.5 sm:grid-cols-[8rem_1fr]"
          >
            <span>{fullDate(dayOf(on))}</span>
            <span>
              {lines.map((line, place) => {
                const item = itemNamed(line);
                return (
                  <span key={place} className="block">
                    {lineAmount(line.count, line)} {item === null ? "" : itemName(item, catalogue)}
                  </span>
                );
              })}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
