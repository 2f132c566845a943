import { BookOpen, Copy, Download, Pencil, RotateCcw, Trash2, type LucideIcon } from "lucide-react";
import { useEffect, useState, type ReactElement } from "react";
import { goToBook } from "../../session/goToBook.js";
import { notifyFailure } from "../../session/notify.js";
import { currentDay } from "../../data/today.js";
import { useExport } from "../../session/useExport.js";
import { useOneAtATime } from "../../session/useOneAtATime.js";
import { keepBook, newBookEntry, rebuildDemonstration } from "../../data/books.js";
import type { BookEntry } from "../../data/registry.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { countsWords, exportWords } from "../../words/bookWords.js";
import { errorWords } from "../../words/errorWords.js";
import { sentence } from "../../words/format.js";
import { exchange } from "../../work/exchangeClient.js";
import { DeleteBook } from "./DeleteBook.js";
import { RenameBook } from "./RenameBook.js";
import { useBookFacts } from "./useBookFacts.js";

/** One book of this browser, and what can be done with it. */
export function BookRow({
  entry,
  isOpen,
  onRead,
}: {
  readonly entry: BookEntry;
  readonly isOpen: boolean;
  /** Told once its row says what it has to say. */
  readonly onRead: (id: string) => void;
}): ReactElement {
  const { facts, store } = useBookFacts(entry);
  const isRead = facts !== undefined;
  useEffect(() => {
    if (isRead) onRead(entry.id);
  }, [isRead, onRead, entry.id]);
  const [asks, setAsks] = useState<"name" | "delete" | null>(null);
  const save = useExport(entry, store);
  return (
    <li className="flex flex-wrap items-center gap-x-6 gap-y-2 border-t border-hairline py-3">
      <div className="min-w-64 flex-1">
        {asks === "name" ? (
          <RenameBook entry={entry} onDone={() => setAsks(null)} />
        ) : (
          <p className="font-bold">
            {entry.name}
            {isOpen && <span className="ml-3 text-fine font-normal text-clear">open here</span>}
          </p>
        )}
        <p className="min-h-[1.4em] text-fine text-quiet">
          {facts && `${sentence(countsWords(facts.counts))}. ${exportWords(facts.exported)}.`}
        </p>
      </div>
      <Actions entry={entry} isOpen={isOpen} onExport={save} onAsk={setAsks} />
      {asks === "delete" && (
        <DeleteBook
          entry={entry}
          isOpen={isOpen}
          exported={facts?.exported ?? null}
          onExport={save}
          onClose={() => setAsks(null)}
        />
      )}
    </li>
  );
}

function Actions({
  entry,
  isOpen,
  onExport,
  onAsk,
}: {
  readonly entry: BookEntry;
  readonly isOpen: boolean;
  readonly onExport: () => Promise<void>;
  readonly onAsk: (what: "name" | "delete") => void;
}): ReactElement {
  const once = useOneAtATime();
  const act = (what: string, run: () => Promise<void>): void => {
    void once(run).catch((error: unknown) =>
      notifyFailure(`${entry.name} was not ${what}: ${errorWords(error)}.`),
    );
  };
  const duplicate = async (): Promise<void> => {
    const copy = newBookEntry(`${entry.name}, copy`);
    await keepBook(copy, () => exchange().duplicate(entry.database, copy.database));
  };
  const rebuild = async (): Promise<void> => goToBook(await rebuildDemonstration(currentDay()));
  const { name } = entry;
  return (
    <div className="flex flex-wrap gap-2">
      {!isOpen && (
        <Action name={name} onPress={() => void goToBook(entry)} words="Open" icon={BookOpen} />
      )}
      <Action name={name} onPress={() => void onExport()} words="Export" icon={Download} />
      <Action name={name} onPress={() => onAsk("name")} words="Rename" icon={Pencil} />
      <Action
        name={name}
        onPress={() => act("duplicated", duplicate)}
        words="Duplicate"
        icon={Copy}
      />
      {entry.isDemonstration && (
        <Action
          name={name}
          onPress={() => act("made anew", rebuild)}
          words="Make it anew"
          icon={RotateCcw}
        />
      )}
      <Action name={name} onPress={() => onAsk("delete")} words="Delete" icon={Trash2} />
    </div>
  );
}

function Action({
  name,
  words,
  onPress,
  icon: Icon,
}: {
  readonly name: string;
  readonly words: string;
  readonly onPress: () => void;
  readonly icon: LucideIcon;
}): ReactElement {
  return (
    <button
      type="button"
      className={QUIET_BUTTON}
      aria-label={`${words}: ${name}`}
      onClick={onPress}
    >
      <Icon size={18} aria-hidden="true" />
      {words}
    </button>
  );
}
