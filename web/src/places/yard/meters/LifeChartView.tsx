import { dayFromParts, partsFromDay, type DayNumber, type MeterReckoning } from "@yonderfell/core";
import {
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
  type ChartOptions,
} from "chart.js";
import { useMemo, type ReactElement } from "react";
import { Scatter } from "react-chartjs-2";
import { useAppSelector } from "../../../session/store.js";
import { counted, dialFigureWithUnit, figure, fullDate } from "../../../words/format.js";
import { lifeChart } from "./lifeChart.js";

Chart.register(
  ScatterController,
  LineController,
  LineElement,
  PointElement,
  LinearScale,
  Tooltip,
  Legend,
);

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** The chart of a meter's life: readings, estimates, changes of the dial, and the figures left out. */
export default function LifeChartView({
  reckoning,
}: {
  readonly reckoning: MeterReckoning;
}): ReactElement {
  // Colours are read anew when the theme changes.
  const theme = useAppSelector((state) => state.preferences.theme);
  const chart = useMemo(() => lifeChart(reckoning), [reckoning]);
  const { unit } = reckoning.meter;
  const options = useMemo(() => optionsFor(unit), [unit]);
  const points = (
    label: string,
    data: readonly { readonly x: number; readonly y: number }[],
    ink: string,
    pointStyle: "circle" | "crossRot" | "rectRot",
    isFilled: boolean,
  ): object => ({
    label,
    data: [...data],
    borderColor: colour(ink),
    backgroundColor: isFilled ? colour(ink) : colour("--ground"),
    pointStyle,
    pointRadius: pointStyle === "circle" ? 3 : 7,
    borderWidth: pointStyle === "circle" ? 1.5 : 2.5,
  });
  const line = {
    type: "line" as const,
    label: "life",
    data: [...chart.line],
    borderColor: colour("--quiet"),
    borderWidth: 1.5,
    pointRadius: 0,
    pointStyle: "line" as const,
  };
  const datasets = [
    points("left out, does not agree", chart.faults, "--overdue", "crossRot", false),
    points("dial changed", chart.changes, "--due", "rectRot", true),
    points("estimated", chart.estimated, "--soon", "circle", false),
    points("read", chart.read, "--clear", "circle", true),
  ].filter((set) => (set as { data: readonly unknown[] }).data.length > 0);
  const words = chartWords(reckoning);
  return (
    <figure className="relative h-72 overflow-hidden">
      <Scatter
        key={theme}
        data={{ datasets: [...datasets, line] as never }}
        options={options}
        role="img"
        aria-label={words}
      />
    </figure>
  );
}

/** The chart in words, for those who hear it. */
function chartWords({ kept, faults, meter }: MeterReckoning): string {
  const first = kept[0];
  const last = kept.at(-1);
  if (first === undefined || last === undefined) return "No figures yet.";
  const from = `${dialFigureWithUnit(first.life, meter.unit)} on ${fullDate(first.day)}`;
  const to = `${dialFigureWithUnit(last.life, meter.unit)} on ${fullDate(last.day)}`;
  const out = faults.length === 0 ? "" : `, ${counted(faults.length, "figure")} left out`;
  return `Life from ${from} to ${to}, ${counted(kept.length, "figure")}${out}.`;
}

/** So many dates stand under a chart at the most. */
const MOST_DATES = 8;

/** First days of months under a chart, evenly apart. */
function datesBetween(from: number, to: number): DayNumber[] {
  const step = [1, 3, 6, 12, 24, 60].find((months) => (to - from) / (months * 30.4) < MOST_DATES);
  const { year } = partsFromDay(Math.floor(from) as DayNumber);
  const dates: DayNumber[] = [];
  for (let month = 0; ; month += step ?? 120) {
    const day = dayFromParts(year + Math.floor(month / 12), (month % 12) + 1, 1);
    if (day > to) return dates;
    if (day >= from) dates.push(day);
  }
}

function optionsFor(unit: "km" | "mi" | "h"): ChartOptions<"scatter"> {
  const font = { family: getComputedStyle(document.body).fontFamily, size: 13 };
  const ticks = { color: colour("--quiet"), font, maxTicksLimit: 8 };
  const grid = { color: colour("--hairline") };
  return {
    animation: false,
    maintainAspectRatio: false,
    scales: {
      x: {
        type: "linear",
        grid,
        afterBuildTicks: (scale) => {
          scale.ticks = datesBetween(scale.min, scale.max).map((value) => ({ value }));
        },
        ticks: { ...ticks, callback: (value) => fullDate(Math.round(Number(value)) as DayNumber) },
      },
      y: {
        grid,
        ticks: { ...ticks, callback: (value) => `${figure(Number(value))} ${unit}` },
      },
    },
    plugins: {
      legend: { labels: { color: colour("--ink"), font, usePointStyle: true, boxHeight: 7 } },
      tooltip: {
        callbacks: {
          label: ({ parsed, dataset }) =>
            `${dataset.label ?? ""}: ${dialFigureWithUnit(Number(parsed.y), unit)}, ${fullDate(Math.round(Number(parsed.x)) as DayNumber)}`,
        },
      },
    },
  };
}
