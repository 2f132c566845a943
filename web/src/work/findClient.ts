import { wrap, type Remote } from "comlink";
import type { Search } from "./find.worker.js";

let remote: Remote<Search> | null = null;

/** The search of the open book, in a worker of its own that starts with the first use. */
export function search(): Remote<Search> {
  remote ??= wrap<Search>(
    new Worker(new URL("./find.worker.ts", import.meta.url), { type: "module" }),
  );
  return remote;
}
