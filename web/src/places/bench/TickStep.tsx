import { LARGE_BUTTON } from "../../ui/buttons.js";
import type { ReactElement } from "react";
import { Check } from "lucide-react";
import { actionWords } from "./benchWords.js";
import { StepFoot } from "./StepFoot.js";
import type { StepProps } from "./stepProps.js";

/** A step that is ticked, as a whole or point by point. */
export function TickStep(props: StepProps): ReactElement {
  const { step, standing, taps } = props;
  const points = step.kind === "run" || step.kind === "reset" ? [] : (step.points ?? []);
  const isHeld = standing.state === "held";
  if (points.length === 0) {
    return (
      <StepFoot {...props}>
        <button
          type="button"
          data-action
          className={LARGE_BUTTON}
          disabled={isHeld}
          onClick={() => void taps.tell(step.id, { do: "tick" })}
        >
          <Check size={24} aria-hidden="true" />
          {actionWords(step)}
        </button>
      </StepFoot>
    );
  }
  const ticked = new Set(standing.ticked);
  const left = points.length - ticked.size;
  return (
    <>
      <ul className="grid grid-cols-2 gap-2">
        {points.map((point) => (
          <li key={point}>
            <button
              type="button"
              data-action={ticked.has(point) ? undefined : ""}
              aria-pressed={ticked.has(point)}
              disabled={isHeld || ticked.has(point)}
              className="flex min-h-14 w-full items-center gap-2 rounded-[3px] border border-rule bg-raised px-3 text-left font-semibold hover:bg-wash aria-pressed:border-2 aria-pressed:border-clear aria-pressed:text-clear"
              onClick={() => void taps.tell(step.id, { do: "tick", point })}
            >
              {ticked.has(point) && <Check size={20} aria-hidden="true" />}
              {point}
            </button>
          </li>
        ))}
      </ul>
      <StepFoot {...props}>
        <p className="flex min-h-16 flex-1 items-center justify-center font-semibold text-quiet">
          {left} of {points.length} to go
        </p>
      </StepFoot>
    </>
  );
}
