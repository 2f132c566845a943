import { supersededIds, type DatedRecord, type Entry, type MachineId } from "@yonderfell/core";
import type { BookDatabase } from "./bookDatabase.js";
import { crossingMachines, heldBy } from "./bookSlices.js";
import { crossingIn } from "./crossingRecords.js";
import { unpacked, type Held } from "./page.js";
import { pagesIn } from "./pagesIn.js";

/** So many pages are looked at together. */
const PAGES_AT_ONCE = 20;

type HeldEntry = Held<"entries">;

const latestFirst = ([onePlace, one]: HeldEntry, [otherPlace, other]: HeldEntry): number =>
  one.date === other.date ? otherPlace - onePlace : one.date < other.date ? 1 : -1;

/** The entries that stand, latest first, within the running transaction: only machines that may hold one of them are read. */
export async function readLatestEntries(
  database: BookDatabase,
  limit: number,
): Promise<readonly Entry[]> {
  const crossing = await crossingMachines(database);
  // A transaction with nothing asked of it would end here.
  const crossed =
    crossing.length === 0
      ? []
      : await crossingIn("entries", crossing, (id) => heldBy(database, id, "entries"));
  const foreign = crossed.map(([, record]) => record);
  const looked = new Set<string>();
  let found: HeldEntry[] = [];
  for (let from = 0; ; from += PAGES_AT_ONCE) {
    const pages = await database.pages
      .orderBy("newest")
      .reverse()
      .offset(from)
      .limit(PAGES_AT_ONCE)
      .toArray();
    const oldest = found[limit - 1]?.[1].date;
    const next = pages[0]?.newest;
    // What is not read yet is no later than the next page's newest.
    if (next === undefined || (oldest !== undefined && next < oldest)) break;
    const machines = new Set(pages.map(({ machine }) => machine));
    for (const machine of machines) {
      if (looked.has(machine)) continue;
      looked.add(machine);
      found.push(...(await standing(database, machine as MachineId, foreign)));
    }
    found = found.sort(latestFirst).slice(0, limit);
  }
  return found.map(([, entry]) => entry);
}

/** The entries of a machine that are neither replaced nor withdrawn. */
async function standing(
  database: BookDatabase,
  machine: MachineId,
  foreign: readonly Entry[],
): Promise<HeldEntry[]> {
  const held = unpacked<"entries">(await pagesIn(database, machine, "entries"));
  const all: readonly DatedRecord[] = [...held.map(([, record]) => record), ...foreign];
  const superseded = supersededIds(all);
  return held.filter(([, { id, void: isVoid }]) => isVoid !== true && !superseded.has(id));
}
