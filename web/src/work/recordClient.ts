import type { Remote } from "comlink";
import { Endable } from "./endable.js";
import type { RecordWork } from "./record.worker.js";

const worker = new Endable<RecordWork>(
  () => new Worker(new URL("./record.worker.ts", import.meta.url), { type: "module" }),
);

/** The making of service records, in a worker of its own that starts with the first that is asked for. */
export const records = (): Remote<RecordWork> => worker.get();

/** Ends what is under way: it is never answered. */
export const endRecords = (): void => worker.end();
