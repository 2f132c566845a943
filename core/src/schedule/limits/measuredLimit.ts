import type { Check } from "../../book/records/checklist.js";
import type { TaskId } from "../../book/records/ids.js";
import type { CurrentRecord } from "../../book/slice/currentRecords.js";
import type { Round } from "../../book/records/round.js";
import type { Settings } from "../../book/records/settings.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { byLife, trendOf, type Measured } from "../../inspect/trend.js";
import type { MeasuredLimit } from "../../limit/limit.js";
import type { MeterReckoning } from "../../meter/reckonMeter.js";
import { valueIn, type Quantity } from "../../quantity/quantity.js";
import { dimensionOf, type Unit } from "../../quantity/unit.js";
import { mean } from "../../sums/middle.js";
import { completionLife, type Completion } from "../completion.js";
import type { Basis, MeasuredLimitReckoning } from "../limitReckoning.js";
import type { MachineState } from "../machineState.js";
import type { Due, DueContext, MeasuredLimitDue } from "./due.js";
import { reckonLife } from "./meterLimit.js";

type Readings = readonly Quantity[] | undefined;

/** The mean of readings in a unit; those that measure something else are left out. Null without any. */
function meanIn(readings: Readings, unit: Unit): number | null {
  const values = (readings ?? [])
    .filter((reading) => dimensionOf(reading.unit) === dimensionOf(unit))
    .map((reading) => valueIn(reading, unit));
  return values.length === 0 ? null : mean(values);
}

/** What a round read for a limit. */
function readingsFor({ checklist, check, point }: MeasuredLimit, round: Round): Readings {
  if (round.checklist !== checklist) return undefined;
  return (round.results ?? []).find((one) => one.check === check && (one.point ?? null) === point)
    ?.readings;
}

/** What was measured for a limit in the rounds since its task was last done, up to today. */
function measuredSince(
  last: Completion | null,
  limit: MeasuredLimit,
  unit: Unit,
  rounds: readonly CurrentRecord<Round>[],
  reckoning: MeterReckoning,
): Measured[] {
  const since = rounds.filter(
    ({ day }) => day <= reckoning.today && (last === null || day > last.day),
  );
  return since.flatMap((round): Measured[] => {
    const value = meanIn(readingsFor(limit, round.record), unit);
    const life = value === null ? null : completionLife(round, reckoning);
    return value === null || life === null ? [] : [{ life, value }];
  });
}

/** What was measured of it when its task was last done; null where that is not known. */
function fittedAt(
  last: Completion | null,
  { point }: MeasuredLimit,
  check: Check,
  unit: Unit,
  reckoning: MeterReckoning,
): Measured | null {
  const life = last === null ? null : completionLife(last, reckoning);
  if (life === null) return null;
  const name = point === null ? check.name : `${check.name}, ${point}`;
  const [value] = (last?.record.measures ?? [])
    .filter((measure) => measure.name === name)
    .flatMap(({ readings }) => meanIn(readings, unit) ?? []);
  return value === undefined ? null : { life, value };
}

const unknown = (basis: Basis): Due<number> => ({ state: "unknown", basis });

/** Where a measured limit is due: where the trend of what was measured since its task was last done meets its figure (due rules §16). */
export function measuredDue(
  limit: MeasuredLimit,
  { last }: DueContext,
  reckoning: MeterReckoning,
  { rounds, checklists }: Pick<MachineState, "rounds" | "checklists">,
): MeasuredLimitDue {
  const checks = checklists.get(limit.checklist)?.checks ?? [];
  const check = checks.find(({ id }) => id === limit.check);
  const unit = check?.unit ?? null;
  const dueAs = (due: Due<number>, rough = false): MeasuredLimitDue => ({
    kind: "measured",
    ...{ limit, reckoning, due, rough },
  });
  if (check === undefined || unit === null) {
    return dueAs(unknown({ code: "not-measured", check: limit.check }));
  }
  const points = measuredSince(last, limit, unit, rounds, reckoning);
  const fitted = fittedAt(last, limit, check, unit, reckoning);
  const trend = trendOf({
    ...{ points, fitted, limit: limit.limit, wears: check.wears ?? "down" },
    ...{ lifeNow: reckoning.life ?? 0, perDay: null },
  });
  const { slope, atLimit, rough } = trend;
  if (atLimit === null || slope === null || reckoning.life === null) {
    const code = points.length === 0 ? "not-measured" : "no-trend";
    return dueAs(unknown({ code, check: check.name }), rough);
  }
  const lives = points.map(({ life }) => life);
  const isFittedUsed = trend.points > byLife(points).length;
  const from = Math.min(...lives, ...(isFittedUsed && fitted !== null ? [fitted.life] : []));
  const basis: Basis = {
    code: "measured",
    ...{ check: check.name, point: limit.point, unit, slope, points: trend.points },
  };
  return dueAs({ state: "set", due: atLimit, from, basis }, rough);
}

/** With every n-th turn of a task that has this limit: nothing says how far its own wear is (due rules §16). */
export function nthMeasuredDue(borrowed: MeasuredLimitDue, of: TaskId): MeasuredLimitDue {
  return { ...borrowed, rough: false, due: unknown({ code: "nth-unknown", of }) };
}

/** A measured limit against the life of its meter on a day, as a meter limit whose interval is not known (due rules §16). */
export function reckonMeasuredLimit(
  { limit, reckoning, due, rough }: MeasuredLimitDue,
  today: DayNumber,
  settings: Settings,
): MeasuredLimitReckoning {
  const life = reckonLife({ limit, reckoning, due }, null, today, settings);
  return { kind: "measured", meter: limit.meter, limit, basis: due.basis, rough, ...life };
}
