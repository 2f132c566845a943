import { useEffect, type ReactElement } from "react";
import type { BookEntry } from "../data/registry.js";
import { laterCode } from "../data/dexieStorage.js";
import ExportReminder from "./ExportReminder.js";
import Kept from "./Kept.js";
import NewerVersion from "./NewerVersion.js";
import { notifyFailure } from "../session/notify.js";
import { errorWords, isOfStore } from "../words/errorWords.js";
import { useBook } from "../session/openBook.js";
import { StorageFailures } from "./StorageFailures.js";

const A_DAY_MS = 86_400_000;

/** What other tabs and older programs have saved is traced as well, under the name the book goes by. */
function useSecondTrace(entry: BookEntry): void {
  const { id, name, isDemonstration, database } = entry;
  useEffect(() => {
    const own = { id, name, isDemonstration, database };
    void import("../session/secondTrace.js")
      .then(({ beginTrace }) => beginTrace(own))
      // Its folder may be cleared away while it is looked at.
      .catch((error: unknown) =>
        notifyFailure(`The second trace could not be looked at: ${errorWords(error)}.`),
      );
  }, [id, name, isDemonstration, database]);
}

/** What comes once the board is in sight: the code that writes and that plans, what the tab kept of its look, words about exports and newer versions. */
export default function OnceShown(): ReactElement {
  const { entry, storage } = useBook();
  useSecondTrace(entry);
  useEffect(() => {
    void laterCode();
    void import("./VisitPlans.js");
    // Pictures of a day ago that nothing refers to any more; a form may still hold a newer one.
    const yesterday = new Date(Date.now() - A_DAY_MS).toISOString();
    storage.dropUnusedPictures(yesterday).catch((error: unknown) => {
      // Another tab may have taken the book over meanwhile, or the store be gone: whoever comes next tidies up.
      if (!isOfStore(error)) throw error;
    });
  }, [storage]);
  return (
    <>
      <Kept />
      <StorageFailures />
      <ExportReminder />
      <NewerVersion />
    </>
  );
}
