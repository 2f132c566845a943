import { levelWindow, type JobStep, type TemperatureRead } from "@yonderfell/core";
import type { ReactElement } from "react";
import { ReachPlug } from "../shared/plug/PlugPanel.js";
import { formatted } from "../shared/atTheMachine/figures.js";
import { ReadingField } from "../shared/atTheMachine/ReadingField.js";
import type { StepProps } from "./stepProps.js";
import { useNow } from "../shared/atTheMachine/useNow.js";
import { ageWords, lastsWords, WINDOW_STATES, windowWords } from "./windowWords.js";
import { WindowDrawn } from "./WindowDrawn.js";

/** So far back readings by hand are still told of. */
const KEPT_MS = 1_800_000;
/** A plug tells anew each second; with this old a reading it is no longer heard. */
const FRESH_MS = 5000;

const MARKS = { "too cold": "", open: "text-clear", "too hot": "text-due" } as const;

/** What was read at the step by hand, and now by the plug, oldest first. */
function readingsOf(
  { shown, plug }: Pick<StepProps, "shown" | "plug">,
  { id }: JobStep,
  now: number,
): TemperatureRead[] {
  const typed = shown.run
    .told()
    .flatMap(({ step, at, temperature, readBy }) =>
      step === id && readBy === "thermometer" && now - at < KEPT_MS
        ? [{ at, temperature: temperature ?? 0 }]
        : [],
    );
  const live = plug.state === "live" ? plug.readings : [];
  return [...typed, ...live].sort((one, other) => one.at - other.at);
}

/** The temperature of the plug, if it was told just now, as it stands beside what is told of a step. */
export function warmthNow(
  { plug, step }: Pick<StepProps, "plug" | "step">,
  now: number,
): { readonly temperature: number; readonly readBy: "plug" } | undefined {
  const last = plug.readings.at(-1);
  const isFresh = plug.state === "live" && last !== undefined && now - last.at < FRESH_MS;
  return step.window && isFresh ? { temperature: last.temperature, readBy: "plug" } : undefined;
}

/** The window of temperature in which a level is read: too cold, open or too hot, and for how long. */
export function WindowStep(props: StepProps): ReactElement | null {
  const { step, taps, plug } = props;
  const now = useNow(1000);
  if (!step.window) return null;
  const window = { from: step.window.from ?? null, to: step.window.to ?? null };
  const readings = readingsOf(props, step, now);
  const reading = levelWindow(window, readings, now);
  return (
    <section aria-label="Temperature" className="space-y-2 border-t border-hairline pt-3">
      {reading === null ? (
        <p className="text-large">
          The level holds at <strong>{windowWords(window)}</strong>. Type what a thermometer says,
          or read the plug.
        </p>
      ) : (
        <div className="grid items-center gap-x-6 gap-y-2 sm:grid-cols-2">
          <div>
            <p className="leading-none">
              <strong className="font-mono text-[clamp(3.5rem,15vw,5.5rem)] font-bold tabular-nums">
                {formatted(reading.temperature)}
              </strong>
              <span className="pl-2 text-title font-bold">°C</span>
            </p>
            <p role="status" className={`pt-1 text-large font-bold ${MARKS[reading.state]}`}>
              {WINDOW_STATES[reading.state]}
            </p>
            <p className="tabular-nums">
              {[lastsWords(reading), ageWords(reading)].filter(Boolean).join(" ")}
            </p>
          </div>
          <WindowDrawn window={window} readings={readings} now={now} />
        </div>
      )}
      <div className="max-w-md space-y-2">
        <ReadingField
          label="°C by a thermometer"
          onReading={(temperature) =>
            taps.tell(step.id, { do: "note", temperature, readBy: "thermometer" })
          }
        />
        {plug.state !== "live" && <ReachPlug plug={plug} />}
      </div>
    </section>
  );
}
