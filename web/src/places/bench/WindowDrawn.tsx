import type { TemperatureRead, TemperatureWindow } from "@yonderfell/core";
import type { ReactElement } from "react";

const WIDE = 360;
const HIGH = 132;
const FOOT = 108;
/** Room right of the line for the figures of the window. */
const RIGHT = 46;
const ACROSS = WIDE - RIGHT;
/** The least that is shown: the last minute. */
const LEAST_MS = 60_000;
/** What is shown above and below the window, °C. */
const ROOM = 12;

interface Scale {
  readonly from: number;
  readonly to: number;
  readonly across: (at: number) => number;
  readonly up: (temperature: number) => number;
  readonly span: number;
}

function scaleOf(
  { from, to }: TemperatureWindow,
  readings: readonly TemperatureRead[],
  now: number,
): Scale {
  const read = readings.map(({ temperature }) => temperature);
  const sides = [from, to].filter((side) => side !== null);
  const low = Math.min(...sides.map((side) => side - ROOM), ...read);
  const high = Math.max(...sides.map((side) => side + ROOM), ...read);
  const begun = Math.min(now - LEAST_MS, readings[0]?.at ?? now);
  const up = (temperature: number): number => FOOT - ((temperature - low) / (high - low)) * FOOT;
  return {
    ...{ from: from ?? low, to: to ?? high, up, span: now - begun },
    across: (at) => ((at - begun) / (now - begun)) * ACROSS,
  };
}

const spanWords = (span: number): string =>
  span <= LEAST_MS ? "the last minute" : `the last ${Math.ceil(span / 60_000)} minutes`;

/** How the temperature went: a line, and the window as a band across. */
export function WindowDrawn({
  window,
  readings,
  now,
}: {
  readonly window: TemperatureWindow;
  readonly readings: readonly TemperatureRead[];
  readonly now: number;
}): ReactElement {
  const { from, to, across, up, span } = scaleOf(window, readings, now);
  const places = readings.map(({ at, temperature }) => ({ x: across(at), y: up(temperature) }));
  const last = places.at(-1);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      role="img"
      aria-label={`The temperature over ${spanWords(span)}, with the window as a band`}
      className="w-full max-w-[30rem] text-[14px]"
      fill="var(--ink)"
    >
      <rect x="0" width={ACROSS} y={up(to)} height={up(from) - up(to)} fill="var(--wash)" />
      {[window.to, window.from].map(
        (side) =>
          side !== null && (
            <g key={side}>
              <path d={`M0 ${up(side)}H${ACROSS}`} stroke="var(--clear)" strokeWidth="2" />
              <text x={ACROSS + 6} y={up(side) + 5}>
                {side} °C
              </text>
            </g>
          ),
      )}
      {places.length > 1 && (
        <polyline
          points={places.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(" ")}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2.5"
        />
      )}
      {last && <circle cx={last.x} cy={last.y} r="5" />}
      <path d={`M0 ${FOOT}H${ACROSS}`} stroke="var(--rule)" />
      <text x="0" y={HIGH - 6} fill="var(--quiet)">
        {spanWords(span)}
      </text>
      <text x={ACROSS} y={HIGH - 6} textAnchor="end" fill="var(--quiet)">
        now
      </text>
    </svg>
  );
}
