import type { Book, MachineId, MachinePlate, Part, Product } from "@yonderfell/core";
import { useBook } from "../../session/openBook.js";
import { useLiveOf } from "../../data/useLiveOf.js";

/** A machine's plate with the parts and products of the book. */
export interface PlateInBook {
  readonly plate: MachinePlate;
  readonly parts: readonly Part[];
  readonly products: readonly Product[];
  readonly settings: Book["settings"];
}

/** A machine's plate, current as it changes; undefined until read. */
export function usePlate(id: MachineId): PlateInBook | undefined {
  const { storage } = useBook();
  const read = async (): Promise<PlateInBook> => {
    const [plate, parts, products, settings] = await Promise.all([
      storage.plate(id),
      storage.list("parts"),
      storage.list("products"),
      storage.ownSettings(),
    ]);
    return { plate, parts, products, settings };
  };
  return useLiveOf(id, read, [storage]);
}
