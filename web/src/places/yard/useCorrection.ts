import { BOOK_NEEDS, type MachineBook } from "@yonderfell/core";
import { useNavigate } from "react-router";
import { surroundings } from "../../session/openBook.js";
import { useCommands } from "../../session/useCommands.js";
import type { MachineCommand } from "../../data/bookStorage.js";
import { lookingAhead } from "../../data/lookingAhead.js";
import type { CorrectionIssue } from "./correctionModel.js";

/** The way to correct figures of a machine. */
export interface Correcting {
  /** What would stand in the way of a correction; null where it could be saved. */
  readonly issueOf: (command: MachineCommand<CorrectionIssue>) => CorrectionIssue | null;
  /** Saves it and goes back to the machine; answers whether it is saved. */
  readonly save: (command: MachineCommand<CorrectionIssue>) => Promise<boolean>;
  readonly failure: string;
}

/** It could be saved as it was filled in, so that something else has changed. */
const movedWords = (_: CorrectionIssue): string =>
  "The book has changed in the meantime; look again.";

/** Corrects figures of a machine: tried as they are filled in, saved when asked, and then back to the machine. */
export function useCorrection(book: MachineBook): Correcting {
  const navigate = useNavigate();
  const { run, failure } = useCommands(movedWords);
  const { id } = book.machines[0];
  return {
    failure,
    issueOf: (command) => {
      const tried = command(book, lookingAhead(surroundings().today));
      return tried.ok ? null : (tried.issues[0] ?? null);
    },
    save: async (command) => {
      const saved = await run(
        (storage, around) => storage.perform(id, BOOK_NEEDS, command, around),
        "Corrected. The old record stays in the history.",
        () => navigate(`/yard/${encodeURIComponent(id)}`),
      );
      return saved !== null;
    },
  };
}
