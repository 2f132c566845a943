import { Router } from "express";
import { sendEvent, type EventStreams } from "./eventStreams.js";
import { SIMULATED_CODES, simulatedEngine } from "./simulatedEngine.js";

/** How the simulated plug is set up. */
export interface PlugOptions {
  /** The clock it goes by, milliseconds. */
  readonly clock: () => number;
  /** The codes that the simulated machine raises. */
  readonly codes: readonly string[];
  /** So often it tells what it reads, milliseconds. */
  readonly every: number;
}

export const PLUG: PlugOptions = { clock: Date.now, codes: SIMULATED_CODES, every: 1000 };

/** So long nobody reads it and the simulated machine is cold again. */
const COOLS_IN_MS = 600_000;

/**
 * The simulated diagnostic plug (docs/formats/stand-ins.md): an event `plug` that says what it is, then an event `reading` at
 * once and every second. The machine starts when it is first read, and all who read it read the same one.
 */
export function simulatedPlug(streams: EventStreams, { clock, codes, every }: PlugOptions): Router {
  let startedAt: number | null = null;
  let lastReadAt = 0;
  const router = Router();
  router.get("/stand-ins/plug", (request, response) => {
    const opened = clock();
    if (startedAt === null || opened - lastReadAt > COOLS_IN_MS) startedAt = opened;
    const start = startedAt;
    const tell = (): void => {
      lastReadAt = clock();
      sendEvent(response, "reading", simulatedEngine((lastReadAt - start) / 1000, codes));
    };
    const timer = setInterval(tell, every);
    streams.open(request, response, () => clearInterval(timer));
    sendEvent(response, "plug", { name: "Simulated diagnostic plug", simulated: true });
    tell();
  });
  return router;
}
