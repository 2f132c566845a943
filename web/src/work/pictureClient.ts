import { wrap, type Remote } from "comlink";
import type { Pictures } from "./picture.worker.js";

let remote: Remote<Pictures> | null = null;

/** The work on pictures, in a worker of its own that starts with the first one. */
export function pictures(): Remote<Pictures> {
  remote ??= wrap<Pictures>(
    new Worker(new URL("./picture.worker.ts", import.meta.url), { type: "module" }),
  );
  return remote;
}
