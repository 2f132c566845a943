import { useCallback } from "react";
import { errorWords } from "../words/errorWords.js";
import { notifyFailure, notifySuccess } from "./notify.js";
import { useBook } from "./openBook.js";
import { noticeClosed } from "./session.js";
import { store } from "./store.js";
import { changeBroughtBack, changeTakenBack, stepDropped, type UndoState } from "./undo.js";
import { useOneAtATime } from "./useOneAtATime.js";

const FROM = { undo: "done", redo: "undone" } as const;
const SAID = { undo: "Undone", redo: "Done again" } as const;
const FAILED = { undo: "cannot be undone", redo: "cannot be done again" } as const;

/** A note that something is saved goes once it no longer is. */
function closeNotesOf(seq: number): void {
  const { notices } = store.getState().session;
  for (const { id } of notices.filter((notice) => notice.change === seq)) {
    store.dispatch(noticeClosed(id));
  }
}

/** Takes back, or brings back, the newest change of this tab; says what it was, or why it cannot be. */
export function useUndo(): (direction: "undo" | "redo") => Promise<void> {
  const { storage } = useBook();
  const once = useOneAtATime();
  return useCallback(
    (direction) =>
      once(async () => {
        const from: keyof UndoState = FROM[direction];
        const step = store.getState().undo[from].at(-1);
        if (step === undefined) return;
        try {
          const result = await storage.takeBack(step.seq, new Date().toISOString());
          if (result.ok) {
            const moved = direction === "undo" ? changeTakenBack : changeBroughtBack;
            store.dispatch(moved(result.value.seq));
            closeNotesOf(step.seq);
            if (result.value.isDoubtful !== true)
              notifySuccess(`${SAID[direction]}: ${step.words}.`);
          } else {
            const [refusal] = result.issues;
            store.dispatch(stepDropped(from));
            // Wanted but seldom, and not before the first sight.
            const { refusalWords } = await import("../words/refusalWords.js");
            const reason = refusal === undefined ? "" : refusalWords(refusal);
            notifyFailure(`${step.words} ${FAILED[direction]}: ${reason} Nothing was changed.`);
          }
        } catch (error) {
          notifyFailure(`${step.words} ${FAILED[direction]}: ${errorWords(error)}.`);
        }
      }),
    [once, storage],
  );
}
