import type { BoardMachine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { dialFigureWithUnit, perDay } from "../../words/format.js";
import { meterName } from "../../words/limitWords.js";

/** The meters of a machine in a few words: what each dial is reckoned to show, and how fast it runs. */
export function MeterLine({ machine }: { readonly machine: BoardMachine }): ReactElement {
  return (
    <>
      {machine.meters.map((meter) => {
        const { unit, id } = meter.meter;
        const dial = meter.dial === null ? "not read yet" : dialFigureWithUnit(meter.dial, unit);
        const rate = meter.rate.perDay === null ? "" : ` · ${perDay(meter.rate.perDay, unit)}`;
        const doubt = meter.stale ? " · stale" : "";
        return (
          <span
            key={id}
            className="block text-fine whitespace-nowrap text-quiet tabular-nums"
            title={meterName(meter)}
          >
            {dial}
            {rate}
            {doubt}
          </span>
        );
      })}
    </>
  );
}
