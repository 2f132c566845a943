import { wrap, type Remote } from "comlink";
import type { Costs } from "./costs.worker.js";

let remote: Remote<Costs> | null = null;

/** The reckoning of what machines cost, in a worker of its own that starts with the first that is asked for. */
export function costsReckoned(): Remote<Costs> {
  remote ??= wrap<Costs>(
    new Worker(new URL("./costs.worker.ts", import.meta.url), { type: "module" }),
  );
  return remote;
}
