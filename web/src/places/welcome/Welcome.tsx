import { BookOpen } from "lucide-react";
import { useState, type ReactElement } from "react";
import { useNavigate } from "react-router";
import { currentDay } from "../../app/today.js";
import { useTheme } from "../../app/useTheme.js";
import { openDemonstration } from "../../data/demonstration.js";
import { PRIMARY_BUTTON } from "../../ui/buttons.js";
import { errorWords } from "../../words/errorWords.js";
import { Page } from "../../ui/Page.js";

/** What stands where no book has been opened yet. */
export default function Welcome(): ReactElement {
  useTheme();
  const navigate = useNavigate();
  const [isOpening, setIsOpening] = useState(false);
  const [failure, setFailure] = useState("");
  const open = async (): Promise<void> => {
    setIsOpening(true);
    try {
      await openDemonstration(currentDay());
      await navigate("/ahead");
    } catch (error) {
      setFailure(errorWords(error));
    } finally {
      setIsOpening(false);
    }
  };
  return (
    <Page title="Yonderfell">
      <div className="max-w-[60ch] space-y-4">
        <p>
          A book holds your machines, what their meters show, the work that falls due on them and
          the work that was done. From it Yonderfell reckons what comes next, when, and why.
        </p>
        <p>
          The demonstration book is a made-up parish fleet, Skarrow Vale, with three years behind
          it. It stays in this browser; change what you like in it.
        </p>
        <button
          type="button"
          className={PRIMARY_BUTTON}
          disabled={isOpening}
          onClick={() => void open()}
        >
          <BookOpen size={20} aria-hidden="true" />
          Open the demonstration book
        </button>
        {failure !== "" && (
          <p role="alert" className="text-overdue">
            The book could not be made: {failure}.
          </p>
        )}
      </div>
    </Page>
  );
}
