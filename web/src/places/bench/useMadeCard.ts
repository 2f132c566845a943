import {
  makeCard,
  stockOn,
  type CardFrom,
  type Finding,
  type MadeCard,
  type MachineId,
  type StockList,
  type TaskId,
} from "@yonderfell/core";
import { useMemo } from "react";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
import { useAppSelector } from "../../session/store.js";
import { useWorkSource, type WorkSource } from "../../session/useWorkSource.js";

/** What is on hand, where anything is kept on a shelf; null until it is read. */
function useOnHand(): StockList | null {
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const read = async (): Promise<StockList | null> => {
    const stockMoves = await storage.list("stockMoves");
    if (stockMoves.length === 0) return null;
    const [parts, products, entries] = await Promise.all([
      storage.list("parts"),
      storage.list("products"),
      storage.list("entries"),
    ]);
    return stockOn({ parts, products, entries, stockMoves }, today);
  };
  return useLiveOf("on hand", read, [storage, today]) ?? null;
}

/** A card that is made, and what it is made from. */
export interface FoundCard {
  readonly card: MadeCard;
  readonly source: WorkSource;
  readonly from: CardFrom;
}

/** The card for tasks and findings of a machine: undefined until it is made, null where there is no such machine. */
export function useMadeCard(
  machine: MachineId | undefined,
  tasks: readonly string[],
  findings: readonly string[],
): FoundCard | null | undefined {
  const { storage } = useBook();
  const source = useWorkSource(machine);
  const methods = useLiveOf("methods", () => storage.list("methods"), [storage]);
  const onHand = useOnHand();
  const key = JSON.stringify([tasks, findings]);
  return useMemo(() => {
    if (source === undefined || methods === undefined) return undefined;
    if (source === null) return null;
    const [own] = source.book.machines;
    const [wanted, found] = JSON.parse(key) as readonly [readonly TaskId[], readonly string[]];
    const { plate, parts, products, stockMoves } = source;
    const from = { machine: own, plate, parts, products, stockMoves, methods, onHand };
    const chosen = source.book.tasks.filter(({ id }) => wanted.includes(id));
    const put: readonly Finding[] = source.book.findings.filter(({ id }) => found.includes(id));
    return { card: makeCard(chosen, from, put), source, from };
  }, [source, methods, onHand, key]);
}
