import { lazy, Suspense, type ReactElement } from "react";
import { again } from "../../ui/again.js";
import { monthWords } from "./costs/costWords.js";

const MoneyBars = lazy(again(() => import("../../ui/MoneyBars.js")));

const HEIGHT = 288;

/** Months in bars made of parts, each with its word and its paint; a table beside them says the same in figures. */
export function MonthBars<Part extends string>({
  months,
  parts,
  currency,
  words,
}: {
  readonly months: readonly ({ readonly month: string } & Readonly<Record<Part, number>>)[];
  readonly parts: readonly (readonly [part: Part, label: string, paint: string])[];
  /** What stands behind an amount; empty where it is no money. */
  readonly currency: string;
  /** The chart in words, for those who hear it. */
  readonly words: string;
}): ReactElement {
  return (
    <Suspense fallback={<div style={{ height: HEIGHT }} />}>
      <MoneyBars
        labels={months.map(({ month }) => monthWords(month))}
        parts={parts.map(([part, label, paint]) => ({
          ...{ label, paint, amounts: months.map((month) => month[part]) },
        }))}
        {...{ currency, words }}
        height={HEIGHT}
      />
    </Suspense>
  );
}
