import { type Machine, type Meter, type RunningIn, type RunningInStage } from "@yonderfell/core";
import { figure } from "../../../words/format.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

export type SpeedUnit = NonNullable<RunningInStage["speedUnit"]>;

/** A stage of running in as it stands in the form. */
export interface StageRow {
  readonly key: string;
  readonly until: string;
  readonly revolutions: string;
  readonly speed: string;
  readonly speedUnit: SpeedUnit;
  readonly load: string;
}

/** How a machine is run in, as it stands in the form; without stages it is not. */
export interface RunningInModel {
  readonly meter: string;
  readonly from: string;
  readonly source: string;
  readonly stages: readonly StageRow[];
}

/** The unit a speed is asked for in beside a meter's. */
export function speedUnitOf(unit: Meter["unit"] | undefined): SpeedUnit {
  return unit === "mi" ? "mph" : "km/h";
}

const written = (value: number | null | undefined): string => (value ? typedFigure(value) : "");

/** How a machine is run in, as it stands in the form. */
export function modelOfRunningIn({ runningIn }: Pick<Machine, "runningIn">): RunningInModel {
  return {
    meter: runningIn?.meter ?? "",
    from: written(runningIn?.from),
    source: runningIn?.source ?? "",
    stages: (runningIn?.stages ?? []).map(
      ({ until, revolutions, speed, speedUnit, load }, index) => ({
        key: String(index),
        until: written(until),
        revolutions: written(revolutions),
        speed: written(speed),
        speedUnit: speedUnit ?? "km/h",
        load: load ?? "",
      }),
    ),
  };
}

/** What is still wrong with it, as a line; empty where nothing is. */
export function runningInProblem({ stages, from }: RunningInModel): string {
  if (stages.length > 0 && from.trim() !== "" && (typedNumber(from) ?? -1) < 0) {
    return `“${from}” is not a figure for where running in began.`;
  }
  let before = 0;
  for (const [index, { until, revolutions, speed }] of stages.entries()) {
    const end = typedNumber(until);
    if (end === null || end <= before) {
      return `Stage ${index + 1} of running in ends at a figure above ${figure(before)}.`;
    }
    before = end;
    const isWrong = (text: string): boolean => text.trim() !== "" && (typedNumber(text) ?? 0) <= 0;
    const wrong = [revolutions, speed].find(isWrong);
    if (wrong !== undefined) return `“${wrong}” in stage ${index + 1} is not a figure above 0.`;
  }
  return "";
}

/** Running in as the form has it, null where it has no stages; what the form does not show stays as it was. */
export function runningInOf(
  { meter, from, source, stages }: RunningInModel,
  before: Machine,
): RunningIn | null {
  if (stages.length === 0) return null;
  return {
    ...before.runningIn,
    meter: meter as RunningIn["meter"],
    from: typedNumber(from),
    source: source.trim() === "" ? null : source.trim(),
    stages: stages.map((row): RunningInStage => ({
      until: typedNumber(row.until) ?? 0,
      revolutions: typedNumber(row.revolutions),
      speed: typedNumber(row.speed),
      speedUnit: typedNumber(row.speed) === null ? null : row.speedUnit,
      load: row.load.trim() === "" ? null : row.load.trim(),
    })),
  };
}
