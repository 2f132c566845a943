import {
  plateNow,
  type Book,
  type MachineBook,
  type MachineId,
  type MachinePlate,
  type Part,
  type Person,
  type Product,
} from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";

/** What the work on a machine is reckoned from: its records, its plate, what is bought for it, who does it. */
export interface WorkSource {
  readonly book: MachineBook;
  readonly plate: MachinePlate;
  readonly parts: readonly Part[];
  readonly products: readonly Product[];
  readonly people: readonly Person[];
  readonly settings: Book["settings"];
}

/** That of one machine, current as it changes; undefined until read, null where there is none. */
export function useWorkSource(id: MachineId | undefined): WorkSource | null | undefined {
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  return useLiveQuery(async (): Promise<WorkSource | null> => {
    const book = id === undefined ? null : await storage.machineBook(id);
    if (id === undefined || book === null) return null;
    const [plate, parts, products, people, settings] = await Promise.all([
      storage.plate(id),
      storage.list("parts"),
      storage.list("products"),
      storage.list("people"),
      storage.ownSettings(),
    ]);
    return { book, plate: plateNow(plate, book, today), parts, products, people, settings };
  }, [storage, id, today]);
}
