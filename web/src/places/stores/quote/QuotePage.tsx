import {
  currentRecords,
  dayOf,
  inTheEnd,
  ownWork,
  type MachineId,
  type OwnLine,
  type OwnWork,
  type Quote,
  type Visit,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link, useParams } from "react-router";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";
import { useWorkSource, type WorkSource } from "../../../session/useWorkSource.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import NotFound from "../../../ui/NotFound.js";
import { counted, fullDate } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { gapWords, itemAmount } from "../stockWords.js";
import { StoresFrame } from "../StoresFrame.js";
import { QuoteForm } from "./QuoteForm.js";

/** The work of a visit done by oneself, beside what a workshop asks for it, and what it was in the end. */
export default function QuotePage(): ReactElement | null {
  const { machineId = "", visitId = "" } = useParams();
  const { storage } = useBook();
  const source = useWorkSource(machineId as MachineId);
  const containers = useLiveOf("containers", () => storage.list("containers"), [storage]);
  if (source === undefined || containers === undefined) return null;
  const visit = source?.book.visits.find(({ id }) => id === visitId);
  if (source === null || visit === undefined) return <NotFound />;
  const [machine] = source.book.machines;
  const { plate, parts, products, people, stockMoves, book } = source;
  const from = { machine: machine.id, plate, parts, products, people, stockMoves, containers };
  const own = ownWork(visit, dayOf(visit.date), book.tasks, from);
  const names = visit.tasks.map((id) => book.tasks.find((task) => task.id === id)?.name ?? "");
  return (
    <StoresFrame title={`${machine.tag} ${machine.name}: own work or a workshop’s`}>
      <p className="mb-3">
        Visit of {fullDate(dayOf(visit.date))}: <strong>{names.join(", ")}</strong>
      </p>
      <End visit={visit} source={source} own={own} />
      <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-2">
        <Own own={own} quote={visit.quote ?? null} />
        <QuoteForm visit={visit} />
      </div>
      <Link to="/stores/quotes" className={`${QUIET_BUTTON} mt-6`}>
        All quotes
      </Link>
    </StoresFrame>
  );
}

const KIND_WORDS: Readonly<Record<OwnLine["kind"], string>> = {
  part: "Parts",
  fluid: "Fluids",
  seal: "Seals",
  work: "Own hours",
  waste: "Handing in",
};

/** How much of a line: minutes of work, litres, pieces. */
function howMuch({ kind, amount, item }: OwnLine): string {
  if (amount === null) return "not known";
  if (kind === "work") return counted(amount, "minute");
  if (kind === "waste" || kind === "fluid") return itemAmount(amount, "L");
  return item === null ? "" : itemAmount(amount, "piece");
}

/** One's own work, line by line; what the quote does not name stands out. */
function Own({
  own,
  quote,
}: {
  readonly own: OwnWork;
  readonly quote: Quote | null;
}): ReactElement {
  const currency = useCurrency();
  const hasLines = (quote?.lines.length ?? 0) > 0;
  return (
    <section aria-labelledby="own-work">
      <h2 id="own-work" className="text-large font-bold">
        Done by yourself: <span className="tabular-nums">{money(own.total, currency)}</span>
      </h2>
      {own.missing > 0 && (
        <p className="text-soon-text">
          {counted(own.missing, "line")} without a price {own.missing === 1 ? "is" : "are"} left
          out.
        </p>
      )}
      <ul>
        {own.lines.map((line, at) => (
          <li
            key={at}
            className="grid grid-cols-[1fr_6rem_6rem] items-baseline gap-x-4 border-t border-hairline py-1.5"
          >
            <span>
              <span className="text-fine text-quiet">{KIND_WORDS[line.kind]} </span>
              <span className="block font-medium">{line.what}</span>
              {hasLines && line.inQuote === null && (
                <strong className="block text-due">not in the quote</strong>
              )}
              {line.inQuote !== null && (
                <span className="block text-fine text-quiet">
                  in the quote: {quote?.lines[line.inQuote]?.what ?? ""}
                </span>
              )}
            </span>
            <span className="text-right tabular-nums">{howMuch(line)}</span>
            <span className="text-right font-semibold tabular-nums">
              {line.cost === null ? (
                <span className="font-normal text-quiet">not known</span>
              ) : (
                money(line.cost, currency)
              )}
            </span>
          </li>
        ))}
      </ul>
      {own.gaps.length > 0 && (
        <ul className="mt-2 border-l-4 border-soon pl-3 text-soon-text">
          {own.gaps.map((gap) => (
            <li key={`${gap.code} ${gap.what}`}>{gapWords(gap)}</li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** The quote beside one's own work, and what it was in the end. */
function End({
  visit,
  source,
  own,
}: {
  readonly visit: Visit;
  readonly source: WorkSource;
  readonly own: OwnWork;
}): ReactElement | null {
  const currency = useCurrency();
  const entries = currentRecords(source.book.entries).map(({ record }) => record);
  const end = inTheEnd(visit, entries);
  const lines: (readonly [string, string])[] = [];
  if (own.quote !== null) {
    const off = own.quote - own.total;
    const than = `${money(Math.abs(off), currency)} ${off > 0 ? "more" : "less"} than by yourself`;
    lines.push([`The quote: ${money(own.quote, currency)}`, than]);
  }
  if (end !== null) {
    const by = listDays(end.entries.map(({ date }) => date));
    const left =
      end.missing > 0 ? `, ${counted(end.missing, "line")} without a price left out` : "";
    lines.push([`In the end: ${money(end.total, currency)}`, `as logged on ${by}${left}`]);
  }
  const only = own.onlyQuoted.flatMap((at) => visit.quote?.lines[at]?.what ?? []);
  if (lines.length === 0 && only.length === 0) return null;
  return (
    <section
      aria-label="Beside each other"
      className="mb-5 flex flex-wrap gap-x-10 border-l-4 border-clear pl-3"
    >
      {lines.map(([head, words]) => (
        <p key={head} className="py-1">
          <strong className="text-large tabular-nums">{head}</strong>
          <span className="block text-quiet">{words}</span>
        </p>
      ))}
      {only.length > 0 && (
        <p className="py-1">
          <strong>Only in the quote: </strong>
          {only.join(", ")}. Ask what it is for.
        </p>
      )}
    </section>
  );
}

const listDays = (dates: readonly string[]): string =>
  [...new Set(dates)].map((date) => fullDate(dayOf(date))).join(" and ");
