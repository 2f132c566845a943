import type { Gallons } from "@yonderfell/core";
import { useEffect, useRef, type ReactElement } from "react";
import { useNavigate } from "react-router";
import { useReckonerCalls, type Measure } from "../../session/reckonerCalls.js";
import { useBookGallons } from "../../session/useBookGallons.js";
import { Answer } from "./Answer.js";
import { fromMachine, type KnownMachine } from "../shared/sums/fromMachine.js";
import { reckoned, type Outcome } from "../shared/sums/reckoned.js";
import { fieldProblemWords, outcomeWords } from "../shared/sums/sumWords.js";
import type { Typed } from "../shared/sums/readFields.js";
import { SumField } from "../shared/sums/SumField.js";
import type { SumForm } from "../shared/sums/sumForm.js";

/** One sum: what it takes, and its answer while one types. */
export function SumPage({
  form,
  typed,
  known,
  onType,
  onClose,
}: {
  readonly form: SumForm;
  /** What was typed; the rest is as the machine fills it in, or as it is at first. */
  readonly typed: Typed;
  readonly known: KnownMachine | null;
  readonly onType: (field: string, value: string) => void;
  readonly onClose: () => void;
}): ReactElement {
  const { call } = useReckonerCalls();
  const fields = useRef<HTMLDivElement>(null);
  useEffect(() => focusFirstEmpty(fields.current), []);
  const ofBook = useBookGallons();
  const gallons = known?.machine.machine.gallons ?? ofBook;
  const filledIn = known === null ? null : fromMachine(form.sum, known);
  const now = { ...filledIn?.typed, ...typed };
  const outcome = reckoned(form, now, gallons);
  const valueOf = (name: string, initial = ""): string => now[name] ?? initial;
  const keep = useKeeping(known, onClose);
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
      <h3 className="text-title leading-tight font-bold lg:col-span-2">{form.question}</h3>
      <div ref={fields} className="grid grid-cols-2 content-start gap-x-4 gap-y-2">
        {known !== null && <FilledIn known={known} said={filledIn?.said ?? []} />}
        <Fields {...{ form, outcome, valueOf, gallons, onType }} />
      </div>
      <div className="lg:sticky lg:top-0 lg:self-start">
        <Answer
          form={form}
          outcome={outcome}
          filled={form.fields.flatMap(({ name, label, initial }) => {
            const value = valueOf(name, initial);
            return value === "" ? [] : `${label}: ${value.replaceAll("\n", "; ")}`;
          })}
          onKeep={known === null ? null : keep}
          onTake={({ quantity }) => {
            onClose();
            call?.take(quantity);
          }}
        />
      </div>
      {/* On a narrow screen the answer stands below the fields: its words stay in sight. */}
      <p
        aria-hidden="true"
        className="sticky bottom-0 border-t-2 border-ink bg-raised px-4 py-2 text-large font-bold lg:hidden"
      >
        {outcomeWords(outcome)}
      </p>
    </div>
  );
}

function Fields({
  form,
  outcome,
  valueOf,
  gallons,
  onType,
}: {
  readonly form: SumForm;
  readonly outcome: Outcome;
  readonly valueOf: (name: string, initial?: string) => string;
  readonly gallons: Gallons | null;
  readonly onType: (field: string, value: string) => void;
}): ReactElement {
  const problems = outcome.kind === "wrong" ? outcome.problems : {};
  return (
    <>
      {form.fields.map((field) => {
        const problem = problems[field.name];
        return (
          <SumField
            key={field.name}
            field={field}
            value={valueOf(field.name, field.initial)}
            gallons={gallons}
            problem={problem === undefined ? "" : fieldProblemWords(problem)}
            onChange={(value) => onType(field.name, value)}
          />
        );
      })}
    </>
  );
}

/** One goes on typing where something is still to be said. */
function focusFirstEmpty(within: HTMLElement | null): void {
  const fields = [...(within?.querySelectorAll<HTMLInputElement>("input, textarea") ?? [])];
  const open = fields.filter(({ type }) => type !== "checkbox");
  (open.find(({ value }) => value === "") ?? open[0])?.focus();
}

/** Keeps an answer as a measure: in the form of work on the page, or in a new one of the machine. */
function useKeeping(known: KnownMachine | null, onClose: () => void): (measure: Measure) => void {
  const navigate = useNavigate();
  const { measureTakerRef } = useReckonerCalls();
  return (measure) => {
    const taker = measureTakerRef.current;
    onClose();
    if (taker !== null) taker(measure);
    else if (known !== null) {
      const path = `/log/${encodeURIComponent(known.machine.machine.id)}`;
      void navigate(`${path}?measure=${encodeURIComponent(JSON.stringify(measure))}`);
    }
  };
}

/** Says what was filled in from the machine one stands on. */
function FilledIn({
  known: { machine },
  said,
}: {
  readonly known: KnownMachine;
  readonly said: readonly string[];
}): ReactElement | null {
  if (said.length === 0) return null;
  const { tag, name } = machine.machine;
  return (
    <p className="text-fine text-quiet col-span-2">
      Filled in from{" "}
      <strong className="text-ink">
        {tag} {name}
      </strong>
      : {said.join("; ")}. Type over what is not so.
    </p>
  );
}
