import type { JobStep, Task } from "@yonderfell/core";
import { ArrowDown, ArrowUp, Plus, X } from "lucide-react";
import { useState, type ReactElement } from "react";
import { newId } from "../../data/newId.js";
import { FIELD, QUIET_BUTTON } from "../../ui/buttons.js";
import { quantityWords } from "../../words/quantityWords.js";
import { formatted } from "../shared/atTheMachine/figures.js";
import { KeepWay } from "./KeepWay.js";

const ICON_BUTTON =
  "flex size-11 shrink-0 items-center justify-center rounded-[3px] text-quiet hover:bg-wash hover:text-ink disabled:opacity-30 max-sm:size-12";

interface CardStepsProps {
  readonly steps: readonly JobStep[];
  /** Whether something would be drained that cannot be filled or shut again. */
  readonly hasIssues: boolean;
  readonly tasks: readonly Task[];
  readonly onSteps: (steps: readonly JobStep[]) => void;
  /** Back to the card as it was; absent where it is so. */
  readonly onAsMade?: () => void;
}

/** The steps of a card in their order: each can be worded anew, moved, left out, and others put in. */
export function CardSteps(props: CardStepsProps & { readonly isOpen?: boolean }): ReactElement {
  const { steps, hasIssues, tasks, onSteps, onAsMade } = props;
  const [isChanging, setIsChanging] = useState(props.isOpen === true);
  return (
    <section aria-labelledby="the-card">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="the-card" className="text-large font-bold">
          The card, {steps.length} steps
        </h2>
        <button
          type="button"
          aria-pressed={isChanging}
          className={QUIET_BUTTON}
          onClick={() => setIsChanging(!isChanging)}
        >
          {isChanging ? "Only read it" : "Change the card"}
        </button>
        {onAsMade !== undefined && (
          <button type="button" className={QUIET_BUTTON} onClick={onAsMade}>
            As it was
          </button>
        )}
      </div>
      <ol className="mt-2">
        {steps.map((step, at) => (
          <li
            key={step.id}
            className={`flex items-center gap-2 border-t border-hairline ${step.kind === "caution" ? "font-semibold" : ""}`}
          >
            <span className="w-8 shrink-0 text-right font-mono text-quiet">{at + 1}</span>
            {isChanging ? (
              <ChangedStep {...{ step, at, steps, onSteps }} />
            ) : (
              <ReadStep step={step} />
            )}
          </li>
        ))}
      </ol>
      {hasIssues && (
        <p className="font-semibold text-due">
          Something would be drained that cannot be filled or shut again: put the missing steps in.
        </p>
      )}
      {isChanging && <AddStep steps={steps} tasks={tasks} onSteps={onSteps} />}
      {isChanging && tasks.map((task) => <KeepWay key={task.id} task={task} steps={steps} />)}
    </section>
  );
}

function ReadStep({ step }: { readonly step: JobStep }): ReactElement {
  const points = step.points ?? [];
  return (
    <>
      <span className="flex-1 py-2">
        {step.kind === "caution" && <span className="text-due">Mind: </span>}
        {step.name}
        {points.length > 0 && (
          <span className="block text-fine font-normal text-quiet">{points.join(" · ")}</span>
        )}
      </span>
      <span className="font-mono whitespace-nowrap text-quiet">{figureOf(step)}</span>
    </>
  );
}

/** A step that is being changed: its words, its place, or that it is not there. A caution stays. */
function ChangedStep({
  step,
  at,
  steps,
  onSteps,
}: Pick<CardStepsProps, "steps" | "onSteps"> & {
  readonly step: JobStep;
  readonly at: number;
}): ReactElement {
  const swap = (other: number): void => {
    const next = [...steps];
    const [one, two] = [next[at], next[other]];
    if (one === undefined || two === undefined) return;
    next[at] = two;
    next[other] = one;
    onSteps(next);
  };
  const word = (name: string): void =>
    onSteps(steps.map((one) => (one.id === step.id ? { ...one, name, made: null } : one)));
  return (
    <>
      <input
        className={`${FIELD} my-1`}
        aria-label={`Step ${at + 1}`}
        value={step.name ?? ""}
        onChange={(event) => word(event.target.value)}
      />
      <button
        type="button"
        aria-label={`Move step ${at + 1} up`}
        className={ICON_BUTTON}
        disabled={at === 0}
        onClick={() => swap(at - 1)}
      >
        <ArrowUp size={18} aria-hidden="true" />
      </button>
      <button
        type="button"
        aria-label={`Move step ${at + 1} down`}
        className={ICON_BUTTON}
        disabled={at === steps.length - 1}
        onClick={() => swap(at + 1)}
      >
        <ArrowDown size={18} aria-hidden="true" />
      </button>
      {step.kind !== "caution" && (
        <button
          type="button"
          aria-label={`Leave step ${at + 1} out`}
          className={ICON_BUTTON}
          onClick={() => onSteps(steps.filter((one) => one.id !== step.id))}
        >
          <X size={18} aria-hidden="true" />
        </button>
      )}
    </>
  );
}

/** What stands beside a step: litres expected, its torque. */
function figureOf({ kind, expected, torque, minutes }: JobStep): string {
  if ((kind === "drain" || kind === "fill") && expected) return `${formatted(expected)} L`;
  if (torque) return quantityWords(torque);
  return kind === "wait" && minutes ? `${formatted(minutes)} min` : "";
}

/** One more step at the end of the card, to be moved to its place. */
function AddStep({
  steps,
  tasks,
  onSteps,
}: {
  readonly steps: readonly JobStep[];
  readonly tasks: readonly Task[];
  readonly onSteps: (steps: readonly JobStep[]) => void;
}): ReactElement {
  const [name, setName] = useState("");
  const [kind, setKind] = useState<"do" | "look">("do");
  const add = (): void => {
    const own = tasks.map(({ id }) => id);
    onSteps([...steps, { id: newId(), kind, name: name.trim(), tasks: own }]);
    setName("");
  };
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <label className="min-w-56 flex-1 text-fine text-quiet">
        One more step
        <input
          className={`${FIELD} text-ink`}
          autoComplete="off"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label className="text-fine text-quiet">
        which is
        <select
          className={`${FIELD} text-ink`}
          value={kind}
          onChange={(event) => setKind(event.target.value === "look" ? "look" : "do")}
        >
          <option value="do">done</option>
          <option value="look">looked at</option>
        </select>
      </label>
      <button type="submit" className={QUIET_BUTTON} disabled={name.trim() === ""}>
        <Plus size={18} aria-hidden="true" />
        Put it in
      </button>
    </form>
  );
}
