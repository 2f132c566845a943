import { useWindowVirtualizer, type VirtualItem, type Virtualizer } from "@tanstack/react-virtual";
import { useLayoutEffect, useRef, useState, type RefObject } from "react";

/** So many pixels above and below what is in sight are kept drawn, for keys that travel out of sight. */
const KEPT_BESIDE = 500;

/** The part of a long list that is in sight. */
export interface Windowed<E extends HTMLElement> {
  readonly list: RefObject<E | null>;
  readonly shown: readonly VirtualItem[];
  /** The height of the whole list, and of what stands before the first shown. */
  readonly height: number;
  readonly before: number;
  readonly measure: Virtualizer<Window, Element>["measureElement"];
}

/** Which items of a long list are in sight while the page is scrolled. */
export function useWindowed<Item, E extends HTMLElement>(
  items: readonly Item[],
  keyOf: (item: Item) => string,
  heightOf: (item: Item) => number,
): Windowed<E> {
  const list = useRef<E>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    setTop((list.current?.getBoundingClientRect().top ?? 0) + window.scrollY);
  }, []);
  const usual = items[0] === undefined ? KEPT_BESIDE : heightOf(items[0]);
  const virtualizer = useWindowVirtualizer({
    count: items.length,
    estimateSize: (index) => heightOf(items[index] as Item),
    getItemKey: (index) => keyOf(items[index] as Item),
    overscan: Math.floor(KEPT_BESIDE / usual),
    scrollMargin: top,
  });
  const shown = virtualizer.getVirtualItems();
  const height = virtualizer.getTotalSize();
  const before = (shown[0]?.start ?? top) - top;
  return { list, shown, height, before, measure: virtualizer.measureElement };
}
