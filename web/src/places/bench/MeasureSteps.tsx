import { CHOICE_BUTTON, LARGE_BUTTON } from "../../ui/buttons.js";
import { symbolOf, type StepVerdict } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Stone } from "../../ui/Stone.js";
import { formatted } from "../shared/atTheMachine/figures.js";
import { ReadingField } from "../shared/atTheMachine/ReadingField.js";
import { StepFoot } from "./StepFoot.js";
import type { StepProps } from "./stepProps.js";
import { actionWords } from "./benchWords.js";

const unitWords = ({ unit }: StepProps["step"]): string => (unit ? symbolOf(unit) : "");

/** A reading, each point one by one; what it means by its limits. */
export function MeasureStep(props: StepProps): ReactElement {
  const { step, state, standing, taps } = props;
  const rows = state.measures.filter((one) => one.step === step.id);
  const isHeld = standing.state === "held";
  const areRead = rows.every(({ readings }) => readings.length > 0);
  return (
    <>
      <ul className="space-y-3">
        {rows.map(({ point, readings, value, verdict }) => (
          <li key={point ?? ""} className="border-t border-hairline pt-2">
            {point !== null && <h3 className="font-semibold">{point}</h3>}
            <ReadingField
              label={`${point ?? "Reading"}${unitWords(step) === "" ? "" : `, ${unitWords(step)}`}`}
              onReading={(read) =>
                taps.tell(step.id, {
                  do: "reading",
                  value: read,
                  ...(point === null ? {} : { point }),
                })
              }
            />
            {value !== null && (
              <p className="flex flex-wrap items-center gap-x-3 pt-1">
                <strong className="font-mono text-[3.5rem] leading-none">{formatted(value)}</strong>
                {unitWords(step)}
                <VerdictWords verdict={verdict} />
                <span className="text-quiet">read {readings.map(formatted).join(", ")}</span>
              </p>
            )}
          </li>
        ))}
      </ul>
      <StepFoot {...props}>
        <button
          type="button"
          data-action
          className={LARGE_BUTTON}
          disabled={isHeld || !areRead}
          onClick={() => void taps.tell(step.id, { do: "tick" })}
        >
          {areRead ? actionWords(step) : "Read it first"}
        </button>
      </StepFoot>
    </>
  );
}

function VerdictWords({ verdict }: { readonly verdict: StepVerdict | null }): ReactElement | null {
  if (verdict === null) return null;
  if (verdict === "too close to call") return <strong>too close to call: read it again</strong>;
  return (
    <span className="flex items-center gap-1.5 font-semibold">
      <Stone verdict={verdict} />
      {verdict}
    </span>
  );
}

const VERDICTS = ["sound", "watch", "attend", "stop"] as const;

/** Judged by eye, ear or hand, each point one by one; the last verdict closes it, unless it says stop. */
export function LookStep(props: StepProps): ReactElement {
  const { step, shown, standing, taps } = props;
  const verdicts = shown.run.verdictsOf(step.id);
  const points: readonly (string | null)[] =
    (step.points ?? []).length === 0 ? [null] : (step.points ?? []);
  const isHeld = standing.state === "held";
  const judge = (point: string | null, verdict: (typeof VERDICTS)[number]): void => {
    const others = points.filter((one) => one !== point);
    const isLast = others.every((one) => verdicts.has(one)) && verdict !== "stop" && !isHeld;
    const judged = { do: "judge", verdict, ...(point === null ? {} : { point }) };
    void taps.tell(step.id, judged, ...(isLast ? [{ do: "tick" }] : []));
  };
  const isJudged = points.every((point) => verdicts.has(point));
  return (
    <>
      {points.length > 1 && (
        <ul className="space-y-2">
          {points.map((point) => (
            <li key={point ?? ""}>
              <h3 className="pb-1 font-semibold">{point}</h3>
              <Verdicts
                label={point ?? ""}
                chosen={verdicts.get(point) ?? null}
                onVerdict={(verdict) => judge(point, verdict)}
              />
            </li>
          ))}
        </ul>
      )}
      <StepFoot {...props}>
        {points.length === 1 ? (
          <Verdicts
            label={step.name ?? ""}
            chosen={verdicts.get(points[0] ?? null) ?? null}
            onVerdict={(verdict) => judge(points[0] ?? null, verdict)}
          />
        ) : (
          <p className="flex min-h-16 flex-1 items-center justify-center font-semibold text-quiet">
            {isJudged
              ? "All are judged"
              : `${points.length - verdicts.size} of ${points.length} to judge`}
          </p>
        )}
        {isJudged && !isHeld && (
          <button
            type="button"
            className={`${LARGE_BUTTON} flex-none`}
            onClick={() => void taps.tell(step.id, { do: "tick" })}
          >
            {actionWords(step)}
          </button>
        )}
      </StepFoot>
    </>
  );
}

function Verdicts({
  label,
  chosen,
  onVerdict,
}: {
  readonly label: string;
  readonly chosen: StepVerdict | null;
  readonly onVerdict: (verdict: (typeof VERDICTS)[number]) => void;
}): ReactElement {
  return (
    <div role="group" aria-label={label} className="grid flex-1 grid-cols-4 gap-2">
      {VERDICTS.map((verdict) => (
        <button
          key={verdict}
          type="button"
          data-action={verdict === "sound" ? "" : undefined}
          aria-pressed={chosen === verdict}
          className={`${CHOICE_BUTTON} flex-col gap-0.5 text-body`}
          onClick={() => onVerdict(verdict)}
        >
          <Stone verdict={verdict} />
          {verdict}
        </button>
      ))}
    </div>
  );
}
