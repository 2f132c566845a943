import type { JobState, JobStep } from "@yonderfell/core";
import { useEffect, useRef, type ReactElement } from "react";
import { quantityWords } from "../../words/quantityWords.js";
import { formatted } from "../shared/atTheMachine/figures.js";

type Standing = JobState["steps"][number]["state"];

/** The whole card along one line: done behind, dotted ahead; a caution is a bar across it, shut or lifted. */
export function Thread({
  steps,
  state,
  inHand,
  onGo,
}: {
  readonly steps: readonly JobStep[];
  readonly state: JobState;
  readonly inHand: string | null;
  /** Goes to a step; where it is absent the card is only read. */
  readonly onGo?: (step: string) => void;
}): ReactElement {
  const current = useRef<HTMLLIElement>(null);
  // Only the list itself goes to the step in hand, never the page.
  useEffect(() => {
    const item = current.current;
    const list = item?.closest("nav");
    if (!item || !list) return;
    list.scrollTop += item.getBoundingClientRect().top - list.getBoundingClientRect().top - 160;
  }, [inHand]);
  return (
    <ol className="relative">
      {steps.map((step, at) => {
        const standing = state.steps[at]?.state ?? "open";
        const isInHand = step.id === inHand;
        const line = <StepLine step={step} standing={standing} state={state} />;
        return (
          <li key={step.id} ref={isInHand ? current : undefined}>
            {onGo === undefined ? (
              <div className={`${LINE} border-transparent`}>{line}</div>
            ) : (
              <button
                type="button"
                aria-current={isInHand ? "step" : undefined}
                onClick={() => onGo(step.id)}
                className={`${LINE} hover:bg-wash ${isInHand ? "border-clear bg-raised font-semibold" : "border-transparent"}`}
              >
                {line}
              </button>
            )}
          </li>
        );
      })}
    </ol>
  );
}

const LINE = "flex min-h-12 w-full items-stretch gap-3 rounded-[3px] border-2 pr-2 text-left";

/** A step along the thread: its mark, its words, its figure. */
function StepLine({
  step,
  standing,
  state,
}: {
  readonly step: JobStep;
  readonly standing: Standing;
  readonly state: JobState;
}): ReactElement {
  return (
    <>
      <Marker step={step} standing={standing} />
      <span className="flex-1 py-2">
        {step.name}
        <span className="sr-only">, {STANDING[standing]}</span>
        {standing === "skipped" && <span className="block text-fine text-quiet">left out</span>}
      </span>
      <span className="py-2 font-mono text-quiet">{figureOf(step, state)}</span>
    </>
  );
}

const STANDING: Readonly<Record<Standing, string>> = {
  open: "to be done",
  held: "held",
  done: "done",
  skipped: "left out",
};

/** What stands beside a step: litres that went, the torque it is tightened to. */
function figureOf(step: JobStep, state: JobState): string {
  if (step.kind === "fill") {
    const fill = state.fills.find((one) => one.step === step.id);
    return fill !== undefined && fill.in > 0 ? `${formatted(fill.in)} L` : "";
  }
  if (step.kind === "drain") {
    const out = state.systems.find((one) => one.system === step.system)?.out ?? 0;
    return out > 0 ? `${formatted(out)} L` : "";
  }
  if (step.torque) return quantityWords(step.torque);
  return "";
}

/** The thread beside a step, as long as the step is, with its mark. */
function Marker({
  step,
  standing,
}: {
  readonly step: JobStep;
  readonly standing: Standing;
}): ReactElement {
  const isClosed = standing === "done" || standing === "skipped";
  return (
    <span className="relative w-7 shrink-0" aria-hidden="true">
      <span
        className={`absolute -top-0.5 -bottom-0.5 left-[13px] ${isClosed ? "w-[3px] bg-clear" : "border-l-2 border-dotted border-rule"}`}
      />
      <svg viewBox="0 0 28 28" className="absolute top-2 left-0 size-7">
        {step.kind === "caution" ? (
          <path
            d={isClosed ? "M5 21L23 7" : "M1 14H27"}
            stroke={isClosed ? "var(--clear)" : "var(--ink)"}
            strokeWidth="5"
          />
        ) : (
          <circle
            {...{ cx: 14, cy: 14, r: 6, strokeWidth: 2.5 }}
            fill={standing === "done" ? "var(--clear)" : "var(--ground)"}
            stroke={isClosed ? "var(--clear)" : standing === "held" ? "var(--rule)" : "var(--ink)"}
          />
        )}
      </svg>
    </span>
  );
}
