import { wrap, type Remote } from "comlink";
import type { Tracer } from "./tracer.js";

let remote: Remote<Tracer> | null = null;

/** The second traces of the books, in a worker of their own that starts with the first use. */
export function tracer(): Remote<Tracer> {
  remote ??= wrap<Tracer>(
    new Worker(new URL("./trace.worker.ts", import.meta.url), { type: "module" }),
  );
  return remote;
}
