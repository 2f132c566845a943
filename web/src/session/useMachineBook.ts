import type { MachineBook, MachineId, Settings } from "@yonderfell/core";
import { useRef } from "react";
import { useBook } from "./openBook.js";
import { useLiveOf } from "../data/useLiveOf.js";

interface FoundBook {
  readonly book: MachineBook;
  readonly settings: Settings;
}

/** A machine's part of the open book and the book's settings, current as they change; undefined until read, null where there is none. */
export function useMachineBook(id: MachineId | null): FoundBook | null | undefined {
  const { storage } = useBook();
  const last = useRef<FoundBook | null>(null);
  const read = async (): Promise<FoundBook | null> => {
    const book = id === null ? null : await storage.machineBook(id);
    if (book !== null) {
      last.current = { book, settings: await storage.settings() };
      return last.current;
    }
    // A store that was cleared away under the page leaves it as it is: what is typed can still be copied.
    const isHeld = last.current?.book.machines[0].id === id && (await storage.copy()) === "";
    return isHeld ? last.current : null;
  };
  return useLiveOf(id, read, [storage]);
}
