import { useLiveQuery } from "dexie-react-hooks";
import { useMemo } from "react";
import { useBook } from "../../../app/openBook.js";
import type { BoardNames } from "./boardGroups.js";

/** What the places and people of the open book are called. */
export function useBoardNames(): BoardNames {
  const { storage } = useBook();
  const read = useLiveQuery(
    async () => ({ places: await storage.list("places"), people: await storage.list("people") }),
    [storage],
  );
  return useMemo(() => {
    const named = (list: readonly { readonly id: string; readonly name: string }[] = []) =>
      new Map(list.map(({ id, name }) => [id, name] as const));
    return { places: named(read?.places), people: named(read?.people) };
  }, [read]);
}
