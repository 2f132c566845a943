import { Dexie } from "dexie";

/** A tenth of a version is the browser's own. */
const NATIVE = 10;

/**
 * Leaves a database alone that a newer version of the program has made: the library would open it all
 * the same, and write into a form it does not know. Told when all versions of `database` are declared.
 */
export function refuseNewer(database: Dexie): void {
  const known = database.verno;
  database.on(
    "ready",
    () => {
      if (database.backendDB().version <= known * NATIVE) return;
      throw new Dexie.VersionError(
        `version ${database.backendDB().version} is newer than ${known}`,
      );
    },
    true,
  );
}
