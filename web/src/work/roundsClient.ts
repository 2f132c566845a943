import { wrap, type Remote } from "comlink";
import type { RoundsWork } from "./rounds.worker.js";

let remote: Remote<RoundsWork> | null = null;

/** The list of rounds, in a worker of its own that starts with the first that is asked for. */
export function roundsReckoned(): Remote<RoundsWork> {
  remote ??= wrap<RoundsWork>(
    new Worker(new URL("./rounds.worker.ts", import.meta.url), { type: "module" }),
  );
  return remote;
}
