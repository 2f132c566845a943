import { CHOICE_BUTTON, LARGE_BUTTON } from "../../ui/buttons.js";
import type { JobState } from "@yonderfell/core";
import type { ReactElement, ReactNode } from "react";
import { AmountFields } from "./AmountFields.js";
import { actionWords } from "./benchWords.js";
import { formatted } from "../shared/atTheMachine/figures.js";
import { MarkDrawn } from "./MarkDrawn.js";
import { PassesDrawn } from "./Passes.js";
import { StepFoot } from "./StepFoot.js";
import type { StepProps } from "./stepProps.js";
import { Tally } from "./Tally.js";

/** The one figure that matters, with what it is over it. */
export function LargeFigure({
  over,
  figure,
  unit,
}: {
  readonly over: string;
  readonly figure: string;
  readonly unit: string;
}): ReactElement {
  return (
    <p className="leading-none">
      <span className="block pb-1 text-body text-quiet">{over}</span>
      <strong className="font-mono text-[clamp(3.5rem,15vw,5.5rem)] font-bold">{figure}</strong>
      <span className="pl-2 text-title font-bold">{unit}</span>
    </p>
  );
}

/** A pour as one can measure it: to a tenth of a litre, below one to a twentieth; never more than is owed. */
function pourWords(litres: number): string {
  const step = litres >= 1 ? 0.1 : 0.05;
  return formatted(litres < step ? litres : Math.floor(litres / step + 1e-9) * step);
}

/** The drawing with its figures beside it. */
function Beside({
  drawing,
  children,
}: {
  readonly drawing: ReactElement;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <div className="grid grid-cols-[minmax(0,11fr)_minmax(0,10fr)] items-end gap-x-5 gap-y-3">
      {drawing}
      <div className="space-y-3 pb-2">{children}</div>
    </div>
  );
}

const systemOf = (state: JobState, system: string | null | undefined) =>
  state.systems.find((one) => one.system === system) ?? { out: 0, in: 0, balance: 0 };

/** Fluid goes out: how much, and that it has stopped. */
export function DrainStep(props: StepProps): ReactElement {
  const { step, standing, state, taps } = props;
  const { out } = systemOf(state, step.system);
  const expected = step.expected ?? null;
  const isClosed = standing.state === "done" || standing.state === "skipped";
  return (
    <>
      <Beside drawing={<Tally {...{ out, in: 0, expected, next: null }} />}>
        {out > 0 || expected === null ? (
          <LargeFigure over="out so far" figure={formatted(out)} unit="L" />
        ) : (
          <LargeFigure over="expected" figure={formatted(expected)} unit="L" />
        )}
      </Beside>
      <AmountFields
        {...{ what: isClosed ? "out, measured late" : "out", verb: "Out", hasSizes: false }}
        onAmount={(amount, typed) =>
          taps.tell(step.id, { do: "out", amount, typed, ...(isClosed ? { late: true } : {}) })
        }
      />
      <StepFoot {...props}>
        {isClosed ? (
          <span className="flex-1" />
        ) : (
          <button
            type="button"
            data-action
            className={LARGE_BUTTON}
            disabled={standing.state === "held"}
            onClick={() => void taps.tell(step.id, { do: "tick" })}
          >
            {actionWords(step)}
          </button>
        )}
      </StepFoot>
    </>
  );
}

const WARNED: Readonly<Record<string, string>> = {
  "too-full": "It is over the mark: some must come out again.",
  "less-than-expected": "On the mark with less than expected: is all the old out, is it level?",
  "more-than-expected": "More than expected is in: look for a leak, and read the right stick.",
  "read-the-level": "Read the level before more goes in.",
};

/** Fluid goes in: pour, read, pour again, until it is on its mark. */
export function FillStep(props: StepProps): ReactElement {
  const { step, taps, shown, standing } = props;
  const level = shown.run.levelOf(step.id);
  const isByMark = (step.by ?? "mark") === "mark";
  const filled = props.state.fills.find((one) => one.step === step.id)?.in ?? 0;
  return (
    <>
      <Filling {...props} />
      <AmountFields
        {...{ what: "in", verb: "In", hasSizes: true }}
        onAmount={(amount, typed) => taps.tell(step.id, { do: "in", amount, typed })}
      />
      {level === "above" && (
        <AmountFields
          {...{ what: "out again", verb: "Out again", hasSizes: false }}
          onAmount={(amount, typed) => taps.tell(step.id, { do: "out", amount, typed })}
        />
      )}
      <StepFoot {...props}>
        {isByMark ? (
          <ReadLevel {...props} filled={filled} />
        ) : (
          <button
            type="button"
            data-action
            className={LARGE_BUTTON}
            disabled={standing.state === "held" || filled <= 0}
            onClick={() => void taps.tell(step.id, { do: "tick" })}
          >
            {filled <= 0 ? "Pour first" : actionWords(step)}
          </button>
        )}
      </StepFoot>
    </>
  );
}

/** The tally of a fill, with the next pour in the largest type. */
function Filling({ step, state, shown }: StepProps): ReactElement {
  const level = shown.run.levelOf(step.id);
  const fill = state.fills.find((one) => one.step === step.id);
  const { drained = 0, in: filled = 0, next = null, toExpected = null, warn = null } = fill ?? {};
  const rows = [
    ["out", `${formatted(drained)} L`, "font-mono font-bold text-due"],
    ["in", `${formatted(filled)} L`, "font-mono font-bold text-clear"],
    ...(toExpected !== null && toExpected > 0
      ? [["owed", `${formatted(toExpected)} L`, "font-mono font-bold"]]
      : []),
    ["level", level === "unread" ? "not read since" : level === "mark" ? "on the mark" : level, ""],
  ];
  return (
    <Beside
      drawing={<Tally {...{ out: drained, in: filled, expected: step.expected ?? null, next }} />}
    >
      <LargeFigure
        {...(next === null
          ? { over: "in so far", figure: formatted(filled), unit: "L" }
          : { over: "next pour", figure: pourWords(next), unit: "L" })}
      />
      <dl className="grid grid-cols-[auto_1fr] gap-x-3">
        {rows.map(([name, words, look]) => (
          <div key={name} className="contents">
            <dt className="text-quiet">{name}</dt>
            <dd className={look}>{words}</dd>
          </div>
        ))}
      </dl>
      {step.mark && <MarkDrawn mark={step.mark} />}
      {warn !== null && <p className="font-semibold text-due">{WARNED[warn] ?? warn}</p>}
    </Beside>
  );
}

/** Where the level stands: below, on the mark, which ends it, or above. */
function ReadLevel({
  step,
  standing,
  taps,
  shown,
  filled,
}: StepProps & { readonly filled: number }): ReactElement {
  const level = shown.run.levelOf(step.id);
  const isHeld = standing.state === "held";
  const read = (word: "below" | "above") => (
    <button
      type="button"
      aria-pressed={level === word}
      className={CHOICE_BUTTON}
      disabled={isHeld}
      onClick={() => void taps.tell(step.id, { do: "level", level: word })}
    >
      {word === "below" ? "Below" : "Above"}
    </button>
  );
  return (
    <>
      {read("below")}
      <button
        type="button"
        data-action
        className={`${LARGE_BUTTON} flex-[2]`}
        disabled={isHeld || filled <= 0}
        onClick={() => void taps.tell(step.id, { do: "level", level: "mark" }, { do: "tick" })}
      >
        {filled <= 0 ? "Pour first" : "On the mark"}
      </button>
      {read("above")}
    </>
  );
}

/** An exchange, out and in again and again; the share that is fresh. */
export function PassesStep(props: StepProps): ReactElement {
  const { step, standing, state, taps } = props;
  const passes = state.passes.find((one) => one.step === step.id);
  const { isOpen = false, unequal = [], out = 0, in: filled = 0, done = 0 } = passes ?? {};
  const inFirst = step.inFirst === true;
  const isInNext = inFirst ? !isOpen : isOpen;
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        {passes !== undefined && <PassesDrawn passes={passes} />}
        <LargeFigure
          {...(step.pass
            ? { over: "each pass", figure: formatted(step.pass), unit: "L" }
            : { over: "in so far", figure: formatted(filled), unit: "L" })}
        />
      </div>
      <p>
        <span className="text-quiet">out</span>{" "}
        <strong className="font-mono text-due">{formatted(out)} L</strong>{" "}
        <span className="text-quiet">in</span>{" "}
        <strong className="font-mono text-clear">{formatted(filled)} L</strong>
        {unequal.length > 0 && (
          <span className="block font-semibold text-due">
            Pass {unequal.join(", ")}: not as much in as out. The level at the end must be read.
          </span>
        )}
      </p>
      <AmountFields
        key={isInNext ? "in" : "out"}
        {...{ what: isInNext ? "in" : "out", verb: isInNext ? "In" : "Out", hasSizes: true }}
        onAmount={(amount, typed) =>
          taps.tell(step.id, { do: isInNext ? "in" : "out", amount, typed })
        }
      />
      <StepFoot {...props}>
        <button
          type="button"
          data-action
          className={LARGE_BUTTON}
          disabled={standing.state === "held" || isOpen || done === 0}
          onClick={() => void taps.tell(step.id, { do: "tick" })}
        >
          {isOpen ? "A pass is open" : done === 0 ? "No pass yet" : actionWords(step)}
        </button>
      </StepFoot>
    </>
  );
}
