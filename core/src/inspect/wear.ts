import type { Check } from "../book/records/checklist.js";
import type { MachineBook } from "../book/slice/slice.js";
import type { Round } from "../book/records/round.js";
import type { Settings } from "../book/records/settings.js";
import type { MeterId } from "../book/records/ids.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { valueIn } from "../quantity/quantity.js";
import { dimensionOf, type Unit } from "../quantity/unit.js";
import { completionLife } from "../schedule/completion.js";
import { forecastLife, type Forecast } from "../schedule/forecast.js";
import { byDate, type CurrentRecord } from "../book/slice/currentRecords.js";
import { recordsByMachine, type MachineRecords } from "../book/slice/machineRecords.js";
import type { Entry } from "../book/records/entry.js";
import type { Task } from "../book/records/task.js";
import { reckonMeters } from "../meter/reckonMeter.js";
import { mean } from "../sums/middle.js";
import { isAbove } from "../sums/nearly.js";
import type { CheckLimits } from "./checkLimits.js";
import { resultAt, type CheckPlace } from "./places.js";
import { shareUsed } from "./shareOfLimit.js";
import { trendOf, type Trend } from "./trend.js";

/** What was read at a check in an earlier round, or in this one. */
interface ReadBefore {
  readonly round: Round["id"];
  readonly day: DayNumber;
  /** The mean of the readings, in the unit of the check. */
  readonly value: number;
  /** The life of the machine's first meter then; null where it is not known. */
  readonly life: number | null;
}

/** How something wears: what was read of it, and when it meets its limit. */
export interface Wear {
  /** The oldest first. */
  readonly readings: readonly ReadBefore[];
  /** The meter that life is told by; null where the machine has none. */
  readonly meter: MeterId | null;
  readonly limit: number | null;
  /** The share of its limit that something which grows has used by the last reading, from 0 or from what was measured new; null where it does not grow, or nothing is read. */
  readonly used: number | null;
  readonly trend: Trend | null;
  /** The days on which it meets its limit, early to late; null where that is not known. */
  readonly meets: Forecast | null;
}

/** The limit that something wears towards: the least where it wears down, the most where it wears up. */
const wornTo = ({ wears }: Check, { least, most }: CheckLimits): number | null =>
  wears === "up" ? most : wears === "down" ? least : null;

/** Whether a task has a limit, in any school, by what a check measures at a point (due rules §16). */
export const goesBy = ({ regimes }: Task, { check, point }: CheckPlace): boolean =>
  Object.values(regimes ?? {})
    .flat()
    .some(
      (limit) => "check" in limit && limit.check === check.id && (limit.point ?? null) === point,
    );

/** When what a check measures at a point was last renewed by work: by a task that goes by that measure, or by what closed a finding of it; null where nothing says so. */
function renewal(
  { entries, tasks, findings }: MachineRecords,
  { check, point }: CheckPlace,
  today: DayNumber,
): CurrentRecord<Entry> | null {
  const own = new Set<string>(
    tasks.filter((task) => goesBy(task, { check, point })).map(({ id }) => id),
  );
  const found = new Set<string>(
    findings
      .filter((one) => one.check === check.id && (one.point ?? null) === point)
      .map(({ id }) => id),
  );
  const renewals = entries.filter(
    ({ day, record }) =>
      day <= today &&
      ((record.tasks ?? []).some((task) => own.has(task)) ||
        (record.closes ?? []).some((finding) => found.has(finding))),
  );
  return renewals.toSorted(byDate).at(-1) ?? null;
}

/** What was measured of it when it was renewed, under the name of the check and its point; null where nothing was. */
function measuredNew(
  renewed: CurrentRecord<Entry> | null,
  { check, point }: CheckPlace,
  unit: Unit,
): number | null {
  const name = point === null ? check.name : `${check.name}, ${point}`;
  const measure = (renewed?.record.measures ?? []).find((one) => one.name === name);
  const values = (measure?.readings ?? [])
    .filter((reading) => dimensionOf(reading.unit) === dimensionOf(unit))
    .map((reading) => valueIn(reading, unit));
  return values.length === 0 ? null : mean(values);
}

/** The share of its limit that something which grows has used by the last reading; null where that says nothing. */
function usedBy(
  { wears }: Check,
  readings: readonly ReadBefore[],
  limit: number | null,
  clean: number,
): number | null {
  const last = readings.at(-1);
  if (wears !== "up" || limit === null || last === undefined) return null;
  return isAbove(limit, clean) ? shareUsed(last.value, clean, limit) : null;
}

/**
 * How what a check measures at a point has worn on a machine: the readings of all current rounds that have that check, up to
 * `today` and since it was last renewed by work, and by the sum *trend* over the life of its first meter when it meets its limit, with the days the due rules (§6)
 * give. A check that does not say which way it wears has readings and no trend.
 */
export function wearOf(
  book: MachineBook,
  place: CheckPlace,
  limits: CheckLimits,
  settings: Settings,
  today: DayNumber,
): Wear {
  const { check, point } = place;
  const [machine] = book.machines;
  const records = recordsByMachine(book).get(machine.id);
  const meter = (machine.meters ?? [])[0]?.id ?? null;
  const reckoning =
    records === undefined || meter === null
      ? null
      : (reckonMeters(records, settings, today).get(meter) ?? null);
  const renewed = records === undefined ? null : renewal(records, place, today);
  const rounds = (records?.rounds ?? [])
    .filter(({ day }) => day <= today && (renewed === null || day > renewed.day))
    .toSorted((one, other) => one.day - other.day);
  const readings = rounds.flatMap((round): ReadBefore[] => {
    const values = (resultAt(round.record, { check, point })?.readings ?? [])
      .filter(({ unit }) => dimensionOf(unit) === dimensionOf(limits.unit))
      .map((reading) => valueIn(reading, limits.unit));
    if (values.length === 0) return [];
    const life = reckoning === null ? null : completionLife(round, reckoning);
    return [{ round: round.record.id, day: round.day, value: mean(values), life }];
  });
  const limit = wornTo(check, limits);
  const newValue = measuredNew(renewed, place, limits.unit);
  const used = usedBy(check, readings, limit, newValue ?? 0);
  const lifeNow = reckoning?.life ?? null;
  if (reckoning === null || limit === null || lifeNow === null || !check.wears) {
    return { readings, meter, limit, used, trend: null, meets: null };
  }
  const points = readings.flatMap(({ life, value }) => (life === null ? [] : [{ life, value }]));
  const perDay = reckoning.rate.perDay;
  const newLife = renewed === null ? null : completionLife(renewed, reckoning);
  const fitted = newLife === null || newValue === null ? null : { life: newLife, value: newValue };
  const given = { points, limit, wears: check.wears, fitted, lifeNow, perDay };
  const trend = trendOf(given);
  const meets = trend.atLimit === null ? null : forecastLife(reckoning, trend.atLimit, today);
  return { readings, meter, limit, used, trend, meets };
}
