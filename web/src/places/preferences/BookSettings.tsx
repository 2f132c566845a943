import { useLiveQuery } from "dexie-react-hooks";
import type { ReactElement } from "react";
import { useBook } from "../../session/openBook.js";
import { BookWriting } from "./BookWriting.js";
import { Windows } from "./Windows.js";

/** What is set for everyone who uses the open book. */
export function BookSettings(): ReactElement | null {
  const { storage, entry } = useBook();
  const own = useLiveQuery(async () => ({ settings: await storage.ownSettings() }), [storage]);
  if (own === undefined) return null;
  return (
    <section aria-labelledby="book" className="space-y-6">
      <h2 id="book" className="text-large font-bold">
        {entry.name}
      </h2>
      <Windows own={own.settings} />
      <BookWriting own={own.settings} />
    </section>
  );
}
