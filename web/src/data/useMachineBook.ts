import type { MachineBook, MachineId, Settings } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useBook } from "../app/openBook.js";

/** A machine's part of the open book and the book's settings, current as they change; undefined until read, null where there is none. */
export function useMachineBook(
  id: MachineId | null,
): { readonly book: MachineBook; readonly settings: Settings } | null | undefined {
  const { storage } = useBook();
  return useLiveQuery(async () => {
    const book = id === null ? null : await storage.machineBook(id);
    return book === null ? null : { book, settings: await storage.settings() };
  }, [storage, id]);
}
