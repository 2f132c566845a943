import { wrap, type Remote } from "comlink";
import type { Tables } from "./tables.js";

let remote: Remote<Tables> | null = null;

/** Tables in and out, in a worker of their own that starts with the first use. */
export function tables(): Remote<Tables> {
  remote ??= wrap<Tables>(
    new Worker(new URL("./tables.worker.ts", import.meta.url), { type: "module" }),
  );
  return remote;
}
