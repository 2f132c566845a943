import { type Machine, type Meter, type RunningIn, type RunningInStage } from "@yonderfell/core";
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

/** What is wrong with how a machine is run in. */
export type RunningInProblem =
  | { readonly field: string; readonly code: "not-a-start" }
  | { readonly field: string; readonly code: "stage-ends-too-early"; readonly after: number }
  | { readonly field: string; readonly code: "not-above-0" };

/** What is still wrong with it, at its fields. */
export function runningInProblems({ stages, from }: RunningInModel): readonly RunningInProblem[] {
  const problems: RunningInProblem[] = [];
  if (stages.length > 0 && from.trim() !== "" && (typedNumber(from) ?? -1) < 0) {
    problems.push({ field: "from", code: "not-a-start" });
  }
  let after = 0;
  for (const [index, stage] of stages.entries()) {
    const end = typedNumber(stage.until);
    if (end === null || end <= after) {
      problems.push({ field: `stages.${index}.until`, code: "stage-ends-too-early", after });
    }
    after = Math.max(after, end ?? 0);
    for (const key of ["revolutions", "speed"] as const) {
      const isWrong = stage[key].trim() !== "" && (typedNumber(stage[key]) ?? 0) <= 0;
      if (isWrong) problems.push({ field: `stages.${index}.${key}`, code: "not-above-0" });
    }
  }
  return problems;
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
