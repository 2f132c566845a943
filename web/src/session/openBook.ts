import { createContext, use } from "react";
import type { BookStorage, Surroundings } from "../data/bookStorage.js";
import { newId } from "../data/newId.js";
import type { BookEntry } from "../data/registry.js";
import { store } from "./store.js";

/** The book that is open. */
export interface OpenBook {
  readonly entry: BookEntry;
  readonly storage: BookStorage;
}

/** Gives the open book to all that stands inside. */
export const OpenBookContext = createContext<OpenBook | null>(null);

/** The book that is open; only for what stands inside {@link OpenBookProvider}. */
export function useBook(): OpenBook {
  const book = use(OpenBookContext);
  if (book === null) throw new Error("no book is open here");
  return book;
}

/** What a command is told of the world at this moment. */
export function surroundings(): Surroundings {
  return {
    today: store.getState().session.today,
    newId,
    now: new Date().toISOString(),
  };
}
