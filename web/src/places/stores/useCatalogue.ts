import { catalogueOf, type Catalogue, type Part, type Product } from "@yonderfell/core";
import { useMemo } from "react";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";

/** Parts and products, in the order of the book and to be looked up. */
export interface OpenCatalogue extends Catalogue {
  readonly listed: { readonly parts: readonly Part[]; readonly products: readonly Product[] };
}

/** The parts and products of the open book; undefined until they are read. */
export function useCatalogue(): OpenCatalogue | undefined {
  const { storage } = useBook();
  const read = async (): Promise<OpenCatalogue["listed"]> => {
    const [parts, products] = await Promise.all([storage.list("parts"), storage.list("products")]);
    return { parts, products };
  };
  const listed = useLiveOf("catalogue", read, [storage]);
  return useMemo(
    () => (listed === undefined ? undefined : { ...catalogueOf(listed), listed }),
    [listed],
  );
}

/** The items of a catalogue to choose from: key, and what each is called. */
export function itemChoices({ listed }: OpenCatalogue): (readonly [string, string])[] {
  return [
    ...listed.parts.map(
      ({ id, number, name }) => [`part ${id}`, `${number} ${name}`] as readonly [string, string],
    ),
    ...listed.products.map(({ id, name }) => [`product ${id}`, name] as readonly [string, string]),
  ];
}
