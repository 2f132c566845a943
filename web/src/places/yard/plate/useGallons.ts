import type { Gallons, Machine } from "@yonderfell/core";
import { useBookGallons } from "../../../session/useBookGallons.js";

/** Whose quarts and gallons a bare word means on a machine: its own, else the book's; null where neither says. */
export function useGallons(machine: Machine | null): Gallons | null {
  const ofBook = useBookGallons();
  return machine?.gallons ?? ofBook;
}
