import { CSV_KINDS, formatDay, type CsvKind } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { Download } from "lucide-react";
import type { ReactElement } from "react";
import { downloadFile } from "../../session/downloadFile.js";
import { notifyFailure, notifySuccess } from "../../session/notify.js";
import { useBook } from "../../session/openBook.js";
import { currentDay } from "../../data/today.js";
import { useOneAtATime } from "../../session/useOneAtATime.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { errorWords } from "../../words/errorWords.js";
import { tableFileName } from "../../words/exportFileName.js";
import { countedKind } from "../../words/tableWords.js";
import { tables } from "../../work/tablesClient.js";

/** The records of each kind as a table for a spreadsheet. */
export function WriteOut(): ReactElement {
  const { entry, storage } = useBook();
  const once = useOneAtATime();
  const counts = useLiveQuery(() => storage.counts(), [storage]);
  const write = (kind: CsvKind): Promise<void> =>
    once(async () => {
      try {
        const name = tableFileName(entry.name, kind, formatDay(currentDay(new Date())));
        downloadFile(await tables().file(entry.database, kind), name);
        notifySuccess(`The ${kind} are in ${name}.`);
      } catch (error) {
        notifyFailure(`The ${kind} could not be written to a file: ${errorWords(error)}.`);
      }
    });
  return (
    <section aria-labelledby="write-out" className="mt-8 border-t border-rule pt-5">
      <h2 id="write-out" className="text-large font-bold">
        Write a table out
      </h2>
      <p className="mt-1 max-w-[68ch]">
        For a spreadsheet, and to bring in again: read back as it is, it changes nothing. What no
        column has room for stands in the last one.
      </p>
      <ul className="mt-3 flex flex-wrap gap-3">
        {CSV_KINDS.map((kind) => (
          <li key={kind}>
            <button
              type="button"
              className={QUIET_BUTTON}
              disabled={(counts?.[kind] ?? 0) === 0}
              onClick={() => void write(kind)}
            >
              <Download size={18} aria-hidden="true" />
              {countedKind(counts?.[kind] ?? 0, kind)}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
