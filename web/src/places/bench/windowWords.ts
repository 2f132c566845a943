import { formatNumber, type TemperatureWindow, type WindowReading } from "@yonderfell/core";
import { figureStyle } from "../../words/writing.js";

const OLD_MS = 60_000;
/** Less than this is no time to tell. */
const SOON_SECONDS = 5;

const degrees = (value: number): string => formatNumber(Number(value.toFixed(1)), figureStyle());

/** Between which temperatures: `35 to 45 °C`. */
export function windowWords({ from, to }: TemperatureWindow): string {
  if (from !== null && to !== null) return `${degrees(from)} to ${degrees(to)} °C`;
  return from !== null ? `from ${degrees(from)} °C` : `up to ${degrees(to ?? 0)} °C`;
}

/** What to do as the fluid stands to its window. */
export const WINDOW_STATES: Readonly<Record<WindowReading["state"], string>> = {
  "too cold": "too cold: the level would be read too low",
  open: "open: read the level now",
  "too hot": "too hot: the level would be read too high",
};

/** A time in minutes and seconds, seconds by five: no more is known of it. */
function spanWords(minutes: number): string {
  const seconds = Math.round((minutes * 60) / 5) * 5;
  if (seconds < 60) return `${seconds} s`;
  if (minutes >= 10) return `${Math.round(minutes)} min`;
  const rest = seconds % 60;
  return `${Math.floor(seconds / 60)} min${rest === 0 ? "" : ` ${rest} s`}`;
}

function rateWords(rate: number): string {
  const by = `${degrees(Math.abs(rate))} °C a minute`;
  return Math.abs(rate) < 0.05 ? "steady" : rate > 0 ? `rising ${by}` : `falling ${by}`;
}

/** For how long it stays as it is at the present rate, and what that rate is. */
export function lastsWords({ state, rate, minutes, age }: WindowReading): string {
  if (rate === null) return "Read it again in a minute: then it is known how fast it goes.";
  if (minutes === null) {
    const out = state === "open" ? "It stays open" : "It does not open";
    return `${out} at this rate: ${rateWords(rate)}.`;
  }
  if (minutes * 60 < SOON_SECONDS && age < OLD_MS) {
    return `${state === "open" ? "It closes" : "It opens"} any moment: ${rateWords(rate)}.`;
  }
  if (minutes === 0) {
    return `By now it should have ${state === "open" ? "closed" : "opened"}: ${rateWords(rate)}. Read it again.`;
  }
  const what = state === "open" ? "Open for about" : "Opens in about";
  return `${what} ${spanWords(minutes)}: ${rateWords(rate)}.`;
}

/** How old the latest reading is, where that matters. */
export function ageWords({ age }: WindowReading): string {
  return age < OLD_MS ? "" : `read ${Math.round(age / 60_000)} min ago`;
}
