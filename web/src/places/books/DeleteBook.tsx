import { Download, Trash2 } from "lucide-react";
import { useState, type ReactElement } from "react";
import { useOneAtATime } from "../../session/useOneAtATime.js";
import { deleteBook } from "../../data/books.js";
import type { BookEntry } from "../../data/registry.js";
import { FIELD, QUIET_BUTTON } from "../../ui/buttons.js";
import { DialogFrame } from "../../ui/DialogFrame.js";
import { exportWords, type ExportState } from "../../words/bookWords.js";
import { errorWords } from "../../words/errorWords.js";

/** Asks whether a book is to go: an export is offered first, and its name is to be typed. */
export function DeleteBook({
  entry,
  isOpen,
  exported,
  onExport,
  onClose,
}: {
  readonly entry: BookEntry;
  readonly isOpen: boolean;
  readonly exported: ExportState | null;
  readonly onExport: () => Promise<void>;
  readonly onClose: () => void;
}): ReactElement {
  const { typed, setTyped, isConfirmed, failure, remove } = useDeletion(entry, isOpen, onClose);
  return (
    <DialogFrame title={`Delete ${entry.name}?`} onClose={onClose}>
      <form
        className="mt-2 space-y-4 pb-3"
        onSubmit={(event) => {
          event.preventDefault();
          void remove();
        }}
      >
        <p>
          The book goes from this browser with all it holds, and cannot be brought back from here.
          {exported !== null && ` ${exportWords(exported)}.`}
        </p>
        <button type="button" className={QUIET_BUTTON} onClick={() => void onExport()}>
          <Download size={18} aria-hidden="true" />
          Export it first
        </button>
        <label className="block text-fine text-quiet">
          To delete it, type its name: <strong className="text-ink">{entry.name}</strong>
          <input
            autoComplete="off"
            className={`${FIELD} mt-1 text-field text-ink`}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        {failure !== "" && (
          <p role="alert" className="text-overdue">
            It was not deleted: {failure}.
          </p>
        )}
        <button
          type="submit"
          className={`${QUIET_BUTTON} border-overdue text-overdue`}
          disabled={!isConfirmed}
        >
          <Trash2 size={18} aria-hidden="true" />
          Delete the book
        </button>
      </form>
    </DialogFrame>
  );
}

interface Deletion {
  readonly typed: string;
  readonly setTyped: (typed: string) => void;
  /** Whether what is typed is the name of the book. */
  readonly isConfirmed: boolean;
  readonly failure: string;
  readonly remove: () => Promise<void>;
}

function useDeletion(entry: BookEntry, isOpen: boolean, onClose: () => void): Deletion {
  const [typed, setTyped] = useState("");
  const [failure, setFailure] = useState("");
  const once = useOneAtATime();
  const isConfirmed = typed.trim() === entry.name.trim();
  const removeNow = async (): Promise<void> => {
    try {
      await deleteBook(entry);
      if (isOpen) window.location.assign("/ahead");
      else onClose();
    } catch (error) {
      setFailure(errorWords(error));
    }
  };
  const remove = async (): Promise<void> => {
    if (isConfirmed) await once(removeNow);
  };
  return { typed, setTyped, isConfirmed, failure, remove };
}
