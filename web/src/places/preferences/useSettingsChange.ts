import { changeSettings, type SettingsInput } from "@yonderfell/core";
import { useState } from "react";
import { notifyChange } from "../../app/notify.js";
import { useBook } from "../../app/openBook.js";
import { useOneAtATime } from "../../app/useOneAtATime.js";
import { noteChange } from "../../app/usePerform.js";
import { stampedFields } from "../../data/stamped.js";
import { errorWords } from "../../words/errorWords.js";
import { refusalWords } from "../../words/refusalWords.js";

/** The way to change the settings of the open book, and what stood in the way of the last change. */
export function useSettingsChange(saved: string): {
  readonly save: (input: SettingsInput) => Promise<void>;
  readonly failure: string;
} {
  const { storage } = useBook();
  const once = useOneAtATime();
  const [failure, setFailure] = useState("");
  const saveNow = async (input: SettingsInput): Promise<void> => {
    const change = changeSettings(await storage.ownSettings(), input);
    if (!change.ok) return setFailure("Each is a whole number of days, from 0 on.");
    const counted = stampedFields(change.value, await storage.copy());
    const answer = await storage.apply(counted, new Date().toISOString());
    const [refusal] = answer.ok ? [] : answer.issues;
    if (refusal !== undefined) return setFailure(refusalWords(refusal));
    if (answer.ok) noteChange(answer.value);
    setFailure("");
    notifyChange(saved);
  };
  return {
    save: (input) =>
      once(() => saveNow(input).catch((error: unknown) => setFailure(errorWords(error)))),
    failure,
  };
}
