import type { Part, Price, Product } from "@yonderfell/core";

/** Everyone who asks a price for anything, by name. */
export function sourcesIn(
  listed: { readonly parts: readonly Part[]; readonly products: readonly Product[] } | undefined,
): string[] {
  if (listed === undefined) return [];
  const prices: readonly Price[] = [
    ...listed.parts.flatMap((part) => part.prices ?? []),
    ...listed.products.flatMap(({ packs }) => (packs ?? []).flatMap((pack) => pack.prices ?? [])),
  ];
  return [...new Set(prices.map(({ source }) => source))].sort((one, other) =>
    one.localeCompare(other, "en"),
  );
}
