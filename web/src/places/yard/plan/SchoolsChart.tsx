import type { SchoolSum } from "@yonderfell/core";
import type { ReactElement } from "react";
import MoneyBars from "../../../ui/MoneyBars.js";
import { figure } from "../../../words/format.js";

const PARTS = [
  ["parts", "parts", "--ink"],
  ["fluids", "fluids", "--clear"],
  ["labour", "own time", "--rule"],
] as const;

/** What each school costs over the years, as bars one under the other; the table says the same in figures. */
export default function SchoolsChart({
  sums,
  currency,
}: {
  readonly sums: readonly SchoolSum[];
  readonly currency: string;
}): ReactElement {
  const words = sums.map(
    ({ school, money }) => `${school} ${figure(money.parts + money.fluids + money.labour)}`,
  );
  return (
    <MoneyBars
      labels={sums.map(({ school }) => school)}
      parts={PARTS.map(([part, label, paint]) => ({
        ...{ label, paint, amounts: sums.map(({ money }) => money[part]) },
      }))}
      currency={currency}
      isLying
      height={70 + sums.length * 38}
      words={`Money over the years: ${words.join(", ")}`}
    />
  );
}
