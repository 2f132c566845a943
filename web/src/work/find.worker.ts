import { expose } from "comlink";
import { DexieBoardSource } from "../data/dexieBoardSource.js";
import { Finder, type Found } from "./finder.js";

const finders = new Map<string, Finder>();

/** Finds in the book of a database. */
const search = {
  find(database: string, words: string, limit: number): Promise<readonly Found[]> {
    const finder = finders.get(database) ?? new Finder(new DexieBoardSource(database));
    finders.set(database, finder);
    return finder.find(words, limit);
  },
};

export type Search = typeof search;

expose(search);
