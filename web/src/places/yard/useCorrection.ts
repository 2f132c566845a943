import type { FigureIssue, MachineBook, NotCorrectable } from "@yonderfell/core";
import { useState, type FormEvent } from "react";
import { useNavigate } from "react-router";
import { notifyChange } from "../../app/notify.js";
import { surroundings } from "../../app/openBook.js";
import { usePerform } from "../../app/usePerform.js";
import { useOneAtATime } from "../../app/useOneAtATime.js";
import type { MachineCommand } from "../../data/bookStorage.js";
import { lookingAhead } from "../../data/lookingAhead.js";
import { errorWords } from "../../words/errorWords.js";

/** What stands in the way of correcting a figure. */
export type CorrectionIssue = FigureIssue | NotCorrectable;

/** A correction of figures in hand. */
export interface Correction {
  /** What stands in its way as it is filled in; null where it can be saved. */
  readonly issue: CorrectionIssue | null;
  readonly failure: string;
  readonly save: (event: FormEvent) => void;
}

/** A correction on a machine: tried at every change, saved when asked, and then back to the machine. */
export function useCorrection(
  book: MachineBook,
  command: MachineCommand<CorrectionIssue>,
): Correction {
  const perform = usePerform();
  const navigate = useNavigate();
  const once = useOneAtATime();
  const [failure, setFailure] = useState("");
  const { id } = book.machines[0];
  const { today } = surroundings();
  const tried = command(book, lookingAhead(today));
  const issue = tried.ok ? null : (tried.issues[0] ?? null);
  const write = async (): Promise<void> => {
    const result = await perform(id, command);
    if (!result.ok) return setFailure("The book has changed in the meantime; look again.");
    notifyChange("Corrected. The old record stays in the history.");
    await navigate(`/yard/${encodeURIComponent(id)}`);
  };
  const save = (event: FormEvent): void => {
    event.preventDefault();
    if (issue !== null) return;
    void once(() =>
      write().catch((error: unknown) =>
        setFailure(`It was not saved: ${errorWords(error)}. What you typed is still here.`),
      ),
    );
  };
  return { issue, failure, save };
}
