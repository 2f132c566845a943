import { changeSettings, type SettingsInput, type SettingsIssue } from "@yonderfell/core";
import { useCallback } from "react";
import { stampedFields } from "../data/stamped.js";
import { useCommands } from "./useCommands.js";

const daysWords = (_: SettingsIssue): string => "Each is a whole number of days, from 0 on.";

/** The way to change the settings of the open book, which answers whether they are saved, and what stood in the way of the last change. */
export function useSettingsChange(): {
  readonly save: (input: SettingsInput, told: string) => Promise<boolean>;
  readonly failure: string;
  readonly fail: (words: string) => void;
} {
  const { run, failure, fail } = useCommands(daysWords);
  const save = useCallback(
    async (input: SettingsInput, told: string): Promise<boolean> => {
      const saved = await run(async (storage, { now }) => {
        const change = changeSettings(await storage.ownSettings(), input);
        if (!change.ok) return change;
        return storage.apply(stampedFields(change.value, await storage.copy()), now);
      }, told);
      return saved !== null;
    },
    [run],
  );
  return { save, failure, fail };
}
