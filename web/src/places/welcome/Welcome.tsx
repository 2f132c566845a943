import { BookOpen } from "lucide-react";
import { useState, type ReactElement } from "react";
import { goToBook } from "../../session/goToBook.js";
import { currentDay } from "../../data/today.js";
import { useOneAtATime } from "../../session/useOneAtATime.js";
import { useTheme } from "../../session/useTheme.js";
import { createBook, demonstration } from "../../data/books.js";
import type { BookEntry } from "../../data/registry.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { Page } from "../../ui/Page.js";
import { errorWords } from "../../words/errorWords.js";
import { LostBooks, useLostBooks } from "../shared/bookFile/LostBooks.js";
import { StorageLines, usePermitted } from "../shared/bookFile/Permitted.js";
import { OpenFile } from "../shared/bookFile/OpenFile.js";

/** What a book is called that is begun in one press; it can be renamed among the books. */
const FIRST_NAME = "My machines";

/** What stands where no book has been opened yet: the three ways to begin. */
export default function Welcome(): ReactElement {
  useTheme();
  const lost = useLostBooks();
  const lines = usePermitted();
  const amiss = lines.filter(({ isWell }) => !isWell);
  return (
    <Page title="Yonderfell">
      {amiss.length > 0 && (
        <ul
          role="alert"
          className="mt-4 max-w-[68ch] border-l-4 border-overdue bg-raised px-4 py-2"
        >
          <StorageLines lines={amiss} />
        </ul>
      )}
      <LostBooks found={lost ?? []} />
      <div className="mt-4 max-w-[68ch] space-y-6">
        <p>
          A book holds your machines, what their meters show, the work that falls due on them and
          the work that was done. From it Yonderfell reckons what comes next, when, and why. Books
          stay in this browser and travel as files.
        </p>
        <Way
          label="Begin an empty book"
          look={lost !== null && lost.length > 0 ? QUIET_BUTTON : PRIMARY_BUTTON}
          words="For your own machines: add the first, take a plan for its kind, and what is due stands there."
          open={() => createBook(FIRST_NAME)}
        />
        <Way
          label="Load the demonstration"
          look={QUIET_BUTTON}
          words="A made-up parish fleet, Skarrow Vale, with three years behind it. Change what you like in it; it can be made anew at any time."
          open={() => demonstration(currentDay())}
        />
        <section aria-label="A book of before" className="border-t border-hairline pt-4">
          <OpenFile />
          <p className="mt-1 text-quiet">
            A book that was exported here or on another device, kept beside any others.
          </p>
        </section>
        {/* Last: what comes late must not move what is about to be pressed. */}
        <ul className="space-y-1 text-quiet" aria-label="What this browser keeps">
          <StorageLines lines={lines.filter(({ isWell }) => isWell)} />
        </ul>
      </div>
    </Page>
  );
}

/** One way to begin: what it is, and the press that does it. */
function Way({
  label,
  look,
  words,
  open,
}: {
  readonly label: string;
  readonly look: string;
  readonly words: string;
  readonly open: () => Promise<BookEntry>;
}): ReactElement {
  const once = useOneAtATime();
  const [failure, setFailure] = useState("");
  const begin = async (): Promise<void> => {
    try {
      await goToBook(await open());
    } catch (error) {
      setFailure(errorWords(error));
    }
  };
  return (
    <div className="border-t border-hairline pt-4">
      <button type="button" className={look} onClick={() => void once(begin)}>
        <BookOpen size={20} aria-hidden="true" />
        {label}
      </button>
      <p className="mt-1 text-quiet">{words}</p>
      {failure !== "" && (
        <p role="alert" className="text-overdue">
          The book could not be made: {failure}.
        </p>
      )}
    </div>
  );
}
