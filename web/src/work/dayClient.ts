import { wrap, type Remote } from "comlink";
import type { Days } from "./day.worker.js";

let remote: Remote<Days> | null = null;

/** The reckoning of other days than today, in a worker of its own that starts with the first of them. */
export function otherDays(): Remote<Days> {
  remote ??= wrap<Days>(
    new Worker(new URL("./day.worker.ts", import.meta.url), { type: "module" }),
  );
  return remote;
}
