import type { Journey } from "../../book/records/journey.js";
import type { MeterId } from "../../book/records/ids.js";
import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import type { MeterReckoning } from "../../meter/reckonMeter.js";

/** The days of a journey, of one under way those that are left of it. */
export interface JourneyDays {
  readonly departs: DayNumber;
  /** The last day it is away. */
  readonly returns: DayNumber;
  /** The first day still to come: departure, or today where it is under way. */
  readonly begins: DayNumber;
  /** The share of its days that is still to come: 1 before departure, 0 once it is over. */
  readonly shareLeft: number;
}

/** What it is known from how far a meter runs on a journey. */
type JourneyRunSource =
  /** As the journey says. */
  | "given"
  /** From what it says of another meter, by how the two run as a rule. */
  | "by-other-meter"
  /** At its usual pace. */
  | "usual-pace"
  /** Not at all. */
  | "not-known";

/** How far a meter runs on a journey, in its unit, as far as it is still to come. */
export interface JourneyRun {
  readonly reckoning: MeterReckoning;
  readonly amount: number | null;
  readonly source: JourneyRunSource;
  /** Life at the beginning of the first day to come, at the present pace until then; null without any reading. */
  readonly lifeAtStart: number | null;
  /** Life at return. */
  readonly lifeAtReturn: number | null;
}

/** The days of a journey as seen from `today`. */
export function journeyDays({ date, days }: Journey, today: DayNumber): JourneyDays {
  const departs = dayOf(date);
  const returns = addDays(departs, days - 1);
  const begins = departs > today ? departs : today;
  return { departs, returns, begins, shareLeft: Math.max(0, returns - begins + 1) / days };
}

/**
 * How far each meter of a machine runs on a journey: as the journey says for the meter it names, another
 * one in the proportion in which the two run as a rule, and where the journey says nothing at its usual
 * pace on the days it is not laid up.
 */
export function journeyRuns(
  journey: Journey,
  meters: ReadonlyMap<MeterId, MeterReckoning>,
  today: DayNumber,
): Map<MeterId, JourneyRun> {
  const days = journeyDays(journey, today);
  const runs = new Map<MeterId, JourneyRun>();
  for (const [id, reckoning] of meters) {
    const { amount, source } = amountOf(id, reckoning, { journey, meters, days });
    const { life, rate, running } = reckoning;
    const until = Math.max(0, running.between(today, days.begins));
    const lifeAtStart = life === null ? null : life + (rate.perDay ?? 0) * until;
    const lifeAtReturn = lifeAtStart === null || amount === null ? null : lifeAtStart + amount;
    runs.set(id, { reckoning, amount, source, lifeAtStart, lifeAtReturn });
  }
  return runs;
}

interface Around {
  readonly journey: Journey;
  readonly meters: ReadonlyMap<MeterId, MeterReckoning>;
  readonly days: JourneyDays;
}

function amountOf(
  id: MeterId,
  { rate: { perDay }, running }: MeterReckoning,
  { journey, meters, days }: Around,
): Pick<JourneyRun, "amount" | "source"> {
  const given = journey.amount ?? null;
  const meter = journey.meter ?? null;
  if (given !== null && meter !== null) {
    if (meter === id) return { amount: given * days.shareLeft, source: "given" };
    const other = meters.get(meter)?.rate.perDay ?? null;
    if (other !== null && other > 0 && perDay !== null) {
      const amount = (given * days.shareLeft * perDay) / other;
      return { amount, source: "by-other-meter" };
    }
  }
  if (perDay === null) return { amount: null, source: "not-known" };
  const runningDays = Math.max(0, running.between(addDays(days.begins, -1), days.returns));
  return { amount: perDay * runningDays, source: "usual-pace" };
}
