import { runningInState, type BoardMachine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { amount } from "../../words/format.js";
import { meterOf } from "../../words/limitWords.js";
import { runningInWords, stageWords } from "../../words/runningInWords.js";

/** That a machine is being run in, with what holds now and what comes; nothing once it is through. */
export function RunningIn({ machine }: { readonly machine: BoardMachine }): ReactElement | null {
  const { runningIn } = machine.machine;
  if (!runningIn) return null;
  const meter = meterOf(machine, runningIn.meter);
  const state = runningInState(runningIn, meter?.life ?? null);
  if (meter === undefined || state === null) return null;
  const { unit } = meter.meter;
  const next = runningIn.stages[state.number];
  return (
    <section
      aria-labelledby="running-in"
      className="mb-5 border-l-4 border-soon bg-raised px-4 py-3"
    >
      <h2 id="running-in" className="font-bold">
        {`Being run in: ${stageWords(state.stage)}`}
      </h2>
      <p>
        {runningInWords(state, runningIn.stages.length, unit)}
        {next !== undefined && (
          <span className="text-quiet">{` Then up to ${amount(next.until, unit)}: ${stageWords(next)}.`}</span>
        )}
      </p>
      <p className="text-fine text-quiet">
        {`${meter.life === null ? "The meter has not been read: counted from the beginning. " : ""}${runningIn.source ? `From ${runningIn.source}. ` : ""}The maker's handbook decides.`}
      </p>
    </section>
  );
}
