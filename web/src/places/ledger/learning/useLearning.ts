import {
  bringBack,
  setAside,
  takeProposal,
  type DayNumber,
  type KeepIssue,
  type Lesson,
  type MachineId,
  type Proposal,
} from "@yonderfell/core";
import { useCallback } from "react";
import { useAppSelector } from "../../../session/store.js";
import { useBeside, type Beside } from "../../../session/useBeside.js";
import { useCommands } from "../../../session/useCommands.js";
import { keepIssueWords } from "../../../words/keepIssueWords.js";
import type { Learned } from "../../../work/costs.worker.js";
import { costsReckoned } from "../../../work/costsClient.js";

/** What the records teach, of one machine or of all; reckoned beside the page, anew after each change. */
export function useLearning(
  machine: MachineId | null,
): Beside<{ readonly machine: MachineId | null; readonly learned: Learned }> {
  const seq = useAppSelector((state) => state.board.seq);
  const ask = useCallback(
    async (database: string, today: DayNumber) => ({
      machine,
      learned: await costsReckoned().learned(database, seq, today, machine),
    }),
    [seq, machine],
  );
  return useBeside(ask);
}

/** The ways to answer what is proposed, and what stood in the way of the last. */
export interface Answering {
  readonly take: (proposal: Proposal, said: string) => void;
  readonly putOff: (proposal: Proposal, answer: "not now" | "never", said: string) => void;
  readonly bring: (lesson: Lesson) => void;
  readonly failure: string;
}

/** Answers proposals, each in one change that can be taken back. */
export function useAnswering(): Answering {
  const { run, failure } = useCommands<KeepIssue>(keepIssueWords, true);
  return {
    failure,
    take: (proposal, said) =>
      void run(
        (storage, around) =>
          storage.perform(
            proposal.subject.machine,
            ["tasks", "fluids", "findings", "lessons"],
            (slice, context) => takeProposal(slice, { proposal, said }, context),
            around,
          ),
        proposal.about === "consumption" ? "Noted as a finding." : "Taken over.",
      ),
    putOff: ({ subject }, answer, said) =>
      void run(
        (storage, around) =>
          storage.perform(
            subject.machine,
            ["lessons"],
            (slice, context) => setAside(slice, { subject, answer, said }, context),
            around,
          ),
        answer === "never" ? "It will not be proposed again." : "Put off.",
      ),
    bring: (lesson) =>
      void run(
        (storage, around) =>
          storage.perform(lesson.machine, ["lessons"], (slice) => bringBack(slice, lesson), around),
        "It stands again.",
      ),
  };
}
