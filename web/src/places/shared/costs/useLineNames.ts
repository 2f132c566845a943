import type { UnpricedLine } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useBook } from "../../../session/openBook.js";

/** What a line was: the name the book knows, else the words that stand there. */
export type LineNames = (line: Pick<UnpricedLine, "kind" | "what">) => string;

interface Known {
  readonly currency: string;
  readonly nameOf: LineNames;
}

/** What money is called in the book, and what lines of its entries are called; undefined until read. */
export function useLineNames(): Known | undefined {
  const { storage } = useBook();
  return useLiveQuery(async (): Promise<Known> => {
    const [parts, products, people, settings] = await Promise.all([
      storage.list("parts"),
      storage.list("products"),
      storage.list("people"),
      storage.ownSettings(),
    ]);
    const names = new Map<string, string>([
      ...parts.map(({ id, number, name }) => [id, `${number} ${name}`] as const),
      ...products.map(({ id, name }) => [id, name] as const),
      ...people.map(({ id, name }) => [id, name] as const),
    ]);
    return {
      currency: settings?.currency ?? "",
      // A fluid that went in from no product the book knows goes by its system, which its plate names.
      nameOf: ({ kind, what }) =>
        names.get(what) ?? (kind === "fluids" ? "a product not said" : what),
    };
  }, [storage]);
}
