import type { Gallons } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useBook } from "./openBook.js";

/** Whose quarts and gallons a bare word means in the book, where a machine says nothing; null where it does not say. */
export function useBookGallons(): Gallons | null {
  const { storage } = useBook();
  const settings = useLiveQuery(() => storage.ownSettings(), [storage]);
  return settings?.gallons ?? null;
}
