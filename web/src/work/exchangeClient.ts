import { wrap, type Remote } from "comlink";
import type { Exchange } from "./exchange.js";

/** An exchange of files in a worker of its own, which starts with the first use. */
class Exchanging {
  private worker: Worker | null = null;
  private remote: Remote<Exchange> | null = null;

  get(): Remote<Exchange> {
    this.worker ??= new Worker(new URL("./exchange.worker.ts", import.meta.url), {
      type: "module",
    });
    this.remote ??= wrap<Exchange>(this.worker);
    return this.remote;
  }

  end(): void {
    this.worker?.terminate();
    [this.worker, this.remote] = [null, null];
  }
}

const out = new Exchanging();
const coming = new Exchanging();

/** Files out, and copies of books. */
export const exchange = (): Remote<Exchange> => out.get();

/** A file that comes in: it holds the one last looked at. By itself, so that ending it ends no export. */
export const fileIn = (): Remote<Exchange> => coming.get();

/** Ends the looking through a file; what was asked is never answered, and nothing is stored by it. */
export const endLooking = (): void => coming.end();
