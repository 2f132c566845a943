import type { ReactNode } from "react";

/** What a list of any length is made of. */
export interface LongListProps<Item> {
  readonly items: readonly Item[];
  readonly keyOf: (item: Item) => string;
  /** How high an item is likely to be, in pixels, before it is drawn. */
  readonly heightOf: (item: Item) => number;
  readonly draw: (item: Item) => ReactNode;
}
