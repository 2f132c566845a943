import { dayOf, type BoardMachine, type Entry } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { Download } from "lucide-react";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { useBook } from "../../session/openBook.js";
import { useExport, useExportState } from "../../session/useExport.js";
import { useAppSelector } from "../../session/store.js";
import { useWorkNames } from "../../session/useWorkNames.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { exportWords } from "../../words/bookWords.js";
import { entryTitle } from "../../words/entryWords.js";
import { fullDate, sentence } from "../../words/format.js";
import type { WorkNames } from "../../words/workWords.js";
import { LedgerPage } from "./LedgerPage.js";
import { WhatItTook } from "../shared/logging/WhatItTook.js";

const AT_FIRST = 40;
const MORE = 100;

/** The log over all machines, and the way out into a file. */
export default function Ledger(): ReactElement {
  const { storage } = useBook();
  const [shown, setShown] = useState(AT_FIRST);
  const entries = useLiveQuery(() => storage.latestEntries(shown), [storage, shown]);
  const machines = useAppSelector((state) => state.board.machines);
  const names = useWorkNames("the log", entries);
  return (
    <LedgerPage title="Ledger" aside={<ExportButton />}>
      <h2 className="text-large font-bold">The log</h2>
      <ul>
        {(entries ?? []).map((entry) => (
          <LogRow key={entry.id} entry={entry} machines={machines} names={names} />
        ))}
      </ul>
      {entries?.length === 0 && (
        <p className="py-6 text-quiet">Nothing has been logged yet. Log work from Ahead.</p>
      )}
      {entries?.length === shown && (
        <button
          type="button"
          className={`${QUIET_BUTTON} mt-3`}
          onClick={() => setShown(shown + MORE)}
        >
          Show older
        </button>
      )}
    </LedgerPage>
  );
}

function LogRow({
  entry,
  machines,
  names,
}: {
  readonly entry: Entry;
  readonly machines: readonly BoardMachine[];
  /** Undefined until they are read. */
  readonly names: WorkNames | undefined;
}): ReactElement {
  const machine = machines.find((one) => one.machine.id === entry.machine);
  const nameOf = (id: string): string =>
    machine?.tasks.find((one) => one.task.id === id)?.task.name ?? id;
  const title = sentence(entryTitle(entry, nameOf) || "note");
  return (
    <li className="grid gap-x-6 gap-y-0.5 border-t border-hairline py-2 sm:grid-cols-[7.5rem_14rem_1fr]">
      <span className="whitespace-nowrap tabular-nums">{fullDate(dayOf(entry.date))}</span>
      <Link to={`/yard/${encodeURIComponent(entry.machine)}`} className="hover:underline">
        <span className="mr-2 font-mono font-bold">{machine?.machine.tag}</span>{" "}
        {machine?.machine.name ?? entry.machine}
        <span className="sr-only">
          , {fullDate(dayOf(entry.date))}: {title}
        </span>
      </Link>
      <span>
        <strong className="font-semibold">{title}</strong>
        <WhatItTook entry={entry} names={names} />
        {typeof entry.note === "string" && <span className="block text-quiet">{entry.note}</span>}
      </span>
    </li>
  );
}

function ExportButton(): ReactElement {
  const { storage, entry } = useBook();
  const state = useExportState(storage);
  const save = useExport(entry, storage);
  return (
    <div className="flex flex-wrap items-center gap-4">
      {state !== undefined && <span className="text-fine text-quiet">{exportWords(state)}</span>}
      <button type="button" className={QUIET_BUTTON} onClick={() => void save()}>
        <Download size={18} aria-hidden="true" />
        Export the book
      </button>
    </div>
  );
}
