import { ArchiveRestore, Trash2 } from "lucide-react";
import { useState, type ReactElement } from "react";
import { goToBook } from "../../../session/goToBook.js";
import { bringBack, letGo, lostBooks } from "../../../session/lostBooks.js";
import { useAwaited } from "../../../session/useAwaited.js";
import { useOneAtATime } from "../../../session/useOneAtATime.js";
import type { LostBook } from "../../../data/trace/traces.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { errorWords } from "../../../words/errorWords.js";
import { sentence } from "../../../words/format.js";
import { lostWords } from "../../../words/traceWords.js";

/** The books that this browser has lost; null until that is known. */
export function useLostBooks(): readonly LostBook[] | null {
  const found = useAwaited(lostBooks);
  if (found.code === "waiting") return null;
  return found.code === "here" ? found.value : [];
}

/** Books that this browser has lost, offered back from their second trace; nothing where there are none. */
export function LostBooks({ found }: { readonly found: readonly LostBook[] }): ReactElement | null {
  const [gone, setGone] = useState<readonly string[]>([]);
  const lost = found.filter(({ folder }) => !gone.includes(folder));
  if (lost.length === 0) return null;
  return (
    <section aria-labelledby="lost" className="mt-4 border-2 border-overdue bg-raised p-4">
      <h2 id="lost" className="text-large font-bold">
        Lost here, and kept in a second trace
      </h2>
      <p className="max-w-[68ch]">
        The browser no longer has these in its database: a full disk or a cleared storage does that.
        What was saved in them is all here.
      </p>
      <ul className="mt-2">
        {lost.map((one) => (
          <Lost key={one.folder} lost={one} onGone={() => setGone([...gone, one.folder])} />
        ))}
      </ul>
    </section>
  );
}

function Lost({
  lost,
  onGone,
}: {
  readonly lost: LostBook;
  readonly onGone: () => void;
}): ReactElement {
  const once = useOneAtATime();
  const [failure, setFailure] = useState("");
  const [isAsking, setIsAsking] = useState(false);
  const act = (run: () => Promise<void>): void => {
    void once(run).catch((error: unknown) => setFailure(`${errorWords(error)}.`));
  };
  const back = async (): Promise<void> => {
    const entry = await bringBack(lost);
    if (entry === null) setFailure("Its trace can no longer be read.");
    else await goToBook(entry);
  };
  return (
    <li className="flex flex-wrap items-center gap-x-6 gap-y-2 border-t border-hairline py-3">
      <div className="min-w-64 flex-1">
        <p className="font-bold">{lost.name}</p>
        <p className="text-fine text-quiet">{sentence(lostWords(lost))}</p>
        {failure !== "" && (
          <p role="alert" className="text-overdue">
            {lost.name} was not put back: {failure}
          </p>
        )}
      </div>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className={PRIMARY_BUTTON}
          aria-label={`Put it back: ${lost.name}`}
          onClick={() => act(back)}
        >
          <ArchiveRestore size={18} aria-hidden="true" />
          Put it back
        </button>
        <button
          type="button"
          className={QUIET_BUTTON}
          aria-label={`Let it go: ${lost.name}`}
          onClick={() => setIsAsking(true)}
        >
          <Trash2 size={18} aria-hidden="true" />
          Let it go
        </button>
      </div>
      {isAsking && (
        <LetGo
          name={lost.name}
          onSure={() => act(() => letGo(lost).then(onGone))}
          onClose={() => setIsAsking(false)}
        />
      )}
    </li>
  );
}

/** Asks whether the last that is left of a book is to go. */
function LetGo({
  name,
  onSure,
  onClose,
}: {
  readonly name: string;
  readonly onSure: () => void;
  readonly onClose: () => void;
}): ReactElement {
  return (
    <DialogFrame title={`Let ${name} go?`} onClose={onClose}>
      <p className="mt-2">This is the last that this browser has of it.</p>
      <button
        type="button"
        className={`${QUIET_BUTTON} my-3 border-overdue text-overdue`}
        onClick={onSure}
      >
        <Trash2 size={18} aria-hidden="true" />
        Let it go for good
      </button>
    </DialogFrame>
  );
}
