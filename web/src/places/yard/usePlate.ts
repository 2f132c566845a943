import type { Book, MachineId, MachinePlate, Part, Product } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useBook } from "../../app/openBook.js";

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
  return useLiveQuery(async () => {
    const [plate, parts, products, settings] = await Promise.all([
      storage.plate(id),
      storage.list("parts"),
      storage.list("products"),
      storage.ownSettings(),
    ]);
    return { plate, parts, products, settings };
  }, [storage, id]);
}
