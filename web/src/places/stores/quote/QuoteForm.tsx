import { formatDay, quoteVisit, VISIT_NEEDS, type Quote, type Visit } from "@yonderfell/core";
import type { ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { RowsField } from "../../../form/RowsField.js";
import { useForm } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { NoteField, TextField } from "../../../ui/fields.js";
import { visitIssueWords } from "../../../words/visitIssueWords.js";
import {
  emptyLine,
  modelOfQuote,
  QUOTE_LABELS,
  quoteOf,
  quoteProblems,
  quoteProblemWords,
} from "./quoteModel.js";

/** The way to keep a quote with its visit, or to take it out. */
function useQuoting(): {
  readonly keep: (seen: Visit, quote: Quote | null) => Promise<boolean>;
  readonly failure: string;
} {
  const { run, failure } = useCommands(visitIssueWords);
  const keep = async (seen: Visit, quote: Quote | null): Promise<boolean> => {
    const saved = await run(
      (storage, around) =>
        storage.perform(
          seen.machine,
          VISIT_NEEDS,
          (slice) => quoteVisit(slice, seen, quote),
          around,
        ),
      quote === null ? "The quote is taken out." : "The quote is kept with the visit.",
    );
    return saved !== null;
  };
  return { keep, failure };
}

/** What a workshop asks for a visit, line by line. */
export function QuoteForm({ visit }: { readonly visit: Visit }): ReactElement {
  const today = formatDay(useAppSelector((state) => state.session.today));
  const { keep, failure } = useQuoting();
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
