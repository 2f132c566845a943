import type { RunningInStage, RunningInState } from "@yonderfell/core";
import { amount, figure, NBSP } from "./format.js";

type MeterUnit = "km" | "mi" | "h";

/** The limits of a stage of running in: `at most 3 500 rpm · at most 80 km/h · no towing`. */
export function stageWords({ revolutions, speed, speedUnit, load }: RunningInStage): string {
  const parts = [
    revolutions ? `at most ${figure(revolutions)}${NBSP}rpm` : "",
    speed ? `at most ${figure(speed)}${NBSP}${speedUnit ?? "km/h"}` : "",
    load ?? "",
  ];
  return parts.filter((part) => part !== "").join(" · ");
}

/** How far a machine is with running in: `Stage 1 of 2: 170 mi of 600 mi run, 30 mi left of this stage.` */
export function runningInWords(
  { number, run, left, end }: RunningInState,
  stages: number,
  unit: MeterUnit,
): string {
  const ran = `${amount(run, unit)} of ${amount(end, unit)} run`;
  return `Stage ${number} of ${stages}: ${ran}, ${amount(left, unit)} left of this stage.`;
}
