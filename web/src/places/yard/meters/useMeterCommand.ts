import type { FigureIssue, MachineId, Meter, MeterIssue } from "@yonderfell/core";
import { useState } from "react";
import { notifyChange } from "../../../app/notify.js";
import { useAppSelector } from "../../../app/store.js";
import { useOneAtATime } from "../../../app/useOneAtATime.js";
import { usePerform } from "../../../app/usePerform.js";
import type { MachineCommand, MachineMissing } from "../../../data/bookStorage.js";
import { errorWords } from "../../../words/errorWords.js";
import { meterIssueWords } from "../../../words/machineWords.js";
import { figureIssueWords } from "../../../words/readingWords.js";

type Issue = MeterIssue | FigureIssue | MachineMissing;

/** The way to run commands on a machine's meters. */
export interface MeterCommandState {
  /** What stood in the way of the last, empty where nothing did. */
  readonly problem: string;
  readonly run: (
    command: MachineCommand<MeterIssue | FigureIssue>,
    words: string,
    onSaved: () => void,
  ) => void;
}

/** Runs commands on a machine's meters and says what stood in the way. */
export function useMeterCommand(machine: MachineId, meter?: Meter): MeterCommandState {
  const perform = usePerform();
  const once = useOneAtATime();
  const today = useAppSelector((state) => state.session.today);
  const [problem, setProblem] = useState("");
  const wordsFor = (issue: Issue): string => {
    switch (issue.code) {
      case "machine-missing":
        return "The machine is no longer in the book.";
      case "name-missing":
      case "name-taken":
      case "figures-would-not-agree":
      case "stopped-already":
      case "not-stopped":
      case "meter-not-found":
      case "day-in-future":
      case "figure-not-a-number":
      case "changed-that-day":
        return meterIssueWords(issue);
      case "figure-in-doubt":
      case "still-in-doubt":
      case "change-in-the-way":
        return meter === undefined ? "" : figureIssueWords(issue, meter, today);
    }
  };
  const run: MeterCommandState["run"] = (command, words, onSaved) =>
    void once(async () => {
      try {
        const result = await perform(machine, command);
        const [issue] = result.ok ? [] : result.issues;
        setProblem(issue === undefined ? "" : wordsFor(issue));
        if (issue !== undefined) return;
        notifyChange(words);
        onSaved();
      } catch (error) {
        setProblem(`It was not saved: ${errorWords(error)}. What you typed is still here.`);
      }
    });
  return { problem, run };
}
