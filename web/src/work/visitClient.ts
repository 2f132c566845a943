import { KeeperClient, type KeeperListener } from "./keeperClient.js";
import type { PlannedMachine, VisitsUpdate } from "./visitKeeper.js";

/** The way to the worker that plans the visits of a book; an update is handed on once it is whole. */
export function visitClient(
  database: string,
  listener: KeeperListener<VisitsUpdate>,
): KeeperClient<VisitsUpdate> {
  const worker = new Worker(new URL("./visits.worker.ts", import.meta.url), { type: "module" });
  let machines: PlannedMachine[] = [];
  return new KeeperClient(worker, database, listener, (update, isLast) => {
    machines.push(...update.machines);
    if (!isLast) return;
    listener.onUpdate({ ...update, machines });
    machines = [];
  });
}
