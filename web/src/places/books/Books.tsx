import { Terms } from "../../ui/Term.js";
import { useLiveQuery } from "dexie-react-hooks";
import { useCallback, useEffect, useState, type ReactElement } from "react";
import { Link } from "react-router";
import { finishDeletions } from "../../data/books.js";
import { allBooks, type BookEntry } from "../../data/registry.js";
import { useBook } from "../../session/openBook.js";
import { useExportState } from "../../session/useExport.js";
import { Page } from "../../ui/Page.js";
import type { ExportState } from "../../words/bookWords.js";
import { AutoExport } from "./AutoExport.js";
import { BookRow } from "./BookRow.js";
import { LostBooks, useLostBooks } from "../shared/bookFile/LostBooks.js";
import { NewBook } from "./NewBook.js";
import { OpenFile } from "../shared/bookFile/OpenFile.js";
import { SecondTrace } from "./SecondTrace.js";

/** The books of this browser: which there are, what they hold, and the ways in and out. */
export default function Books(): ReactElement {
  const { entry, storage } = useBook();
  const books = useLiveQuery(allBooks, []);
  const exported = useExportState(storage);
  const { isRead, onRead } = useAllRead(books);
  const lost = useLostBooks();
  useEffect(() => {
    void finishDeletions(new Date());
  }, []);
  return (
    <Page title="Books">
      <LostBooks found={lost ?? []} />
      <div className={isRead && exported !== undefined && lost !== null ? "" : "invisible"}>
        <ul className="mt-2">
          {(books ?? []).map((book) => (
            <BookRow
              key={book.database}
              entry={book}
              isOpen={book.id === entry.id}
              onRead={onRead}
            />
          ))}
        </ul>
        <Terms words={["fitment", "service point", "journey", "visit", "window"]} />
        <div className="mt-6 grid gap-x-12 gap-y-8 border-t border-rule pt-6 lg:grid-cols-2">
          <section aria-labelledby="another" className="space-y-4">
            <h2 id="another" className="text-large font-bold">
              Another book
            </h2>
            <NewBook />
            <OpenFile />
            {books?.some((book) => book.isDemonstration) === false && (
              <p>
                <Link to="/demonstration" reloadDocument className="text-clear underline">
                  Open the demonstration book
                </Link>
                , a made-up parish fleet with three years behind it.
              </p>
            )}
          </section>
          <SafeAndShared exported={exported} />
        </div>
      </div>
    </Page>
  );
}

/** How the open book is kept safe, and the ways in and out of it. */
function SafeAndShared({ exported }: { readonly exported: ExportState | undefined }): ReactElement {
  const { entry } = useBook();
  return (
    <section aria-labelledby="safe" className="space-y-4">
      <h2 id="safe" className="text-large font-bold">
        Safe and shared: {entry.name}
      </h2>
      <AutoExport state={exported} />
      <p className="max-w-[60ch]">
        Two people or two devices keep one book by handing it over: export it there, and{" "}
        <Link to="/hand-over" className="text-clear underline">
          take it in here
        </Link>
        . Nothing is dropped; what differs is put side by side.
      </p>
      <p className="max-w-[60ch]">
        Machines, readings, tasks, parts and the log as{" "}
        <Link to="/tables" className="text-clear underline">
          tables in and out
        </Link>
        , for a spreadsheet or from one.
      </p>
      <p>
        <Link to="/preferences" className="text-clear underline">
          How this browser shows things, and the windows of the book
        </Link>
        .
      </p>
      <SecondTrace />
      <p>
        <Link to="/books/promised" className="text-clear underline">
          What is promised, and what is not
        </Link>
        .
      </p>
    </section>
  );
}

/** Whether every book has said what it has to say: what came late would move what is about to be pressed. A book that comes later hides nothing again. */
function useAllRead(books: readonly BookEntry[] | undefined): {
  readonly isRead: boolean;
  readonly onRead: (id: string) => void;
} {
  const [read, setRead] = useState<ReadonlySet<string>>(new Set());
  const [wasRead, setWasRead] = useState(false);
  const onRead = useCallback((id: string) => setRead((before) => new Set([...before, id])), []);
  if (!wasRead && books?.every(({ id }) => read.has(id)) === true) setWasRead(true);
  return { isRead: wasRead, onRead };
}
