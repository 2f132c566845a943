import type { DayNumber } from "@yonderfell/core";
import type { Keeper, KeptUpdate } from "../src/work/kept/keeper.js";

/** What has changed in what is kept, once all of it is known; null where nothing has. */
export async function refreshed<Update extends KeptUpdate>(
  keeper: Keeper<Update>,
  today: DayNumber,
): Promise<Update | null> {
  let last: Update | null = null;
  for await (const update of keeper.refresh(today)) last = update;
  return last;
}
