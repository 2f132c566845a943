import { useLiveQuery } from "dexie-react-hooks";
import { useBook } from "../../../session/openBook.js";
import type { BoardNames } from "./boardGroups.js";

const named = (
  list: readonly { readonly id: string; readonly name: string }[],
): ReadonlyMap<string, string> => new Map(list.map(({ id, name }) => [id, name]));

/** No place and no person is known by name. */
export const NO_NAMES: BoardNames = { places: new Map(), people: new Map() };

/** What the places and people of the open book are called; undefined until read. */
export function useBoardNames(): BoardNames | undefined {
  const { storage } = useBook();
  return useLiveQuery(async () => {
    const places = named(await storage.list("places"));
    return { places, people: named(await storage.list("people")) };
  }, [storage]);
}
