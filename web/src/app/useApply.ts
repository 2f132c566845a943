import type { Change } from "@yonderfell/core";
import { useCallback, useState } from "react";
import { errorWords } from "../words/errorWords.js";
import { refusalWords } from "../words/refusalWords.js";
import { notifyChange } from "./notify.js";
import { useBook } from "./openBook.js";
import { useOneAtATime } from "./useOneAtATime.js";
import { noteChange } from "./usePerform.js";

/** Makes a change and says so in some words; answers whether it is saved. */
export type Apply = (change: Change, words: string) => Promise<boolean>;

/** The way to make changes that are made up beforehand, one at a time, and what stood in the way of the last. */
export function useApply(): {
  readonly apply: Apply;
  readonly failure: string;
  readonly fail: (words: string) => void;
} {
  const { storage } = useBook();
  const once = useOneAtATime();
  const [failure, fail] = useState("");
  const apply = useCallback<Apply>(
    async (change, words) => {
      let isSaved = false;
      await once(async () => {
        try {
          const saved = await storage.apply(change, new Date().toISOString(), true);
          if (!saved.ok) {
            const [refusal] = saved.issues;
            fail(`Not saved: ${refusal === undefined ? "" : refusalWords(refusal)}`);
            return;
          }
          noteChange(saved.value);
          fail("");
          isSaved = true;
          notifyChange(words);
        } catch (error) {
          fail(`It was not saved: ${errorWords(error)}. What you typed is still here.`);
        }
      });
      return isSaved;
    },
    [once, storage],
  );
  return { apply, failure, fail };
}
