import { wrap, type Remote } from "comlink";
import type { ShelvesWork } from "./shelves.worker.js";

let remote: Remote<ShelvesWork> | null = null;

/** The reckoning of shelves and containers, in a worker of its own that starts with the first that is asked for. */
export function shelvesReckoned(): Remote<ShelvesWork> {
  remote ??= wrap<ShelvesWork>(
    new Worker(new URL("./shelves.worker.ts", import.meta.url), { type: "module" }),
  );
  return remote;
}
