import { formatDay, type SupplierAnswer, type SupplierOrder } from "@yonderfell/core";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { askOffers, sendOrder, type LineSent } from "../../../work/supplier.js";
import type { OpenCatalogue } from "../useCatalogue.js";
import {
  askedNumber,
  emptyRow,
  linesSent,
  ORDER_LABELS,
  orderOf,
  orderProblems,
  orderProblemWords,
  type OrderModel,
  type OrderRow,
} from "./orderModel.js";
import { useOrdering } from "./useOrders.js";
import { useSupplier } from "./useSupplier.js";

export interface OrderFormProps {
  readonly catalogue: OpenCatalogue;
  readonly source: string;
  readonly rows: readonly OrderRow[];
}

/** An order that is being written. */
export interface OrderInHand {
  readonly form: FormInHand<OrderModel, readonly OrderRow[]>;
  /** Who answers here, where it is whom one orders from; null where nobody does. */
  readonly supplier: string | null;
  /** What the supplier said of the lines; null before it was asked. */
  readonly answer: SupplierAnswer | null;
  readonly ask: () => Promise<void>;
  /** Orders; answers whether it is written down. */
  readonly order: (typed: OrderModel) => Promise<boolean>;
  readonly failure: string;
}

/** Sends an order once: one that was sent and could not be written down is not sent again. */
function useSending(): (lines: readonly LineSent[]) => Promise<SupplierOrder | null> {
  const sent = useRef<{ readonly key: string; readonly order: SupplierOrder } | null>(null);
  return async (lines) => {
    const key = JSON.stringify(lines);
    if (sent.current?.key === key) return sent.current.order;
    const order = await sendOrder(lines);
    if (order !== null) sent.current = { key, order };
    return order;
  };
}

/** An order that is being written, and the ways to ask, to send it and to write it down. */
export function useOrderForm({ catalogue, source, rows }: OrderFormProps): OrderInHand {
  const today = formatDay(useAppSelector((state) => state.session.today));
  const form = useForm({
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
  const { model } = form;
  const found = useSupplier() ?? null;
  const supplier = found === model.source.trim() ? found : null;
  const navigate = useNavigate();
  const send = useSending();
  const { place, failure, fail } = useOrdering();
  const [answer, setAnswer] = useState<SupplierAnswer | null>(null);
  const order = async (typed: OrderModel): Promise<boolean> => {
    const placed = orderOf(typed, catalogue);
    if (placed.lines.length === 0) return (await place(placed)) !== null;
    const sent = supplier === null ? null : await send(linesSent(typed, catalogue));
    if (supplier !== null && sent === null) {
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
  return { form, supplier, answer, ask, order, failure };
}
