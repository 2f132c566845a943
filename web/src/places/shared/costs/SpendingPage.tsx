import type { MachineId, Span, Spending } from "@yonderfell/core";
import type { ReactElement, ReactNode } from "react";
import { money } from "../../../words/money.js";
import { apartWords, COST_PARTS, totalWords } from "./costWords.js";
import { MonthCosts } from "./MonthCosts.js";
import { SpanChoice } from "./SpanChoice.js";
import { useCurrency } from "../currency/useCurrency.js";
import { useSpan, type AskedSpan } from "./useSpan.js";
import { useSpending } from "./useSpending.js";

/** What was spent as it is shown, with the span it is of. */
export interface SpendingShown {
  readonly spending: Spending;
  readonly currency: string;
  readonly asked: AskedSpan;
}

/** What was spent in a span on a machine, or on all (null): the sum, what stands beside it, and the months. */
export function SpendingPage({
  machine,
  beside,
  below,
}: {
  readonly machine: MachineId | null;
  /** What stands between the sum and the months. */
  readonly beside: (shown: SpendingShown) => ReactNode;
  readonly below: (shown: SpendingShown) => ReactNode;
}): ReactElement {
  const asked = useSpan();
  const { spending, isReckoning, failure } = useSpending(asked.span, machine);
  const currency = useCurrency();
  const shown = spending === null ? null : { spending, currency, asked };
  return (
    <>
      <SpanChoice asked={asked} />
      {failure !== "" && <p role="alert">The costs could not be reckoned: {failure}</p>}
      {spending === null && isReckoning && <p className="py-6 text-quiet">Reckoning.</p>}
      {shown !== null && asked.span !== null && (
        <div aria-busy={isReckoning}>
          <Sum spending={shown.spending} currency={shown.currency} span={asked.span} />
          {beside(shown)}
          <MonthCosts months={shown.spending.months} currency={shown.currency} />
          {below(shown)}
        </div>
      )}
    </>
  );
}

function Sum({
  spending: { sum },
  currency,
  span,
}: {
  readonly spending: Spending;
  readonly currency: string;
  readonly span: Span;
}): ReactElement {
  return (
    <>
      <p className="mt-4 text-title font-bold">{totalWords(sum.total, currency, span)}</p>
      <p className="tabular-nums">
        {COST_PARTS.map(([part, label]) => `${label} ${money(sum[part], "")}`).join(" · ")}
      </p>
      {apartWords(sum.warranty, sum.missing, currency).map((words) => (
        <p key={words} className="text-quiet">
          {words}
        </p>
      ))}
    </>
  );
}
