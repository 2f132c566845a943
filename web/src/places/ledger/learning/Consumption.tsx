import type { ConsumptionTrend, Machine } from "@yonderfell/core";
import { lazy, Suspense, type ReactElement } from "react";
import { again } from "../../../ui/again.js";
import { amount, fullDate, sentence } from "../../../words/format.js";
import { ConsumptionTable } from "./ConsumptionTable.js";
import { LearnedPart } from "./LearnedPart.js";
import { consumptionRows } from "./learningRows.js";
import { rateWords, spanWords, usualWords } from "./learningWords.js";

const MoneyBars = lazy(again(() => import("../../../ui/MoneyBars.js")));

/** What each system of a machine took between services, as table and chart. */
export function Consumption({
  trends,
  machine,
}: {
  readonly trends: readonly ConsumptionTrend[];
  readonly machine: Machine;
}): ReactElement {
  return (
    <LearnedPart
      id="consumption"
      title="Taken between services"
      none={
        trends.length > 0
          ? null
          : "Too little is known: nothing was topped up between two services that are in the log."
      }
      file={() => consumptionRows(trends)}
    >
      {trends.map((trend) => (
        <div key={trend.fluid} className="mt-2">
          <h3 className="font-bold">{sentence(trend.system)}</h3>
          <p className="mb-1">{usualWords(trend)}</p>
          <div className="flex flex-wrap items-start gap-x-8 gap-y-2">
            <ConsumptionTable machine={machine.id} trend={trend} />
            <Suspense>
              <SpanBars trend={trend} />
            </Suspense>
          </div>
        </div>
      ))}
    </LearnedPart>
  );
}

/** Spans in bars, the latest last; the table beside them says the same in figures. */
function SpanBars({ trend }: { readonly trend: ConsumptionTrend }): ReactElement {
  const all = [...trend.spans, ...(trend.soFar === null ? [] : [trend.soFar])];
  const said = all.map((span) => `${spanWords(span)} ${rateWords(span.rate, trend)}`);
  return (
    <div className="max-w-[32rem] min-w-[min(100%,20rem)] flex-1">
      <MoneyBars
        labels={all.map(({ toDay }) => (toDay === null ? "so far" : fullDate(toDay)))}
        parts={[
          {
            label: `litres by ${amount(trend.per, trend.meter.unit)}, span that ended`,
            paint: "--clear",
            amounts: all.map(({ rate }) => rate),
          },
        ]}
        currency="L"
        height={180}
        decimals={2}
        words={`${trend.system}, ${said.join("; ")}`}
      />
    </div>
  );
}
