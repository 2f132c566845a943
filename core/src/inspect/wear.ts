import type { Check } from "../book/records/checklist.js";
import type { MachineBook } from "../book/slice/slice.js";
import type { Round } from "../book/records/round.js";
import type { Settings } from "../book/records/settings.js";
import type { MeterId } from "../book/records/ids.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { valueIn } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";
import { completionLife } from "../schedule/completion.js";
import { forecastLife, type Forecast } from "../schedule/forecast.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { reckonMeters } from "../meter/reckonMeter.js";
import { mean } from "../sums/middle.js";
import type { CheckLimits } from "./checkLimits.js";
import { resultAt } from "./places.js";
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
  readonly trend: Trend | null;
  /** The days on which it meets its limit, early to late; null where that is not known. */
  readonly meets: Forecast | null;
}

/** The limit that something wears towards: the least where it wears down, the most where it wears up. */
const wornTo = ({ wears }: Check, { least, most }: CheckLimits): number | null =>
  wears === "up" ? most : wears === "down" ? least : null;

/**
 * How what a check measures at a point has worn on a machine: the readings of all current rounds that have that check, up to
 * `today`, and by the sum *trend* over the life of its first meter when it meets its limit, with the days the due rules (§6)
 * give. A check that does not say which way it wears has readings and no trend.
 */
export function wearOf(
  book: MachineBook,
  { check, point }: { readonly check: Check; readonly point: string | null },
  limits: CheckLimits,
  settings: Settings,
  today: DayNumber,
): Wear {
  const [machine] = book.machines;
  const records = recordsByMachine(book).get(machine.id);
  const meter = (machine.meters ?? [])[0]?.id ?? null;
  const reckoning =
    records === undefined || meter === null
      ? null
      : (reckonMeters(records, settings, today).get(meter) ?? null);
  const rounds = (records?.rounds ?? [])
    .filter(({ day }) => day <= today)
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
  const lifeNow = reckoning?.life ?? null;
  if (reckoning === null || limit === null || lifeNow === null || !check.wears) {
    return { readings, meter, limit, trend: null, meets: null };
  }
  const points = readings.flatMap(({ life, value }) => (life === null ? [] : [{ life, value }]));
  const perDay = reckoning.rate.perDay;
  const given = { points, limit, wears: check.wears, fitted: null, lifeNow, perDay };
  const trend = trendOf(given);
  const meets = trend.atLimit === null ? null : forecastLife(reckoning, trend.atLimit, today);
  return { readings, meter, limit, trend, meets };
}
