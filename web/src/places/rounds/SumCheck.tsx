import {
  checkLimits,
  figuresBefore,
  knownFigures,
  plateFigures,
  type Check,
  type Figures,
  type Gallons,
} from "@yonderfell/core";
import { useEffect, useRef, useState, type ReactElement } from "react";
import { useBookGallons } from "../../session/useBookGallons.js";
import { useAppSelector } from "../../session/store.js";
import { CHOICE_BUTTON } from "../../ui/buttons.js";
import { fromMachine, type KnownMachine } from "../shared/sums/fromMachine.js";
import { reckoned, type Outcome } from "../shared/sums/reckoned.js";
import { readFields, sumOf, type Typed } from "../shared/sums/readFields.js";
import { SumField } from "../shared/sums/SumField.js";
import type { SumForm } from "../shared/sums/sumForm.js";
import { SUM_FORMS } from "../shared/sums/sumForms.js";
import { fieldProblemWords, outcomeWords } from "../shared/sums/sumWords.js";
import { typedFigures } from "../shared/sums/typedFigures.js";
import { useKnown } from "../shared/sums/useKnown.js";
import type { CheckProps } from "./checkProps.js";

/** A check whose figures a sum judges: its fields, filled in as far as the machine and the round before say, and what it answers. */
export function SumCheck({
  sum,
  ...props
}: CheckProps & {
  /** The name of its sum. */
  readonly sum: string;
  readonly onFigures: (figures: Figures) => Promise<boolean>;
}): ReactElement | null {
  const known = useKnown(props.shown.machine.id);
  const isReady = useAppSelector(({ board: { phase } }) => phase === "ready" || phase === "failed");
  const form = SUM_FORMS.find((one) => one.sum === sum);
  if (form === undefined) return null;
  // What the machine says is filled in once, as the check opens.
  if (known === undefined || (known === null && !isReady))
    return <div data-reading aria-busy="true" />;
  return <Asked {...props} form={form} known={known} />;
}

/** What stands in the fields as the check opens: what the machine says, what is usual, what was told before, what was told now. */
function useStart(
  { shown, place: { check }, inHand: { result } }: CheckProps,
  form: SumForm,
  known: KnownMachine | null,
): Typed {
  const limits = checkLimits(check, shown.specifications);
  const [start] = useState(() => ({
    ...(known === null ? {} : fromMachine(form.sum, known).typed),
    ...typedFigures(form, check.given ?? {}),
    ...typedFigures(form, figuresBefore(check, shown.round, shown.book.rounds)),
    ...typedFigures(form, limits === null ? {} : plateFigures(check, limits)),
    ...typedFigures(form, result?.figures ?? {}),
  }));
  return start;
}

function Asked({
  form,
  known,
  onFigures,
  ...props
}: CheckProps & {
  readonly form: SumForm;
  readonly known: KnownMachine | null;
  readonly onFigures: (figures: Figures) => Promise<boolean>;
}): ReactElement {
  const gallons = useBookGallons();
  const start = useStart(props, form, known);
  const [typed, setTyped] = useState<Typed>(start);
  // The day it is asked for is that of the round, and not asked.
  const now: Typed = { ...typed, on: props.shown.round.date };
  const outcome = reckoned(form, now, gallons);
  const { result } = props.inHand;
  const given = { outcome, gallons, typed: now, onTyped: setTyped };
  const [first, second] = apart(props.place.check, form, start);
  const write = (): void => {
    if (outcome.kind !== "told") return;
    const { input } = readFields(form, now, gallons);
    void onFigures(input as Figures);
  };
  return (
    <form
      data-reading
      className="grid items-start gap-x-8 gap-y-3 md:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <div className="space-y-2">
        <Fields {...given} fields={first} isFocused={!result?.figures} />
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <button type="submit" className={CHOICE_BUTTON} disabled={outcome.kind !== "told"}>
            {result?.figures ? "Write it anew" : "Write it down"}
          </button>
          <p role="status">
            {result?.figures && <strong>Written: {result.verdict ?? "nothing said yet"}</strong>}
          </p>
        </div>
        <details>
          <summary className="flex min-h-12 cursor-pointer items-center text-quiet">
            <span>
              Taken as: <span className="text-ink">{takenWords(second, now)}</span>
            </span>
          </summary>
          <Fields {...given} fields={second} />
        </details>
      </div>
      <div role="status">
        <Answered outcome={outcome} />
        <p className="text-fine text-quiet">{form.source}</p>
      </div>
    </form>
  );
}

/** What the sum answers, or what it still needs. */
function Answered({ outcome }: { readonly outcome: Outcome }): ReactElement {
  if (outcome.kind !== "told") return <p className="text-quiet">{outcomeWords(outcome)}</p>;
  return (
    <>
      <p className="text-[2.25rem] leading-tight font-bold">{outcomeWords(outcome)}</p>
      {[...(outcome.told.more ?? []), outcome.told.reason].map((words) => (
        <p key={words}>{words}</p>
      ))}
    </>
  );
}

type Field = SumForm["fields"][number];

/** The fields that are asked at the machine, and those that are known before or may be left out. */
function apart(
  check: Check,
  form: SumForm,
  start: Typed,
): readonly [asked: readonly Field[], known: readonly Field[]] {
  const sum = sumOf(form);
  const names = knownFigures(check);
  const isKnown = ({ name, initial }: Field): boolean => {
    const isFilled = (start[name] ?? initial ?? "") !== "";
    return names.includes(name) && (isFilled || sum.fields[name]?.without !== undefined);
  };
  const fields = form.fields.filter(({ name }) => name !== "on");
  return [fields.filter((field) => !isKnown(field)), fields.filter(isKnown)];
}

/** What is taken as known, in words: `12 V, flooded, 4`. */
function takenWords(fields: readonly Field[], typed: Typed): string {
  const words = fields.flatMap(({ name, label, input, initial = "" }) => {
    const value = typed[name] ?? initial;
    if (value === "") return [];
    const choices = input.kind === "choice" || input.kind === "several" ? input.choices : [];
    const chosen = choices.find(([choice]) => choice === value)?.[1];
    return [chosen ?? `${label.toLowerCase()} ${value}`];
  });
  return words.length === 0 ? "as usual" : words.join(", ");
}

/** Fields of the sum, each with what is wrong with it. */
function Fields({
  fields,
  outcome,
  gallons,
  typed,
  onTyped,
  isFocused = false,
}: {
  readonly fields: readonly Field[];
  readonly outcome: Outcome;
  readonly gallons: Gallons | null;
  readonly typed: Typed;
  readonly onTyped: (typed: Typed) => void;
  /** Whether one goes on typing in the first. */
  readonly isFocused?: boolean;
}): ReactElement {
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (isFocused) frame.current?.querySelector("input")?.focus({ preventScroll: true });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, as it opens
  }, []);
  const problems = outcome.kind === "wrong" ? outcome.problems : {};
  return (
    <div ref={frame} className="grid grid-cols-2 gap-x-4 gap-y-2">
      {fields.map((field) => {
        const problem = problems[field.name];
        return (
          <SumField
            key={field.name}
            {...{ field, gallons }}
            value={typed[field.name] ?? field.initial ?? ""}
            problem={problem === undefined ? "" : fieldProblemWords(problem)}
            onChange={(value) => onTyped({ ...typed, [field.name]: value })}
          />
        );
      })}
    </div>
  );
}
