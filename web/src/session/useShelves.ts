import type { DayNumber } from "@yonderfell/core";
import { shelvesReckoned } from "../work/shelvesClient.js";
import type { Shelves } from "../work/shelves.worker.js";
import { useBeside, type Beside } from "./useBeside.js";

/** What stands on the shelves and in the containers, as far as it is reckoned. */
interface ShelvesSoFar extends Omit<Beside<Shelves>, "answer"> {
  /** That from before while a change is reckoned, null before the first. */
  readonly shelves: Shelves | null;
}

const ask = (database: string, today: DayNumber): Promise<Shelves> =>
  shelvesReckoned().shelvesOn(database, today);

/** What stands on the shelves and in the containers today, reckoned beside the page, anew after each change. */
export function useShelves(): ShelvesSoFar {
  const { answer: shelves, seq, failure } = useBeside(ask);
  return { shelves, seq, failure };
}
