import { BookOpen } from "lucide-react";
import { useState, type ReactElement } from "react";
import { goToBook } from "../../app/goToBook.js";
import { currentDay } from "../../app/today.js";
import { useOneAtATime } from "../../app/useOneAtATime.js";
import { useTheme } from "../../app/useTheme.js";
import { demonstration } from "../../data/books.js";
import { PRIMARY_BUTTON } from "../../ui/buttons.js";
import { Page } from "../../ui/Page.js";
import { errorWords } from "../../words/errorWords.js";
import { NewBook } from "../books/NewBook.js";
import { OpenFile } from "../books/OpenFile.js";

/** What stands where no book has been opened yet: the three ways to begin. */
export default function Welcome(): ReactElement {
  useTheme();
  const once = useOneAtATime();
  const [failure, setFailure] = useState("");
  const open = async (): Promise<void> => {
    try {
      await goToBook(await demonstration(currentDay()));
    } catch (error) {
      setFailure(errorWords(error));
    }
  };
  return (
    <Page title="Yonderfell">
      <div className="max-w-[68ch] space-y-5">
        <p>
          A book holds your machines, what their meters show, the work that falls due on them and
          the work that was done. From it Yonderfell reckons what comes next, when, and why. Books
          stay in this browser and travel as files.
        </p>
        <div className="space-y-3">
          <p>
            The demonstration book is a made-up parish fleet, Skarrow Vale, with three years behind
            it. Change what you like in it; it can be made anew at any time.
          </p>
          <button type="button" className={PRIMARY_BUTTON} onClick={() => void once(open)}>
            <BookOpen size={20} aria-hidden="true" />
            Open the demonstration book
          </button>
          {failure !== "" && (
            <p role="alert" className="text-overdue">
              The book could not be made: {failure}.
            </p>
          )}
        </div>
        <section aria-labelledby="own" className="space-y-4 border-t border-hairline pt-4">
          <h2 id="own" className="text-large font-bold">
            A book of your own
          </h2>
          <NewBook />
          <OpenFile />
        </section>
      </div>
    </Page>
  );
}
