import { dayOf, type DayNumber, type JudgedSample, type Machine } from "@yonderfell/core";
import { Chart, LinearScale, LineController, LineElement, PointElement, Filler } from "chart.js";
import { type ReactElement } from "react";
import { Line } from "react-chartjs-2";
import { useAppSelector } from "../../../session/store.js";
import { fullDate, sentence } from "../../../words/format.js";
import { labFigure, labUnit, lifeStep } from "./sampleWords.js";

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

interface Run {
  readonly name: string;
  readonly unit: string;
  readonly points: readonly { readonly x: DayNumber; readonly y: number }[];
  /** Between what it usually is on this machine; null where too few samples say. */
  readonly band: readonly [number, number] | null;
}

/** How each figure that was found twice or more went: by the life of the oil where it is worn off. */
function runsOf(judged: readonly JudgedSample[], machine: Machine): Run[] {
  const last = judged.at(-1);
  return (last?.each ?? []).flatMap((latest): Run[] => {
    const points = judged.flatMap(({ sample, each }) => {
      const found = each.find(({ name }) => name === latest.name);
      return found === undefined ? [] : [{ x: dayOf(sample.date), y: found.rate ?? found.value }];
    });
    if (points.length < 2) return [];
    const { name, rate, median, sigma } = latest;
    const unit = labUnit(name);
    const by = rate === null || last === undefined ? "" : ` by ${lifeStep(machine, last.sample)}`;
    const band: Run["band"] =
      median === null || sigma === null
        ? null
        : [Math.max(0, median - 3 * sigma), median + 3 * sigma];
    return [{ name, unit: `${unit}${by}`, points, band }];
  });
}

/** The figures of all samples over time, each in a chart of its own, with the band of what is usual. The table beside says the same of the last. */
export function SampleCharts({
  machine,
  judged,
}: {
  readonly machine: Machine;
  readonly judged: readonly JudgedSample[];
}): ReactElement | null {
  const runs = runsOf(judged, machine);
  if (runs.length === 0) return null;
  return (
    <section aria-labelledby="over-time" className="mt-6">
      <h3 id="over-time" className="font-bold">
        Over time
        <span className="font-normal text-quiet">
          {runs.some(({ band }) => band !== null) && ", the band is what is usual here"}
        </span>
      </h3>
      <div className="mt-2 grid gap-x-8 gap-y-5 sm:grid-cols-2 lg:grid-cols-4">
        {runs.map((run) => (
          <RunChart key={run.name} run={run} />
        ))}
      </div>
    </section>
  );
}

function RunChart({ run }: { readonly run: Run }): ReactElement {
  // Colours are read anew when the theme changes.
  const theme = useAppSelector((state) => state.preferences.theme);
  const { name, unit, points, band } = run;
  const [from, to] = [points[0]?.x ?? 0, points.at(-1)?.x ?? 0];
  const edge = (y: number, fill: string | false): object => ({
    ...{ data: [from, to].map((x) => ({ x, y })), pointRadius: 0, borderWidth: 0 },
    ...{ fill, backgroundColor: colour("--wash") },
  });
  const told = points.map(({ x, y }) => `${labFigure(y)} on ${fullDate(x)}`).join(", ");
  const usual = band === null ? "" : `; usual ${labFigure(band[0])} to ${labFigure(band[1])}`;
  return (
    <figure>
      <figcaption>
        <strong>{sentence(name)}</strong> <span className="text-fine text-quiet">{unit}</span>
      </figcaption>
      <div className="relative h-36">
        <Line
          key={theme}
          role="img"
          aria-label={`${name}, ${unit}: ${told}${usual}`}
          data={
            {
              datasets: [
                {
                  data: [...points],
                  borderColor: colour("--clear"),
                  ...{
                    backgroundColor: colour("--clear"),
                    borderWidth: 2,
                    pointRadius: 4,
                    clip: false,
                  },
                },
                ...(band === null ? [] : [edge(band[1], "+1"), edge(band[0], false)]),
              ],
            } as never
          }
          options={options(from, to)}
        />
      </div>
    </figure>
  );
}

const options = (from: number, to: number): object => {
  const font = { family: getComputedStyle(document.body).fontFamily, size: 13 };
  const ticks = { color: colour("--quiet"), font };
  return {
    ...{ animation: false, maintainAspectRatio: false, events: [] },
    layout: { padding: { top: 6, right: 14 } },
    plugins: { legend: { display: false } },
    scales: {
      x: {
        ...{ type: "linear", min: from, max: to, grid: { display: false } },
        ticks: {
          ...{ ...ticks, maxRotation: 0, autoSkip: false },
          callback: (value: number) =>
            fullDate(Math.round(value) as DayNumber).replace(/^\d+\s/, ""),
        },
        afterBuildTicks: (scale: { ticks: { value: number }[] }) => {
          scale.ticks = from === to ? [{ value: from }] : [{ value: from }, { value: to }];
        },
      },
      y: {
        ...{ beginAtZero: true, grid: { color: colour("--hairline") } },
        ticks: { ...ticks, maxTicksLimit: 4, callback: (value: number) => labFigure(value) },
      },
    },
  };
};
