import {
  BOOK_NEEDS,
  type FigureIssue,
  type MachineBook,
  type NotCorrectable,
} from "@yonderfell/core";
import type { FormEvent } from "react";
import { useNavigate } from "react-router";
import { surroundings } from "../../session/openBook.js";
import { useCommands } from "../../session/useCommands.js";
import type { MachineCommand } from "../../data/bookStorage.js";
import { lookingAhead } from "../../data/lookingAhead.js";

/** What stands in the way of correcting a figure. */
export type CorrectionIssue = FigureIssue | NotCorrectable;

/** A correction of figures in hand. */
export interface Correction {
  /** What stands in its way as it is filled in; null where it can be saved. */
  readonly issue: CorrectionIssue | null;
  readonly failure: string;
  readonly save: (event: FormEvent) => void;
}

/** It could be saved as it was filled in, so that something else has changed. */
const movedWords = (_: CorrectionIssue): string =>
  "The book has changed in the meantime; look again.";

/** A correction on a machine: tried at every change, saved when asked, and then back to the machine. */
export function useCorrection(
  book: MachineBook,
  command: MachineCommand<CorrectionIssue>,
): Correction {
  const navigate = useNavigate();
  const { run, failure } = useCommands(movedWords);
  const { id } = book.machines[0];
  const { today } = surroundings();
  const tried = command(book, lookingAhead(today));
  const issue = tried.ok ? null : (tried.issues[0] ?? null);
  const save = (event: FormEvent): void => {
    event.preventDefault();
    if (issue !== null) return;
    void run(
      (storage, around) => storage.perform(id, BOOK_NEEDS, command, around),
      "Corrected. The old record stays in the history.",
      () => navigate(`/yard/${encodeURIComponent(id)}`),
    );
  };
  return { issue, failure, save };
}
