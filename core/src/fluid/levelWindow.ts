import { byLife, medianSlope } from "../inspect/trend.js";
import { isAbove, isBelow, isSame } from "../sums/nearly.js";

/** The temperatures in °C between which a level holds; null where one side is open. */
export interface TemperatureWindow {
  readonly from: number | null;
  readonly to: number | null;
}

/** A temperature in °C at a time in milliseconds. */
export interface TemperatureRead {
  readonly at: number;
  readonly temperature: number;
}

/** How a fluid stands to the window in which its level is read. */
export interface WindowReading {
  /** The latest temperature, °C, and how old it is, milliseconds. */
  readonly temperature: number;
  readonly age: number;
  readonly state: "too cold" | "open" | "too hot";
  /** Change in °C a minute; null with fewer than two readings. */
  readonly rate: number | null;
  /** Minutes from now at this rate: while it is open until it closes, else until it opens; null where it goes the other way, or not at all. */
  readonly minutes: number | null;
}

const MINUTE_MS = 60_000;
/** The rate goes by what was read in so much time before the latest. */
const SPAN_MS = MINUTE_MS;
/** Readings closer together than this tell no rate. */
const LEAST_SPAN_MS = 5000;

/** What the rate goes by: the last minute, or the last two readings where they stand farther apart. */
function recent(readings: readonly TemperatureRead[]): readonly TemperatureRead[] {
  const last = readings.at(-1);
  const first = readings.find(({ at }) => last !== undefined && last.at - at <= SPAN_MS);
  const isLong = last !== undefined && first !== undefined && last.at - first.at >= LEAST_SPAN_MS;
  return isLong ? readings.slice(readings.indexOf(first)) : readings.slice(-2);
}

function rateOf(readings: readonly TemperatureRead[]): number | null {
  const points = byLife(
    recent(readings).map(({ at, temperature }) => ({ life: at / MINUTE_MS, value: temperature })),
  );
  return points.length < 2 ? null : medianSlope(points);
}

function stateOf({ from, to }: TemperatureWindow, temperature: number): WindowReading["state"] {
  if (from !== null && isBelow(temperature, from)) return "too cold";
  return to !== null && isAbove(temperature, to) ? "too hot" : "open";
}

/** The side of the window that is come to at a rate; null where none is. */
function nextSide(
  { from, to }: TemperatureWindow,
  state: WindowReading["state"],
  rate: number,
): number | null {
  if (isSame(rate, 0)) return null;
  if (rate > 0) return state === "too cold" ? from : state === "open" ? to : null;
  return state === "too hot" ? to : state === "open" ? from : null;
}

/**
 * How a fluid stands to the window in which its level is read, by its readings, oldest first, and the clock in milliseconds:
 * too cold, open or too hot by the latest of them, and for how long at the rate of the last minute (the median of all slopes
 * between its readings, as the sum *trend* has it). Null without a reading.
 */
export function levelWindow(
  window: TemperatureWindow,
  readings: readonly TemperatureRead[],
  now: number,
): WindowReading | null {
  const last = readings.at(-1);
  if (last === undefined) return null;
  const { temperature } = last;
  const state = stateOf(window, temperature);
  const rate = rateOf(readings);
  const side = rate === null ? null : nextSide(window, state, rate);
  const age = Math.max(0, now - last.at);
  const minutes =
    side === null || rate === null
      ? null
      : Math.max(0, (side - temperature) / rate - age / MINUTE_MS);
  return { temperature, age, state, rate, minutes };
}
