import { dayOf, type MachineBook } from "@yonderfell/core";
import { BookText, FileText, GraduationCap, ScrollText } from "lucide-react";
import { useEffect, useRef, useState, type ReactElement } from "react";
import { Link } from "react-router";
import { fullDate } from "../../words/format.js";
import type { WorkNames } from "../../words/workWords.js";
import { WhatItTook } from "../shared/logging/WhatItTook.js";
import { figuresOf, standsAs, titleOf } from "./historyWords.js";
import { historyOf, replacedIn, type HistoryItem } from "./history.js";
import { useWorkNames } from "../../session/useWorkNames.js";
import {
  correctionPath,
  learningPath,
  machinePath,
  recordPath,
  reportPath,
} from "../shared/paths.js";
import { CheckField } from "../../ui/fields.js";
import { ShowMore } from "../../ui/ShowMore.js";

const AT_FIRST = 12;
const MORE = 50;

/** What was done to a machine and what its dials showed, latest first. */
export function MachineHistory({
  book,
  marked,
}: {
  readonly book: MachineBook;
  /** The record to be shown and marked, null where none is asked for. */
  readonly marked: string | null;
}): ReactElement {
  const place = historyOf(book)
    .filter((item) => item.kind !== "readings")
    .findIndex((item) => item.record.id === marked);
  const [shown, setShown] = useState(Math.max(AT_FIRST, place + 1));
  const [withReadings, setWithReadings] = useState(false);
  const superseded = replacedIn(book);
  const names = useWorkNames(book.machines[0].id, book.entries);
  const items = historyOf(book).filter((item) => withReadings || item.kind !== "readings");
  return (
    <section aria-labelledby="history" className="mt-8">
      <HistoryHead machine={book.machines[0].id} {...{ withReadings, setWithReadings }} />
      <ul>
        {items.slice(0, shown).map((item) => (
          <HistoryRow
            key={item.record.id}
            item={item}
            book={book}
            names={names}
            isSuperseded={superseded.has(item.record.id)}
            isMarked={item.record.id === marked}
          />
        ))}
      </ul>
      <ShowMore
        rest={items.length - shown}
        words="Show older,"
        onMore={() => setShown(shown + MORE)}
      />
    </section>
  );
}

function HistoryHead({
  machine,
  withReadings,
  setWithReadings,
}: {
  readonly machine: string;
  readonly withReadings: boolean;
  readonly setWithReadings: (withReadings: boolean) => void;
}): ReactElement {
  return (
    <div className="flex flex-wrap items-center justify-between gap-3">
      <h2 id="history" className="text-large font-bold">
        History
      </h2>
      <div className="flex flex-wrap items-center gap-x-6">
        <CheckField label="Meter readings too" value={withReadings} onChange={setWithReadings} />
        <Link
          to={machinePath(machine, "/logbook")}
          className="flex min-h-10 items-center gap-2 text-clear hover:underline max-sm:min-h-12"
        >
          <BookText size={18} aria-hidden="true" />
          Logbook, to print
        </Link>
        <Link
          to={reportPath(machine)}
          className="flex min-h-10 items-center gap-2 text-clear hover:underline max-sm:min-h-12"
        >
          <FileText size={18} aria-hidden="true" />
          Report for the owner
        </Link>
        <Link
          to={recordPath(machine)}
          className="flex min-h-10 items-center gap-2 text-clear hover:underline max-sm:min-h-12"
        >
          <ScrollText size={18} aria-hidden="true" />
          Service record
        </Link>
        <Link
          to={learningPath(machine)}
          className="flex min-h-10 items-center gap-2 text-clear hover:underline max-sm:min-h-12"
        >
          <GraduationCap size={18} aria-hidden="true" />
          What it teaches
        </Link>
      </div>
    </div>
  );
}

function HistoryRow({
  item,
  book,
  names,
  isSuperseded,
  isMarked,
}: {
  readonly item: HistoryItem;
  readonly book: MachineBook;
  /** Undefined until they are read. */
  readonly names: WorkNames | undefined;
  readonly isSuperseded: boolean;
  readonly isMarked: boolean;
}): ReactElement {
  const { record, kind } = item;
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (isMarked) row.current?.scrollIntoView({ block: "center" });
  }, [isMarked]);
  const isAside = isSuperseded || record.void === true;
  const { id } = book.machines[0];
  return (
    <li
      ref={row}
      data-marked={isMarked || undefined}
      className={`grid items-baseline gap-x-6 gap-y-0.5 border-t border-hairline py-2 sm:grid-cols-[7.5rem_minmax(12rem,20rem)_1fr_auto] ${isAside ? "text-quiet" : ""} ${isMarked ? "bg-wash outline-2 outline-offset-4 outline-clear" : ""}`}
    >
      <span className="whitespace-nowrap tabular-nums">{fullDate(dayOf(record.date))}</span>
      <span className={`text-quiet tabular-nums ${isAside ? "line-through" : ""}`}>
        {figuresOf(item, book.machines[0].meters ?? [])}
      </span>
      <span>
        <strong className={`font-semibold ${isAside ? "line-through" : ""}`}>
          {titleOf(item, book.tasks)}
        </strong>
        <StandingWords item={item} isSuperseded={isSuperseded} />
        {item.kind === "entries" && <WhatItTook entry={item.record} names={names} />}
        {typeof record.note === "string" && <span className="block text-quiet">{record.note}</span>}
      </span>
      {!isAside && (
        <Link
          to={correctionPath(id, kind, record.id)}
          aria-label={`Correct ${titleOf(item, book.tasks)}, ${fullDate(dayOf(record.date))}`}
          className="text-clear hover:underline max-sm:flex max-sm:min-h-12 max-sm:items-center"
        >
          Correct
        </Link>
      )}
    </li>
  );
}

/** Whether a record has been replaced, withdrawn, or stands in the place of another. */
function StandingWords({
  item,
  isSuperseded,
}: {
  readonly item: HistoryItem;
  readonly isSuperseded: boolean;
}): ReactElement | null {
  const words = standsAs(item, isSuperseded);
  return words === "" ? null : <span className="text-fine text-quiet"> · {words}</span>;
}
