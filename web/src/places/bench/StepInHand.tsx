import { Because } from "../shared/atTheMachine/Because.js";
import { RotateCcw } from "lucide-react";
import { useEffect, useRef, type ReactElement } from "react";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { clockTime } from "../../words/format.js";
import { quantityWords } from "../../words/quantityWords.js";
import { personWords } from "./benchWords.js";
import { MarkDrawn } from "./MarkDrawn.js";
import { DrainStep, FillStep, LargeFigure, PassesStep } from "./FluidSteps.js";
import { LookStep, MeasureStep } from "./MeasureSteps.js";
import { StepFoot } from "./StepFoot.js";
import type { StepProps } from "./stepProps.js";
import { TickStep } from "./TickStep.js";
import { WaitStep } from "./WaitStep.js";
import { warmthNow, WindowStep } from "./WindowStep.js";

/** Words longer than this stand smaller, so that what is pressed stays in sight. */
const LONG = 56;

/** The step in hand: its words readable from the floor, its one figure, one large action. */
export function StepInHand(props: StepProps): ReactElement {
  const { state, step, standing } = props;
  const at = state.steps.findIndex(({ id }) => id === step.id);
  const heading = useRef<HTMLHeadingElement>(null);
  // Another step: the focus goes to what is pressed next, so that Enter goes on.
  useEffect(() => {
    window.scrollTo({ top: 0 });
    const foot = heading.current?.closest("section");
    const action = foot?.querySelector<HTMLElement>("[data-action]:not(:disabled)");
    (action ?? heading.current)?.focus({ preventScroll: true });
  }, [step.id]);
  // What was pressed cannot be pressed again, so it lost the focus: the next point takes it.
  useEffect(() => {
    if (document.activeElement !== document.body) return;
    const rest = heading.current?.closest("section");
    rest?.querySelector<HTMLElement>("[data-action]:not(:disabled)")?.focus();
  }, [standing.ticked.length]);
  const isClosed = standing.state === "done" || standing.state === "skipped";
  return (
    <section aria-label="Step in hand" className="flex flex-1 flex-col gap-4">
      <div>
        <p className="text-quiet tabular-nums">
          Step {at + 1} of {state.steps.length}
          {step.kind === "caution" && " · a gate: it must be so before work goes on"}
        </p>
        <h2
          ref={heading}
          tabIndex={-1}
          className={`leading-tight font-bold text-balance outline-none ${(step.name ?? "").length > LONG ? "text-[1.375rem] sm:text-[1.625rem]" : "text-[1.625rem] sm:text-[2.25rem]"}`}
        >
          {step.name}
        </h2>
        {step.note && <p className="pt-1 text-large">{step.note}</p>}
      </div>
      {step.kind === "caution" && (
        <>
          <Gate isLifted={isClosed} />
          <p className="text-quiet">
            The maker’s handbook, local rules and licensed practice come before this card.
          </p>
        </>
      )}
      {step.mark && !isClosed && step.kind !== "fill" && <MarkDrawn mark={step.mark} />}
      <StepFigure {...props} />
      <Meant {...props} />
      <HeldBy {...props} />
      {isClosed ? (
        <Closed {...props} />
      ) : (
        <>
          <Stopped {...props} />
          <WindowStep {...props} />
          <KindOfStep key={step.id} {...props} taps={tapsWithWarmth(props)} />
        </>
      )}
    </section>
  );
}

/** What is told of a step whose level has a window takes the temperature of the plug with it. */
function tapsWithWarmth(props: StepProps): StepProps["taps"] {
  const { taps } = props;
  return {
    ...taps,
    tell: (step, ...told) => {
      const warmth = warmthNow(props, Date.now());
      return taps.tell(step, ...told.map((tap) => ({ ...tap, ...warmth })));
    },
  };
}

function KindOfStep(props: StepProps): ReactElement {
  switch (props.step.kind) {
    case "do":
    case "caution":
    case "open":
    case "close":
    case "torque":
    case "fit":
    case "run":
    case "reset":
      return <TickStep {...props} />;
    case "drain":
      return <DrainStep {...props} />;
    case "fill":
      return <FillStep {...props} />;
    case "passes":
      return <PassesStep {...props} />;
    case "measure":
      return <MeasureStep {...props} />;
    case "look":
      return <LookStep {...props} />;
    case "wait":
      return <WaitStep {...props} />;
  }
}

/** A bar across the thread: shut, or lifted. */
function Gate({ isLifted }: { readonly isLifted: boolean }): ReactElement {
  return (
    <svg viewBox="0 0 240 56" className="h-14 w-60 max-w-full" aria-hidden="true">
      <path d="M24 54V10" stroke="var(--ink)" strokeWidth="6" />
      <path
        d={isLifted ? "M24 18L214 -40" : "M24 18H232"}
        stroke={isLifted ? "var(--clear)" : "var(--due)"}
        strokeWidth="9"
      />
      {!isLifted && <path d="M226 54V18" stroke="var(--ink)" strokeWidth="6" />}
    </svg>
  );
}

/** The torque of a step, or how many of a part. */
function StepFigure({ step }: StepProps): ReactElement | null {
  if (step.torque) {
    const [figure = "", unit = ""] = quantityWords(step.torque).split(/\s(.*)/);
    return <LargeFigure over="tighten to" figure={figure} unit={unit} />;
  }
  const count = step.count ?? 1;
  if (step.kind === "fit" && count > 1) {
    return <LargeFigure over="of these" figure={String(count)} unit="" />;
  }
  return null;
}

/** With which tool, and what may go on meanwhile. */
function Meant({ step, state, shown, onGo }: StepProps): ReactElement {
  const steps = shown.job.steps ?? [];
  const others = state.meanwhile.filter((id) => id !== step.id);
  return (
    <>
      {step.tool && (
        <p>
          <span className="text-quiet">With</span> {step.tool}
        </p>
      )}
      {others.length > 0 && (
        <div className="border-l-4 border-clear pl-3">
          <h3 className="font-semibold">Meanwhile</h3>
          {others.map((id) => (
            <button
              key={id}
              type="button"
              className="block min-h-12 w-full text-left text-clear underline"
              onClick={() => onGo(id)}
            >
              {steps.find((one) => one.id === id)?.name}
            </button>
          ))}
        </div>
      )}
    </>
  );
}

/** What comes first; one press goes there. */
function HeldBy({ standing, shown, onGo }: StepProps): ReactElement | null {
  if (standing.state !== "held") return null;
  const steps = shown.job.steps ?? [];
  return (
    <div className="border-l-4 border-due pl-3">
      <h3 className="font-semibold text-due">Held: this comes first</h3>
      {standing.heldBy.map((id) => (
        <button
          key={id}
          type="button"
          className="block min-h-12 w-full text-left underline"
          onClick={() => onGo(id)}
        >
          {steps.find((one) => one.id === id)?.name}
        </button>
      ))}
    </div>
  );
}

/** What says stop: nothing runs until a person releases it, and says what was done. */
function Stopped({ step, state, taps }: StepProps): ReactElement | null {
  const isStop = state.unfinished.some(
    ({ code, step: of }) => code === "stop-found" && of === step.id,
  );
  if (!isStop) return null;
  return (
    <div className="border-2 border-overdue p-3">
      <p className="font-semibold text-overdue">
        This says stop: it does not run until it is released.
      </p>
      <Because
        label="What was done about it"
        action="Release it"
        onBecause={(reason) => taps.tell(step.id, { do: "release", reason })}
      />
    </div>
  );
}

/** A step that is done or left out: by whom, and the way to open it again. */
function Closed(props: StepProps): ReactElement {
  const { step, standing, taps, shown } = props;
  const last = shown.run
    .told()
    .findLast((event) => event.step === step.id && (event.do === "tick" || event.do === "skip"));
  const who = personWords(last?.by, shown.people);
  const when = last === undefined ? "" : clockTime(last.at);
  return (
    <>
      <p className="text-large">
        <strong className="text-clear">
          {standing.state === "done" ? (step.kind === "caution" ? "Lifted" : "Done") : "Left out"}
        </strong>
        {who !== "" && `, ${who}`}
        {when !== "" && `, ${when}`}
        {last?.reason && <span className="block text-quiet">{last.reason}</span>}
      </p>
      <Stopped {...props} />
      {step.kind === "drain" ? (
        <DrainStep {...props} />
      ) : (
        <StepFoot {...props}>
          <span />
        </StepFoot>
      )}
      <button
        type="button"
        className={`${QUIET_BUTTON} min-h-12 self-start`}
        onClick={() => void taps.tell(step.id, { do: "reopen" })}
      >
        <RotateCcw size={18} aria-hidden="true" />
        Open it again
      </button>
    </>
  );
}
