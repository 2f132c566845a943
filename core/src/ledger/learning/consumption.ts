import type { Entry } from "../../book/records/entry.js";
import type { Fluid } from "../../book/records/fluid.js";
import type { EntryId, FluidId } from "../../book/records/ids.js";
import type { Meter } from "../../book/records/machine.js";
import { byDate, type CurrentRecord } from "../../book/slice/currentRecords.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import type { MeterReckoning } from "../../meter/reckonMeter.js";
import { lifeOn } from "../../meter/lifeLine.js";
import { valueIn } from "../../quantity/quantity.js";
import { dimensionOf } from "../../quantity/unit.js";
import { completionLife } from "../../schedule/completion.js";
import { median } from "../../sums/middle.js";
import { isAbove } from "../../sums/nearly.js";
import { consumptionOf, type TopUpAt } from "../useSums.js";

/** What a system took between two services. */
export interface ServiceSpan {
  readonly fromDay: DayNumber;
  /** The day of the service that ended it; null where it goes on. */
  readonly toDay: DayNumber | null;
  /** Lives on the meter, in its unit. */
  readonly from: number;
  readonly to: number;
  /** Litres topped up, in how many top-ups, and by `per` of the meter's unit. */
  readonly amount: number;
  readonly count: number;
  readonly rate: number;
  /** The entries that it stands on: the services, and the top-ups between. */
  readonly entries: readonly EntryId[];
}

/** What a fluid system takes from service to service, and whether it has come to take much more. */
export interface ConsumptionTrend {
  readonly fluid: FluidId;
  readonly system: string;
  /** The meter it is counted by. */
  readonly meter: Meter;
  readonly per: number;
  /** Between services, the earliest first. */
  readonly spans: readonly ServiceSpan[];
  /** Since the last service; null where nothing was run since. */
  readonly soFar: ServiceSpan | null;
  /** The middle of all spans but the last; null with fewer than three of those. */
  readonly usual: number | null;
  /** The last span took over twice as much as is usual (records §4). */
  readonly isDoubled: boolean;
}

const PER_HOURS = 100;
const PER_DISTANCE = 1000;
/** So many earlier spans say what is usual. Source: records §4. */
const LEAST_EARLIER = 3;
const TIMES = 2;

interface Poured {
  readonly entry: Entry;
  readonly day: DayNumber;
  readonly life: number;
  readonly litres: number;
}

/** What was poured into a system, the earliest first: services, or top-ups. */
function poured(
  entries: readonly CurrentRecord<Entry>[],
  fluid: FluidId,
  isTopUp: boolean,
  meter: MeterReckoning,
): Poured[] {
  return entries
    .filter(({ record }) => (record.isTopUp === true) === isTopUp)
    .toSorted(byDate)
    .flatMap((one) => {
      const life = completionLife(one, meter);
      const filled = (one.record.fluids ?? []).filter((line) => line.fluid === fluid && line.in);
      if (life === null || filled.length === 0) return [];
      const litres = filled.reduce((sum, { in: amount }) => {
        const isVolume = amount && dimensionOf(amount.unit) === "volume";
        return isVolume ? sum + valueIn(amount, "L") : sum;
      }, 0);
      return [{ entry: one.record, day: one.day, life, litres }];
    });
}

function spanBetween(
  from: Poured,
  to: { readonly day: DayNumber; readonly life: number; readonly entry: Entry | null },
  topUps: readonly Poured[],
  per: number,
): ServiceSpan | null {
  if (!isAbove(to.life, from.life)) return null;
  const between = topUps.filter(
    ({ day, life, litres }) =>
      day >= from.day && day <= to.day && isAbove(life, from.life) && litres > 0,
  );
  const told: TopUpAt[] = between.map(({ life, litres }) => ({ life, amount: litres }));
  const ends = to.entry === null ? [from.entry] : [from.entry, to.entry];
  return {
    ...{ fromDay: from.day, toDay: to.entry === null ? null : to.day },
    ...{ from: from.life, to: to.life },
    ...consumptionOf({ from: from.life, to: to.life, topUps: told, per }),
    entries: [...ends, ...between.map(({ entry }) => entry)].map(({ id }) => id),
  };
}

/**
 * What a fluid system took between its services by the top-ups of the log (sum *consumption*), in litres by 1,000 km or
 * miles, or by 100 h. A service is an entry that is no top-up and put the fluid in. Null where it was never filled twice,
 * or nothing was topped up between.
 */
export function consumptionTrend(
  { id: fluid, system }: Pick<Fluid, "id" | "system">,
  entries: readonly CurrentRecord<Entry>[],
  meter: MeterReckoning,
): ConsumptionTrend | null {
  const past = entries.filter(({ day }) => day <= meter.today);
  const services = poured(past, fluid, false, meter);
  const topUps = poured(past, fluid, true, meter);
  const per = meter.meter.unit === "h" ? PER_HOURS : PER_DISTANCE;
  const spans = services.slice(1).flatMap((to, at) => {
    const from = services[at];
    return from === undefined ? [] : (spanBetween(from, to, topUps, per) ?? []);
  });
  if (spans.length === 0) return null;
  const { kept, rate, running, today } = meter;
  const now = lifeOn(kept, rate.perDay, today, running);
  const last = services.at(-1);
  const soFar =
    now === null || last === undefined
      ? null
      : spanBetween(last, { day: today, life: now, entry: null }, topUps, per);
  if ([...spans, ...(soFar === null ? [] : [soFar])].every(({ count }) => count === 0)) return null;
  const earlier = spans.slice(0, -1).map((span) => span.rate);
  const usual = earlier.length < LEAST_EARLIER ? null : median(earlier);
  const latest = spans.at(-1)?.rate ?? 0;
  const isDoubled = usual !== null && isAbove(latest, usual * TIMES);
  return { fluid, system, meter: meter.meter, per, spans, soFar, usual, isDoubled };
}
