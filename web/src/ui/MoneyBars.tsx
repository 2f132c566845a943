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
import { useAppSelector } from "../session/store.js";
import { figure } from "../words/format.js";

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Legend, Tooltip);

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** One part of each bar: what it is, its paint, and how much of it there is bar by bar. */
interface BarPart {
  readonly label: string;
  /** The name of a colour, such as `--ink`. */
  readonly paint: string;
  readonly amounts: readonly number[];
}

/** Money in bars made of parts; a table beside them says the same in figures. Fetched with Chart.js. */
export default function MoneyBars({
  labels,
  parts,
  currency,
  height,
  words,
  isLying = false,
  decimals = 0,
}: {
  readonly labels: readonly string[];
  readonly parts: readonly BarPart[];
  readonly currency: string;
  /** In pixels. */
  readonly height: number;
  /** The chart in words, for those who hear it. */
  readonly words: string;
  /** Whether bars lie, one under the other. */
  readonly isLying?: boolean;
  /** Of the figures at the axis. */
  readonly decimals?: number;
}): ReactElement {
  // Colours are read anew when the theme changes.
  const theme = useAppSelector((state) => state.preferences.theme);
  const { data, options } = useMemo(() => {
    const { fontFamily: family } = getComputedStyle(document.body);
    const ink = { color: colour("--ink"), font: { family, size: 14 } };
    const axis = (isMoney: boolean): object => ({
      stacked: true,
      grid: { color: colour("--hairline") },
      ticks: {
        ...ink,
        maxRotation: 0,
        ...(isMoney
          ? {
              callback: (value: number | string) =>
                `${figure(Number(value), decimals)} ${currency}`,
            }
          : {}),
      },
    });
    return {
      data: {
        labels: [...labels],
        datasets: parts.map(({ label, paint, amounts }) => ({
          label,
          data: amounts.map((amount) => Math.round(amount * 100) / 100),
          backgroundColor: colour(paint),
          maxBarThickness: 26,
        })),
      },
      options: {
        indexAxis: isLying ? ("y" as const) : ("x" as const),
        animation: false as const,
        maintainAspectRatio: false,
        scales: { x: axis(isLying), y: axis(!isLying) },
        plugins: { legend: { labels: { ...ink, boxWidth: 14 } } },
      },
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the theme decides what the colours are
  }, [labels, parts, currency, isLying, decimals, theme]);
  return (
    <div style={{ height }} className="relative mb-5 max-w-[56rem] overflow-hidden">
      <Bar data={data} options={options} role="img" aria-label={words} />
    </div>
  );
}
