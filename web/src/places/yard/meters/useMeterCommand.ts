import {
  BOOK_NEEDS,
  type FigureIssue,
  type MachineId,
  type Meter,
  type MeterIssue,
} from "@yonderfell/core";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import type { MachineCommand } from "../../../data/bookStorage.js";
import { meterIssueWords } from "../../../words/machineWords.js";
import { figureIssueWords } from "../../../words/readingWords.js";

type Issue = MeterIssue | FigureIssue;

/** The way to run commands on a machine's meters. */
export interface MeterCommandState {
  /** What stood in the way of the last, empty where nothing did. */
  readonly problem: string;
  /** Answers whether it is saved. */
  readonly run: (
    command: MachineCommand<Issue>,
    words: string,
    onSaved: () => void,
  ) => Promise<boolean>;
}

/** Runs commands on a machine's meters and says what stood in the way. */
export function useMeterCommand(machine: MachineId, meter?: Meter): MeterCommandState {
  const today = useAppSelector((state) => state.session.today);
  const { run, failure } = useCommands((issue: Issue): string => {
    switch (issue.code) {
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
  });
  return {
    problem: failure,
    run: async (command, words, onSaved) => {
      const saved = await run(
        (storage, around) => storage.perform(machine, BOOK_NEEDS, command, around),
        words,
        onSaved,
      );
      return saved !== null;
    },
  };
}
