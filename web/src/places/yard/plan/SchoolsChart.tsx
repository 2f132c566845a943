import type { SchoolSum } from "@yonderfell/core";
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  Tooltip,
} from "chart.js";
import { useMemo, type ReactElement } from "react";
import { Bar } from "react-chartjs-2";
import { useAppSelector } from "../../../session/store.js";
import { figure } from "../../../words/format.js";

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Legend, Tooltip);

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

const PARTS = [
  ["parts", "--ink"],
  ["fluids", "--clear"],
  ["labour", "--rule"],
] as const;
const LABELS = { parts: "parts", fluids: "fluids", labour: "own time" } as const;

/** What each school costs over the years, as bars one under the other; the table says the same in figures. */
export default function SchoolsChart({
  sums,
  currency,
}: {
  readonly sums: readonly SchoolSum[];
  readonly currency: string;
}): ReactElement {
  // Colours are read anew when the theme changes.
  const theme = useAppSelector((state) => state.preferences.theme);
  const { data, options } = useMemo(() => {
    const { fontFamily: family } = getComputedStyle(document.body);
    const ink = { color: colour("--ink"), font: { family, size: 14 } };
    const axis = (callback?: (value: number | string) => string): object => ({
      stacked: true,
      grid: { color: colour("--hairline") },
      ticks: { ...ink, ...(callback === undefined ? {} : { callback }) },
    });
    return {
      data: {
        labels: sums.map(({ school }) => school),
        datasets: PARTS.map(([part, paint]) => ({
          label: LABELS[part],
          data: sums.map(({ money }) => Math.round(money[part] * 100) / 100),
          backgroundColor: colour(paint),
          maxBarThickness: 26,
        })),
      },
      options: {
        indexAxis: "y" as const,
        animation: false as const,
        maintainAspectRatio: false,
        scales: { x: axis((value) => `${figure(Number(value))} ${currency}`), y: axis() },
        plugins: { legend: { labels: { ...ink, boxWidth: 14 } } },
      },
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the theme decides what the colours are
  }, [sums, currency, theme]);
  return (
    <div
      style={{ height: 70 + sums.length * 38 }}
      className="relative mb-5 max-w-[56rem] overflow-hidden"
    >
      <Bar
        data={data}
        options={options}
        role="img"
        aria-label={`Money over the years: ${sums
          .map(
            ({ school, money }) => `${school} ${figure(money.parts + money.fluids + money.labour)}`,
          )
          .join(", ")}`}
      />
    </div>
  );
}
