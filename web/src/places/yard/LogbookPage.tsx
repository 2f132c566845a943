import {
  dayOf,
  entryCost,
  wholeCost,
  type BoardMachine,
  type MachineBook,
  type MachineId,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useParams } from "react-router";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
import { useAppSelector } from "../../session/store.js";
import { useWorkNames } from "../../session/useWorkNames.js";
import { CheckField } from "../../ui/fields.js";
import { Page } from "../../ui/Page.js";
import { counted, dialFigureWithUnit, fullDate } from "../../words/format.js";
import { money } from "../../words/money.js";
import { workWords, type WorkNames } from "../../words/workWords.js";
import { figuresOf, standsAs, titleOf } from "./historyWords.js";
import { logbookOf, type HistoryItem } from "./history.js";
import { useMachineOfAddress } from "./MachineFrame.js";
import { machinePath } from "../shared/paths.js";
import { PrintActions } from "../shared/PrintActions.js";

/** What a logbook shows beside the work done. */
interface Shows {
  readonly readings: boolean;
  readonly costs: boolean;
}

/** The logbook of a machine: all that was done to it and stands, in order, to read from the start or to print. */
export default function LogbookPage(): ReactElement {
  const machine = useMachineOfAddress();
  const id = (useParams()["machineId"] ?? "") as MachineId;
  const { storage } = useBook();
  const book = useLiveOf(id, () => storage.machineBook(id), [storage]);
  const [shows, setShows] = useState<Shows>({ readings: false, costs: true });
  if (machine === undefined) return <Page title="Logbook">The book has no such machine.</Page>;
  const { tag, name } = machine.machine;
  return (
    <Page
      title={`Logbook: ${tag} ${name}`}
      aside={
        <PrintActions back={machinePath(id)} backWords="Back to the machine">
          <CheckField
            label="Meter readings too"
            value={shows.readings}
            onChange={(readings) => setShows({ ...shows, readings })}
          />
          <CheckField
            label="What it cost"
            value={shows.costs}
            onChange={(costs) => setShows({ ...shows, costs })}
          />
        </PrintActions>
      }
    >
      {book !== undefined && book !== null && (
        <Logbook machine={machine} book={book} shows={shows} />
      )}
    </Page>
  );
}

function Logbook({
  machine,
  book,
  shows,
}: {
  readonly machine: BoardMachine;
  readonly book: MachineBook;
  readonly shows: Shows;
}): ReactElement {
  const names = useWorkNames(machine.machine.id, book.entries);
  const today = useAppSelector((state) => state.session.today);
  const items = logbookOf(book, shows.readings);
  const { description, variant, vin, serial, registration } = machine.machine;
  const facts = [description, variant, registration, vin ?? serial].filter(Boolean);
  const dials = machine.meters.flatMap(({ dial, meter }) =>
    dial === null ? [] : `${meter.name ?? meter.id} ${dialFigureWithUnit(dial, meter.unit)}`,
  );
  return (
    <article>
      <p className="mb-3 text-quiet">
        {[...facts, ...dials].join(" · ")}
        <span className="block">
          {counted(items.length, "line")} up to {fullDate(today)}. Of what was corrected only what
          stands is told.
        </span>
      </p>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b border-rule text-fine text-quiet">
            <th scope="col" className="py-1 pr-4 font-medium">
              Day
            </th>
            <th scope="col" className="pr-4 font-medium">
              Dials
            </th>
            <th scope="col" className="font-medium">
              What was done, and what it took
            </th>
            {shows.costs && (
              <th scope="col" className="pl-4 text-right font-medium">
                Cost
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {items.map((item) => (
            <Line key={item.record.id} {...{ item, book, names, hasCosts: shows.costs }} />
          ))}
        </tbody>
      </table>
      {items.length === 0 && <p className="py-6 text-quiet">Nothing has been logged yet.</p>}
    </article>
  );
}

function Line({
  item,
  book,
  names,
  hasCosts,
}: {
  readonly item: HistoryItem;
  readonly book: MachineBook;
  readonly names: WorkNames | undefined;
  readonly hasCosts: boolean;
}): ReactElement {
  const { record, kind } = item;
  const stands = standsAs(item, false);
  const took = kind === "entries" && names !== undefined ? workWords(record, names, false) : [];
  return (
    <tr className="break-inside-avoid border-b border-hairline align-baseline">
      <td className="py-1.5 pr-4 whitespace-nowrap tabular-nums">{fullDate(dayOf(record.date))}</td>
      <td className="py-1.5 pr-4 text-quiet tabular-nums">
        {figuresOf(item, book.machines[0].meters ?? [])}
      </td>
      <td className="py-1.5">
        <strong className="font-semibold">{titleOf(item, book.tasks)}</strong>
        {stands !== "" && <span className="text-fine text-quiet"> · {stands}</span>}
        {took.length > 0 && (
          <span className="block text-fine tabular-nums">{took.join(" · ")}</span>
        )}
        {typeof record.note === "string" && <span className="block text-quiet">{record.note}</span>}
      </td>
      {hasCosts && (
        <td className="py-1.5 pl-4 text-right whitespace-nowrap tabular-nums">
          {kind === "entries" && <Cost entry={record} currency={names?.currency ?? ""} />}
        </td>
      )}
    </tr>
  );
}

/** What an entry came to, and how many of its lines say nothing of it; nothing where it has no lines. */
function Cost({
  entry,
  currency,
}: {
  readonly entry: MachineBook["entries"][number];
  readonly currency: string;
}): ReactElement | null {
  const lines = [entry.fluids, entry.parts, entry.work, entry.costs];
  if (lines.every((list) => (list ?? []).length === 0)) return null;
  const cost = entryCost(entry);
  return (
    <>
      {money(wholeCost(cost), currency)}
      {entry.warranty === true && <span className="block text-fine text-quiet">warranty</span>}
      {cost.missing > 0 && (
        <span className="block text-fine text-quiet">{cost.missing} without a price</span>
      )}
    </>
  );
}
