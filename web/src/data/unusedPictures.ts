import { PICTURED_SECTIONS, pictureHashes, type Section } from "@yonderfell/core";
import type { BookDatabase } from "./bookDatabase.js";
import { readSection } from "./bookSlices.js";
import { possibleHashes } from "./pictureHashes.js";

/** The hashes of all pictures that records refer to, within the running transaction. */
export async function hashesInUse(database: BookDatabase): Promise<Set<string>> {
  const used = new Set<string>();
  for (const section of PICTURED_SECTIONS) {
    for (const record of await readSection<Section>(database, section)) {
      for (const hash of pictureHashes(section, record)) used.add(hash);
    }
  }
  return used;
}

/** Drops the pictures that nothing refers to and that were kept before an instant, within the running transaction; answers how many. */
export async function dropUnused(database: BookDatabase, keptBefore: string): Promise<number> {
  const used = await hashesInUse(database);
  const old = database.pictures.filter(
    ({ hash, keptAt }) => keptAt < keptBefore && !used.has(hash),
  );
  const keys: string[] = await old.primaryKeys();
  if (keys.length === 0) return 0;
  // What can still be undone, or stands in a draft, is kept as well.
  await database.journal.each((line) => {
    for (const hash of possibleHashes(line.change)) used.add(hash);
  });
  await database.drafts.each((draft) => {
    for (const hash of possibleHashes(draft.value)) used.add(hash);
  });
  const unused = keys.filter((hash) => !used.has(hash));
  await database.pictures.bulkDelete(unused);
  return unused.length;
}
