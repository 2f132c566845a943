import type { MonthSpent } from "@yonderfell/core";
import type { ReactElement } from "react";
import { MonthBars } from "../MonthBars.js";
import { chartWords, COST_PARTS, moneyOrDash, monthWords } from "./costWords.js";

/** What was spent month by month: drawn, and as a table beside it. */
export function MonthCosts({
  months,
  currency,
}: {
  readonly months: readonly MonthSpent[];
  readonly currency: string;
}): ReactElement | null {
  if (months.length === 0) return null;
  return (
    <section aria-labelledby="by-month" className="mt-6">
      <h2 id="by-month" className="mb-2 text-large font-bold">
        By month
      </h2>
      <div className="flex flex-wrap items-start gap-x-8">
        <div className="min-w-[min(100%,24rem)] flex-1">
          <MonthBars
            {...{ months, currency }}
            parts={COST_PARTS}
            words={chartWords(months, currency)}
          />
        </div>
        <MonthTable months={months} />
      </div>
    </section>
  );
}

function MonthTable({ months }: { readonly months: readonly MonthSpent[] }): ReactElement {
  const hasWarranty = months.some(({ warranty }) => warranty !== 0);
  return (
    <div
      className="max-h-96 max-w-full overflow-auto print:max-h-none"
      role="group"
      aria-label="Months as a table"
      tabIndex={0}
    >
      <table className="text-right tabular-nums">
        <thead>
          <tr className="text-fine text-quiet">
            <th scope="col" className="py-1 pr-5 text-left font-medium">
              Month
            </th>
            <th scope="col" className="pr-5 font-medium">
              total
            </th>
            {COST_PARTS.map(([part, label]) => (
              <th key={part} scope="col" className="pr-5 font-medium">
                {label}
              </th>
            ))}
            {hasWarranty && (
              <th scope="col" className="pl-5 font-medium">
                warranty
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {months.map((month) => (
            <tr key={month.month} className="border-t border-hairline">
              <th scope="row" className="py-1 pr-5 text-left font-medium whitespace-nowrap">
                {monthWords(month.month)}
              </th>
              <td className="pr-5 font-semibold">{moneyOrDash(month.total)}</td>
              {COST_PARTS.map(([part]) => (
                <td key={part} className="pr-5">
                  {moneyOrDash(month[part])}
                </td>
              ))}
              {hasWarranty && <td className="pl-5">{moneyOrDash(month.warranty)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
