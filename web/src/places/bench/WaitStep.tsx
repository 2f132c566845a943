import { CHOICE_BUTTON, LARGE_BUTTON } from "../../ui/buttons.js";
import { useEffect, useRef, type ReactElement } from "react";
import { StepFoot } from "./StepFoot.js";
import type { StepProps } from "./stepProps.js";
import { LargeFigure } from "./FluidSteps.js";
import { sound } from "./sound.js";
import { useNow } from "../shared/atTheMachine/useNow.js";

const MS_IN_MINUTE = 60_000;

const twoDigits = (value: number): string => String(value).padStart(2, "0");

/** Minutes and seconds: `4:07`. */
function clockWords(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  return `${Math.floor(seconds / 60)}:${twoDigits(seconds % 60)}`;
}

/** A time to let pass: it begins when the step is come to, and goes by the clock whatever becomes of the page. */
export function WaitStep(props: StepProps): ReactElement {
  const { step, standing, taps, shown } = props;
  const startedAt = shown.run.startedAt(step.id);
  const isOpen = standing.state === "open";
  const now = useNow(1000, isOpen && startedAt !== null);
  const whole = (step.minutes ?? 0) * MS_IN_MINUTE;
  const left = startedAt === null ? whole : startedAt + whole - now;
  const isOver = startedAt !== null && left <= 0;
  // Looked at from afar it starts nothing: only once all before it is done.
  const isNext = props.state.next === step.id;
  const isAsked = useRef(false);
  useEffect(() => {
    if (!isOpen || !isNext || startedAt !== null || isAsked.current) return;
    isAsked.current = true;
    void taps.tell(step.id, { do: "start" });
  }, [isOpen, isNext, startedAt, taps, step.id]);
  useEffect(() => {
    if (isOver && isOpen) sound();
  }, [isOver, isOpen]);
  return (
    <>
      <LargeFigure
        over={isOver ? "the time is over" : startedAt === null ? "to wait" : "still to wait"}
        figure={clockWords(left)}
        unit="min"
      />
      <StepFoot {...props}>
        {isOpen && startedAt === null && (
          <button
            type="button"
            className={CHOICE_BUTTON}
            onClick={() => void taps.tell(step.id, { do: "start" })}
          >
            Start the time
          </button>
        )}
        <button
          type="button"
          data-action
          className={LARGE_BUTTON}
          disabled={!isOpen}
          onClick={() =>
            void taps.tell(step.id, {
              do: "tick",
              ...(isOver ? {} : { reason: "gone on before the time was over" }),
            })
          }
        >
          {isOver ? "Go on" : "Go on before the time is over"}
        </button>
      </StepFoot>
    </>
  );
}
