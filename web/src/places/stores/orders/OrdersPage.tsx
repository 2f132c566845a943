import { dayOf, orderStanding, type Order } from "@yonderfell/core";
import { Plus } from "lucide-react";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { counted, fullDate } from "../../../words/format.js";
import { StoresFrame } from "../StoresFrame.js";
import { orderStandWords } from "./orderWords.js";
import { useOrders } from "./useOrders.js";

/** What was ordered, and what of it is still to come. */
export default function OrdersPage(): ReactElement {
  const orders = useOrders();
  return (
    <StoresFrame
      title="Orders"
      aside={
        <Link to="/stores/orders/new" className={PRIMARY_BUTTON}>
          <Plus size={18} aria-hidden="true" />
          Order something
        </Link>
      }
    >
      {orders?.length === 0 && (
        <p className="max-w-[68ch] py-4 text-quiet">
          Nothing was ordered yet. Begin at <Link to="/stores/buy">To buy</Link>: it says what the
          work ahead takes, and orders it by source.
        </p>
      )}
      <ul className="max-w-4xl">
        {(orders ?? []).map((order) => (
          <OrderLine key={order.id} order={order} />
        ))}
      </ul>
    </StoresFrame>
  );
}

function OrderLine({ order }: { readonly order: Order }): ReactElement {
  const standing = orderStanding(order);
  const isOpen = standing.some(({ open }) => open > 0);
  return (
    <li className="border-t border-hairline">
      <Link
        to={`/stores/orders/${encodeURIComponent(order.id)}`}
        className="grid items-start gap-x-6 gap-y-0.5 py-2.5 hover:bg-wash sm:grid-cols-[14rem_1fr_auto]"
      >
        <span>
          <strong>{order.source}</strong>
          <span className="block text-fine text-quiet">{order.reference ?? ""}</span>
        </span>
        <span className={isOpen ? "font-semibold text-soon-text" : "text-quiet"}>
          {orderStandWords(standing)}
        </span>
        <span className="text-quiet">
          {fullDate(dayOf(order.placed))}, {counted(order.lines.length, "line")}
        </span>
      </Link>
    </li>
  );
}
