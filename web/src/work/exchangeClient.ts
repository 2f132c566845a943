import { wrap, type Remote } from "comlink";
import type { Exchange } from "./exchange.js";

let remote: Remote<Exchange> | null = null;

/** The exchange of files, in a worker of its own that starts with the first use. */
export function exchange(): Remote<Exchange> {
  remote ??= wrap<Exchange>(
    new Worker(new URL("./exchange.worker.ts", import.meta.url), { type: "module" }),
  );
  return remote;
}
