import { Check, Copy, CornerDownLeft, NotebookPen } from "lucide-react";
import { useState, type ReactElement } from "react";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { quantityWords } from "../../words/quantityWords.js";
import { useReckonerCalls, type Measure } from "../../session/reckonerCalls.js";
import { Plot } from "./Plot.js";
import type { Outcome } from "../shared/sums/reckoned.js";
import { answerText, outcomeWords } from "../shared/sums/sumWords.js";
import type { Given, SumForm, Told } from "../shared/sums/sumForm.js";

interface AnswerProps {
  readonly form: SumForm;
  readonly outcome: Outcome;
  /** What stands in the fields, for the copy. */
  readonly filled: readonly string[];
  /** Keeps it with work; null where no machine is known whose. */
  readonly onKeep: ((measure: Measure) => void) | null;
  readonly onTake: (given: Given) => void;
}

const OUTCOME_LOOK = {
  refused: "text-large font-bold",
  incomplete: "text-quiet",
  wrong: "font-semibold text-due",
} as const;

/** What comes of what stands in the fields: the answer, drawn and with its reason, or what it still needs. */
export function Answer(props: AnswerProps): ReactElement {
  const { form, outcome } = props;
  return (
    <section
      aria-label="Answer"
      aria-live="polite"
      className="border-y-2 border-ink bg-raised px-4 py-3"
    >
      {outcome.kind === "told" && <TheAnswer {...props} told={outcome.told} />}
      {outcome.kind !== "told" && (
        <p className={OUTCOME_LOOK[outcome.kind]}>{outcomeWords(outcome)}</p>
      )}
      {form.caution !== undefined && (
        <p className="mt-3 border-l-4 border-soon pl-3 text-fine">
          <strong>Take care.</strong> {form.caution}
        </p>
      )}
      <p className="mt-2 text-fine text-quiet">{form.source}</p>
    </section>
  );
}

function TheAnswer({
  form,
  told,
  filled,
  onKeep,
  onTake,
}: AnswerProps & { readonly told: Told }): ReactElement {
  return (
    <>
      <p className="text-title leading-tight font-bold tabular-nums">{told.main}</p>
      {(told.more ?? []).map((words) => (
        <p key={words} className="font-medium tabular-nums">
          {words}
        </p>
      ))}
      <p className="text-quiet">{told.reason}</p>
      {told.plot !== undefined && (
        <div className="mt-3">
          <Plot spec={told.plot} />
        </div>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <Taking given={told.given ?? []} onTake={onTake} />
        {told.measure !== undefined && onKeep !== null && (
          <button
            type="button"
            className={QUIET_BUTTON}
            onClick={() => onKeep(told.measure as Measure)}
          >
            <NotebookPen size={18} aria-hidden="true" />
            Keep with work
          </button>
        )}
        <CopyButton text={answerText(form.question, told, filled)} />
      </div>
    </>
  );
}

/** Hands a figure to the field that asked for it. */
function Taking({
  given,
  onTake,
}: {
  readonly given: readonly Given[];
  readonly onTake: (given: Given) => void;
}): ReactElement | null {
  const { call } = useReckonerCalls();
  if (call === null) return null;
  return (
    <>
      {given.map((one) => (
        <button key={one.label} type="button" className={QUIET_BUTTON} onClick={() => onTake(one)}>
          <CornerDownLeft size={18} aria-hidden="true" />
          {`${quantityWords(one.quantity)} ${one.label} into “${call.field}”`}
        </button>
      ))}
    </>
  );
}

function CopyButton({ text }: { readonly text: string }): ReactElement {
  const [copied, setCopied] = useState("");
  const isCopied = copied === text;
  return (
    <button
      type="button"
      className={QUIET_BUTTON}
      onClick={() => {
        void navigator.clipboard.writeText(text).then(
          () => setCopied(text),
          () => setCopied(""),
        );
      }}
    >
      {isCopied ? <Check size={18} aria-hidden="true" /> : <Copy size={18} aria-hidden="true" />}
      {isCopied ? "Copied" : "Copy as text"}
    </button>
  );
}
