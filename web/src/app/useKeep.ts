import { keepRecord, type EditedSection, type RecordOf } from "@yonderfell/core";
import { useCallback, useState } from "react";
import { errorWords } from "../words/errorWords.js";
import { refusalWords } from "../words/refusalWords.js";
import { notifyChange } from "./notify.js";
import { useBook } from "./openBook.js";
import { useOneAtATime } from "./useOneAtATime.js";
import { noteChange } from "./usePerform.js";

/** Keeps a record as edited; answers whether it is saved. */
export type Keep = <S extends EditedSection>(
  section: S,
  before: RecordOf[S] | null,
  after: RecordOf[S] | null,
) => Promise<boolean>;

/** The way to keep records that are edited in place, and what stood in the way of the last. */
export function useKeep(): { readonly keep: Keep; readonly failure: string } {
  const { storage } = useBook();
  const once = useOneAtATime();
  const [failure, setFailure] = useState("");
  const keep = useCallback<Keep>(
    async (section, before, after) => {
      let isSaved = false;
      await once(async () => {
        const change = keepRecord(section, before, after);
        if (!change.ok) {
          const [issue] = change.issues;
          const where = issue === undefined ? "" : issue.path.join(" ");
          setFailure(
            `Not saved: ${where === "" ? "it" : where} must be ${issue?.expected ?? "sound"}.`,
          );
          return;
        }
        try {
          const saved = await storage.apply(change.value, new Date().toISOString(), true);
          if (!saved.ok) {
            const [refusal] = saved.issues;
            setFailure(`Not saved: ${refusal === undefined ? "" : refusalWords(refusal)}`);
            return;
          }
          noteChange(saved.value);
          setFailure("");
          isSaved = true;
          notifyChange(after === null ? "Taken out." : "Saved.");
        } catch (error) {
          setFailure(`It was not saved: ${errorWords(error)}. What you typed is still here.`);
        }
      });
      return isSaved;
    },
    [once, storage],
  );
  return { keep, failure };
}
