import {
  insideOf,
  plateNow,
  type Book,
  type FluidId,
  type MachineId,
  type MachinePlate,
  type Part,
  type Product,
  type ProductInside,
} from "@yonderfell/core";
import { useBook } from "../../session/openBook.js";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useAppSelector } from "../../session/store.js";

/** A machine's plate with the parts and products of the book. */
export interface PlateInBook {
  readonly plate: MachinePlate;
  /** The same with what is in each fluid now, as the log has it. */
  readonly now: MachinePlate;
  readonly inside: ReadonlyMap<FluidId, ProductInside>;
  readonly parts: readonly Part[];
  readonly products: readonly Product[];
  readonly settings: Book["settings"];
}

/** A machine's plate, current as it changes; undefined until read. */
export function usePlate(id: MachineId): PlateInBook | undefined {
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const read = async (): Promise<PlateInBook> => {
    const [plate, book, parts, products, settings] = await Promise.all([
      storage.plate(id),
      storage.machineBook(id),
      storage.list("parts"),
      storage.list("products"),
      storage.ownSettings(),
    ]);
    const done = book ?? { tasks: [], entries: [] };
    const inside = insideOf(plate, done, today);
    return { plate, now: plateNow(plate, done, today), inside, parts, products, settings };
  };
  return useLiveOf(id, read, [storage, today]);
}
