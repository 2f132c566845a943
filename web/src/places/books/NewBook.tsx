import { BookPlus } from "lucide-react";
import { useState, type ReactElement } from "react";
import { goToBook } from "../../session/goToBook.js";
import { useOneAtATime } from "../../session/useOneAtATime.js";
import { createBook } from "../../data/books.js";
import { FIELD, QUIET_BUTTON } from "../../ui/buttons.js";
import { errorWords } from "../../words/errorWords.js";

/** Makes a book that holds nothing yet, under a name. */
export function NewBook(): ReactElement {
  const [name, setName] = useState("");
  const [failure, setFailure] = useState("");
  const once = useOneAtATime();
  const make = async (): Promise<void> => {
    try {
      await goToBook(await createBook(name.trim()));
    } catch (error) {
      setFailure(errorWords(error));
    }
  };
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void once(make);
      }}
    >
      <label className="w-64 text-fine text-quiet">
        Name of a new book
        <input
          className={`${FIELD} mt-1 text-field text-ink`}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <button type="submit" className={QUIET_BUTTON} disabled={name.trim() === ""}>
        <BookPlus size={18} aria-hidden="true" />
        Make the book
      </button>
      {failure !== "" && (
        <p role="alert" className="w-full text-overdue">
          The book could not be made: {failure}.
        </p>
      )}
    </form>
  );
}
