import { wrap, type Remote } from "comlink";
import type { Room } from "./room.worker.js";

let remote: Remote<Room> | null = null;

/** The search for what makes room in a week, in a worker of its own that starts with the first week too full. */
export function roomSearch(): Remote<Room> {
  remote ??= wrap<Room>(
    new Worker(new URL("./room.worker.ts", import.meta.url), { type: "module" }),
  );
  return remote;
}
