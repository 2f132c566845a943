import { itemKey, type ShelfItem } from "@yonderfell/core";

/** What of the shelves is shown. */
export const SHOWN = ["all", "short", "disagree", "still"] as const;
export type Shown = (typeof SHOWN)[number];

/** What is shown, in words. */
export const SHOWN_WORDS: Readonly<Record<Shown, string>> = {
  all: "Everything",
  short: "Below its least",
  disagree: "Counts that do not agree",
  still: "Not moved for a year",
};

/** The shelves there are, by name. */
export const shelvesIn = (items: readonly ShelfItem[]): string[] =>
  [...new Set(items.flatMap(({ shelves }) => shelves))].sort((one, other) =>
    one.localeCompare(other, "en", { numeric: true }),
  );

/** An item by a key of its own. */
export const keyOfShelfItem = ({ item }: ShelfItem): string => itemKey(item);

const isShown: Readonly<Record<Shown, (item: ShelfItem) => boolean>> = {
  all: () => true,
  short: ({ stock }) => stock.short,
  disagree: ({ stock }) => stock.onHand < 0,
  still: (item) => item.isStill,
};

/** The items of a shelf that fit some words, what is to be looked at first. */
export function shownItems(
  items: readonly ShelfItem[],
  {
    shelf,
    words,
    shown,
  }: { readonly shelf: string; readonly words: string; readonly shown: Shown },
): ShelfItem[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  const urgency = ({ stock }: ShelfItem): number => (stock.onHand < 0 ? 0 : stock.short ? 1 : 2);
  return items
    .filter(({ shelves }) => shelf === "" || shelves.includes(shelf))
    .filter(isShown[shown])
    .filter(({ number, name }) =>
      wanted.every((word) => `${number} ${name}`.toLowerCase().includes(word)),
    )
    .sort((one, other) => urgency(one) - urgency(other));
}

/** What some items are worth together, and how many of them have no price. */
export function worthOf(items: readonly ShelfItem[]): {
  readonly worth: number;
  readonly unpriced: number;
} {
  const held = items.filter(({ stock }) => stock.onHand > 0);
  return {
    worth: held.reduce((sum, { worth }) => sum + (worth ?? 0), 0),
    unpriced: held.filter(({ worth }) => worth === null).length,
  };
}
