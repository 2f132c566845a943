import { wrap, type Remote } from "comlink";
import type { Exchange } from "./exchange.js";

let worker: Worker | null = null;
let remote: Remote<Exchange> | null = null;

/** The exchange of files, in a worker of its own that starts with the first use. */
export function exchange(): Remote<Exchange> {
  worker ??= new Worker(new URL("./exchange.worker.ts", import.meta.url), { type: "module" });
  remote ??= wrap<Exchange>(worker);
  return remote;
}

/** Ends whatever the exchange is at; what was asked of it is never answered. It stores nothing while it only reads. */
export function endExchange(): void {
  worker?.terminate();
  [worker, remote] = [null, null];
}
