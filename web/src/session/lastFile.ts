import { lastFileWords } from "../words/bookWords.js";
import { store } from "./store.js";

/** Where a book that is gone can be had from: the last file this tab knows of. */
export const lastFile = (): string => lastFileWords(store.getState().session.lastExport);
