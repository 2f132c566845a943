import { formatNumber } from "@yonderfell/core";
import { figureStyle } from "../../../words/writing.js";
import type { PlugReadAt, PlugState } from "./usePlug.js";

/** What a plug that is not read has to say. */
export const STATE_WORDS: Readonly<Record<Exclude<PlugState, "live">, string>> = {
  off: "",
  reaching: "Reaching the plug…",
  absent:
    "No plug answers: without the program’s server there is none. Temperatures that are typed do as well.",
};

/** What the plug reads, figure by figure. */
export function plugFigures({ temperature, revolutions, volts }: PlugReadAt): [string, string][] {
  const figure = (value: number): string => formatNumber(value, figureStyle());
  return [
    ["fluid", `${figure(temperature)} °C`],
    ["engine", `${figure(revolutions)} /min`],
    ["battery", `${figure(volts)} V`],
  ];
}
