import type { Remote } from "comlink";
import { Endable } from "./endable.js";
import type { Exchange } from "./exchange.js";

const start = (): Worker =>
  new Worker(new URL("./exchange.worker.ts", import.meta.url), { type: "module" });

const out = new Endable<Exchange>(start);
const coming = new Endable<Exchange>(start);

/** Files out, and copies of books. */
export const exchange = (): Remote<Exchange> => out.get();

/** A file that comes in: it holds the one last looked at. By itself, so that ending it ends no export. */
export const fileIn = (): Remote<Exchange> => coming.get();

/** Ends the looking through a file; what was asked is never answered, and nothing is stored by it. */
export const endLooking = (): void => coming.end();
