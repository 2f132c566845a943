import {
  currentRecords,
  dayOf,
  formatDay,
  inTheEnd,
  ownWork,
  quoteVisit,
  VISIT_NEEDS,
  type MachineId,
  type OwnLine,
  type OwnWork,
  type Quote,
  type Visit,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link, useParams } from "react-router";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { FormBody } from "../../../form/FormBody.js";
import { RowsField } from "../../../form/RowsField.js";
import { useForm } from "../../../form/useForm.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { useWorkSource, type WorkSource } from "../../../session/useWorkSource.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { NoteField, TextField } from "../../../ui/fields.js";
import NotFound from "../../../ui/NotFound.js";
import { counted, fullDate } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { visitIssueWords } from "../../../words/visitIssueWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { gapWords, itemAmount } from "../stockWords.js";
import { StoresFrame } from "../StoresFrame.js";
import {
  emptyLine,
  modelOfQuote,
  QUOTE_LABELS,
  quoteOf,
  quoteProblems,
  quoteProblemWords,
} from "./quoteModel.js";

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

function QuoteForm({ visit }: { readonly visit: Visit }): ReactElement {
  const today = formatDay(useAppSelector((state) => state.session.today));
  const { run, failure } = useCommands(visitIssueWords);
  const keep = async (seen: Visit, quote: Quote | null): Promise<boolean> => {
    const saved = await run(
      (storage, around) =>
        storage.perform(
          visit.machine,
          VISIT_NEEDS,
          (slice) => quoteVisit(slice, seen, quote),
          around,
        ),
      quote === null ? "The quote is taken out." : "The quote is kept with the visit.",
    );
    return saved !== null;
  };
  const form = useForm({
    form: "quote",
    of: visit.id,
    source: visit,
    modelOf: ({ quote }) => modelOfQuote(quote ?? null, today),
    labels: QUOTE_LABELS,
    problemsOf: quoteProblems,
    problemWords: quoteProblemWords,
  });
  const { field } = form;
  return (
    <section aria-labelledby="the-quote">
      <h2 id="the-quote" className="mb-1 text-large font-bold">
        What a workshop asks
      </h2>
      <FormBody
        form={form}
        onSave={(model, seen) => keep(seen, quoteOf(model))}
        failure={failure}
        className="space-y-2"
        foot={
          <div className="flex flex-wrap gap-3">
            <button type="submit" className={PRIMARY_BUTTON}>
              Keep the quote
            </button>
            {visit.quote && (
              <button type="button" className={QUIET_BUTTON} onClick={() => void keep(visit, null)}>
                Take it out
              </button>
            )}
          </div>
        }
      >
        <div className="grid gap-x-5 gap-y-2 sm:grid-cols-3">
          <TextField isRequired {...field("workshop")} />
          <DayField {...field("on")} />
          <TextField isMono {...field("total")} note="the sum of its lines where empty" />
        </div>
        <RowsField {...field("lines")} noun="line" empty={emptyLine}>
          {(_row, rowField) => (
            <div className="grid gap-x-4 sm:grid-cols-[1fr_8rem]">
              <TextField label="What" {...rowField("what")} />
              <TextField label="Costs" isMono {...rowField("amount")} />
            </div>
          )}
        </RowsField>
        <NoteField {...field("note")} />
      </FormBody>
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
