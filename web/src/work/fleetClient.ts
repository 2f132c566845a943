import type { DayNumber, FleetNews } from "@yonderfell/core";
import { proxy } from "comlink";
import { Endable } from "./endable.js";
import type { Fleet } from "./fleet.worker.js";

const worker = new Endable<Fleet>(
  () => new Worker(new URL("./fleet.worker.ts", import.meta.url), { type: "module" }),
);

/** Looks for the best weeks of a fleet in a worker of its own; what was under way before is ended. */
export async function findFleet(
  database: string,
  today: DayNumber,
  tell: (news: FleetNews) => void,
): Promise<void> {
  worker.end();
  await worker.get().find(database, today, proxy(tell));
  worker.end();
}

/** Ends what is under way: what was told stands. */
export const endFleet = (): void => worker.end();
