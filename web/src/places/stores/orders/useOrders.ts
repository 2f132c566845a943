import {
  closeLine,
  isOpenOrder,
  placeOrder,
  receiveOrder,
  type CameOf,
  type Order,
  type OrderIssue,
  type OrderPlaced,
} from "@yonderfell/core";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";
import { useCommands } from "../../../session/useCommands.js";
import { orderIssueWords } from "./orderWords.js";

/** What is done with orders. */
interface Ordering {
  /** Answers the id of the order; null where it was not written down. */
  readonly place: (placed: OrderPlaced) => Promise<string | null>;
  readonly receive: (id: string, on: string, came: readonly CameOf[]) => Promise<boolean>;
  readonly close: (id: string, line: number, reason: string) => Promise<boolean>;
  readonly failure: string;
  readonly fail: (words: string) => void;
}

/** The ways to order, and to take in what comes. */
export function useOrdering(): Ordering {
  const { run, failure, fail } = useCommands<OrderIssue>(orderIssueWords);
  return {
    place: async (placed) => {
      const saved = await run(
        (storage, around) =>
          storage.performShared(
            ["orders"],
            (_slice, context) => placeOrder(placed, context),
            around,
          ),
        "Ordered, and written down.",
      );
      return saved?.change.records[0]?.id ?? null;
    },
    receive: async (id, on, came) => {
      const saved = await run(
        (storage, around) =>
          storage.performShared(
            ["orders", "parts", "products"],
            (slice, context) => receiveOrder(slice, id, on, came, context),
            around,
          ),
        "Taken in: on the shelf, at its price.",
      );
      return saved !== null;
    },
    close: async (id, line, reason) => {
      const saved = await run(
        (storage, around) =>
          storage.performShared(["orders"], (slice) => closeLine(slice, id, line, reason), around),
        "Closed.",
      );
      return saved !== null;
    },
    ...{ failure, fail },
  };
}

/** The orders of the open book, those of which something is to come first, the latest first; undefined until they are read. */
export function useOrders(): readonly Order[] | undefined {
  const { storage } = useBook();
  return useLiveOf(
    "orders",
    async () => {
      const orders = await storage.list("orders");
      const rank = (order: Order): number => (isOpenOrder(order) ? 0 : 1);
      return orders.toSorted(
        (one, other) => rank(one) - rank(other) || other.placed.localeCompare(one.placed),
      );
    },
    [storage],
  );
}
