import { proxy } from "comlink";
import { BookPlus } from "lucide-react";
import { useState, type ReactElement, type Ref } from "react";
import { goToBook } from "../../../session/goToBook.js";
import { useOneAtATime } from "../../../session/useOneAtATime.js";
import { keepBook, newBookEntry } from "../../../data/books.js";
import { FIELD, PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { Progress } from "../../../ui/Progress.js";
import { useFocusNext } from "../../../ui/useFocusNext.js";
import { FileButton } from "../../../ui/FileButton.js";
import { countsWords, datesWords, doubtfulWords, faultWords } from "../../../words/bookWords.js";
import { errorWords } from "../../../words/errorWords.js";
import { counted } from "../../../words/format.js";
import type { BookSummary } from "@yonderfell/core";
import { fileIn } from "../../../work/exchangeClient.js";
import { ChangedSince } from "./ChangedSince.js";
import { FileRefused } from "./FileRefused.js";
import { useFileLook } from "./useFileLook.js";

const FILE_END = /(-\d{4}-\d{2}-\d{2})?(\.yonderfell)?\.json$/i;

/** Opens a book file: says what it holds first, then keeps it as a new book beside the others. */
export function OpenFile(): ReactElement {
  const { look, choose, forget, stop, chooser } = useFileLook();
  const [isKeeping, setIsKeeping] = useState(false);
  return (
    <div className="space-y-3">
      <FileButton
        label="Open a book file"
        isDisabled={look.code === "looking" || isKeeping}
        buttonRef={chooser}
        onFile={(file) => void choose(file)}
      />
      <div aria-live="polite">
        {look.code === "looking" && (
          <Progress label={`Looking through ${look.file}`} share={look.share} onStop={stop} />
        )}
        {look.code === "refused" && <FileRefused file={look.file} reasons={look.reasons} />}
        {look.code === "sound" && (
          <KeepFile
            key={look.file}
            file={look.file}
            summary={look.summary}
            onKeeping={setIsKeeping}
            onForget={forget}
          />
        )}
      </div>
    </div>
  );
}

interface KeepFileProps {
  readonly file: string;
  readonly summary: BookSummary;
  /** Told when the keeping begins and when it has ended without the book. */
  readonly onKeeping: (isKeeping: boolean) => void;
  readonly onForget: () => void;
}

function useKeeping(
  startName: string,
  onKeeping: (isKeeping: boolean) => void,
): {
  readonly name: string;
  readonly setName: (name: string) => void;
  /** The share of it that is written; null while it is not being kept. */
  readonly share: number | null;
  readonly failure: string;
  readonly keep: () => Promise<void>;
  /** The button that keeps it: it has the focus again where the keeping was stopped. */
  readonly again: Ref<HTMLButtonElement>;
} {
  const [name, setName] = useState(startName);
  const [failure, setFailure] = useState("");
  const [share, setShare] = useState<number | null>(null);
  const { ref, focusNext } = useFocusNext<HTMLButtonElement>();
  const once = useOneAtATime();
  const keepNow = async (): Promise<void> => {
    setShare(0);
    onKeeping(true);
    setFailure("");
    try {
      const entry = newBookEntry(name.trim());
      const isKept = await keepBook(entry, () => fileIn().keep(entry.database, proxy(setShare)));
      if (isKept) return await goToBook(entry);
    } catch (error) {
      setFailure(errorWords(error));
    }
    setShare(null);
    onKeeping(false);
    focusNext();
  };
  return { name, setName, share, failure, keep: () => once(keepNow), again: ref };
}

function KeepFile({ file, summary, onKeeping, onForget }: KeepFileProps): ReactElement {
  const { name, setName, share, failure, keep, again } = useKeeping(
    summary.name ?? file.replace(FILE_END, ""),
    onKeeping,
  );
  const [isTaken, setIsTaken] = useState(summary.changed.length === 0);
  return (
    <form
      className="max-w-[68ch] space-y-4 border-l-4 border-clear bg-raised px-4 py-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div>
        <p className="font-semibold">
          {file} {summary.changed.length === 0 ? "is a sound book" : "can be opened as a book"}.
        </p>
        <p>
          It holds {countsWords(summary.counts)} {datesWords(summary.dates)}.
        </p>
      </div>
      <ChangedSince changed={summary.changed} isTaken={isTaken} onTake={setIsTaken} />
      <Remarks summary={summary} />
      <label className="block text-fine text-quiet">
        Name of the new book
        <input
          className={`${FIELD} mt-1 text-field text-ink`}
          value={name}
          required
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      {failure !== "" && (
        <p role="alert" className="text-overdue">
          It was not kept: {failure}.
        </p>
      )}
      {share === null ? (
        <div className="flex flex-wrap gap-3">
          <button
            ref={again}
            type="submit"
            className={PRIMARY_BUTTON}
            disabled={name.trim() === "" || !isTaken}
          >
            <BookPlus size={20} aria-hidden="true" />
            Keep it as a new book
          </button>
          <button type="button" className={QUIET_BUTTON} onClick={onForget}>
            Not now
          </button>
        </div>
      ) : (
        <Progress label="Keeping it" share={share} onStop={() => void fileIn().stop()} />
      )}
    </form>
  );
}

const SHOWN = 6;

function Remarks({ summary }: { readonly summary: BookSummary }): ReactElement {
  const { faults, doubtful } = summary;
  if (faults.length === 0 && doubtful.length === 0) {
    return <p className="text-quiet">No faults: its figures agree with one another.</p>;
  }
  return (
    <div className="space-y-2">
      <RemarkList
        title={`${counted(faults.length, "figure")} cannot be true beside the others; kept, and left out of the reckoning:`}
        lines={faults.map(faultWords)}
      />
      <RemarkList
        title={`${counted(doubtful.length, "meter")} in doubt:`}
        lines={doubtful.map(doubtfulWords)}
      />
    </div>
  );
}

function RemarkList({
  title,
  lines,
}: {
  readonly title: string;
  readonly lines: readonly string[];
}): ReactElement | null {
  if (lines.length === 0) return null;
  const rest = lines.length - SHOWN;
  return (
    <div>
      <p>{title}</p>
      <ul className="list-disc pl-5 text-quiet">
        {lines.slice(0, SHOWN).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {rest > 0 && <li>and {counted(rest, "more", "more")}</li>}
      </ul>
    </div>
  );
}
