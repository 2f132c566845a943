import {
  plateNow,
  type Book,
  type MachineBook,
  type MachineId,
  type MachinePlate,
  type Part,
  type Person,
  type Product,
  type StockMove,
} from "@yonderfell/core";
import { useLiveOf } from "../data/useLiveOf.js";
import { useRef } from "react";
import { useBook } from "./openBook.js";
import { useAppSelector } from "./store.js";

/** What the work on a machine is reckoned from: its records, its plate, what is bought for it, who does it. */
export interface WorkSource {
  readonly book: MachineBook;
  readonly plate: MachinePlate;
  readonly parts: readonly Part[];
  readonly products: readonly Product[];
  readonly people: readonly Person[];
  readonly stockMoves: readonly StockMove[];
  readonly settings: Book["settings"];
}

/** That of one machine, current as it changes; undefined until read, null where there is none. */
export function useWorkSource(id: MachineId | undefined): WorkSource | null | undefined {
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const last = useRef<WorkSource | null>(null);
  const read = async (): Promise<WorkSource | null> => {
    const book = id === undefined ? null : await storage.machineBook(id);
    if (id === undefined || book === null) {
      // A store that was cleared away under the page leaves it as it is: what is typed can still be copied.
      const isHeld = last.current?.book.machines[0].id === id && (await storage.copy()) === "";
      return isHeld ? last.current : null;
    }
    const [plate, parts, products, people, stockMoves, settings] = await Promise.all([
      storage.plate(id),
      storage.list("parts"),
      storage.list("products"),
      storage.list("people"),
      storage.list("stockMoves"),
      storage.ownSettings(),
    ]);
    const now = plateNow(plate, book, today);
    last.current = { book, plate: now, parts, products, people, stockMoves, settings };
    return last.current;
  };
  return useLiveOf(id ?? "", read, [storage, today]);
}
