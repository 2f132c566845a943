import { useLiveQuery } from "dexie-react-hooks";
import { useBook } from "../../../session/openBook.js";

/** What stands behind an amount of money in the open book, empty where nothing does. */
export function useCurrency(): string {
  const { storage } = useBook();
  return useLiveQuery(() => storage.ownSettings(), [storage])?.currency ?? "";
}
