import type { Gallons, Machine } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useBook } from "../../../session/openBook.js";

/** Whose quarts and gallons a bare word means on a machine: its own, else the book's; null where neither says. */
export function useGallons(machine: Machine | null): Gallons | null {
  const { storage } = useBook();
  const settings = useLiveQuery(() => storage.ownSettings(), [storage]);
  return machine?.gallons ?? settings?.gallons ?? null;
}
