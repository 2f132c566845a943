import type { CurrentRecord } from "../book/slice/currentRecords.js";
import type { Entry } from "../book/records/entry.js";
import type { MeterId } from "../book/records/ids.js";
import type { Meter } from "../book/records/machine.js";
import type { MachineRecords } from "../book/slice/machineRecords.js";
import type { MeterChange } from "../book/records/meterChange.js";
import { ownValue } from "../book/records/ownValue.js";
import type { Round } from "../book/records/round.js";
import type { Settings } from "../book/records/settings.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { dialsOf, lifeOfFigure, offsetOn, type Dials } from "./dials.js";
import { CEILING_PER_DAY, siftPoints } from "./keptPoints.js";
import { lastPositionUpTo, lifeOn } from "./lifeLine.js";
import { standingPoints, type Point } from "./points.js";
import { rateOf, type Rate } from "./rate.js";
import { runningDaysOf, type RunningDays } from "./runningDays.js";

/** What is known of a meter on a date (due rules §§2–3); lives in the meter's unit. */
export interface MeterReckoning {
  readonly meter: Meter;
  /** The day it is reckoned for. */
  readonly today: DayNumber;
  /** The days it is expected to run on. */
  readonly running: RunningDays;
  readonly dials: Dials;
  readonly kept: readonly Point[];
  readonly faults: readonly Point[];
  readonly rate: Rate;
  /** Life today; past the last point a reckoned value; null without any point. */
  readonly life: number | null;
  /** What today's dial would show; null without any point. */
  readonly dial: number | null;
  /** What is added to today's dial to give the life. */
  readonly offset: number;
  /** The date of the last kept point that is not estimated. */
  readonly lastOn: DayNumber | null;
  readonly stale: boolean;
  /** The day from which the dial is not believed, while that is in effect. */
  readonly stoppedOn: DayNumber | null;
}

type Gathered = { readonly points: Point[]; readonly changes: CurrentRecord<MeterChange>[] };

/** The reckoning of each meter of a machine on `today`, by meter, in the order of the file. */
export function reckonMeters(
  records: MachineRecords,
  settings: Settings,
  today: DayNumber,
): Map<MeterId, MeterReckoning> {
  const gathered = new Map<string, Gathered>();
  for (const meter of records.machine.meters ?? []) {
    gathered.set(meter.id, { points: [], changes: [] });
  }
  for (const change of records.meterChanges)
    gathered.get(change.record.meter)?.changes.push(change);
  const dials = new Map<string, Dials>();
  for (const [meter, { changes }] of gathered) dials.set(meter, dialsOf(changes));
  gatherReadings(records, gathered, dials);
  gatherFigures("entries", records.entries, gathered, dials);
  gatherFigures("rounds", records.rounds, gathered, dials);
  const running = runningDaysOf(records.machine.laidUp);
  const reckoned = new Map<MeterId, MeterReckoning>();
  for (const meter of records.machine.meters ?? []) {
    const points = gathered.get(meter.id)?.points ?? [];
    const own = dials.get(meter.id) ?? [];
    reckoned.set(meter.id, reckonMeter(meter, points, own, settings, today, running));
  }
  return reckoned;
}

function gatherReadings(
  records: MachineRecords,
  gathered: ReadonlyMap<string, Gathered>,
  dials: ReadonlyMap<string, Dials>,
): void {
  for (const record of records.readings) {
    const day = dayOf(record.date);
    gathered.get(record.meter)?.points.push({
      day,
      life: lifeOfFigure(dials.get(record.meter) ?? [], record.value, day).life,
      estimated: record.estimated === true,
      confirmed: record.confirmed === true,
      change: false,
      section: "readings",
      id: record.id,
    });
  }
}

function gatherFigures(
  section: "entries" | "rounds",
  records: readonly CurrentRecord<Entry | Round>[],
  gathered: ReadonlyMap<string, Gathered>,
  dials: ReadonlyMap<string, Dials>,
): void {
  for (const { record, day } of records) {
    for (const meter of Object.keys(record.meters ?? {})) {
      const figure = ownValue(record.meters, meter);
      if (figure === undefined) continue;
      gathered.get(meter)?.points.push({
        day,
        life: lifeOfFigure(dials.get(meter) ?? [], figure, day).life,
        estimated:
          (record.estimatedMeters as readonly string[] | undefined)?.includes(meter) === true,
        confirmed: record.confirmed === true,
        change: false,
        section,
        id: record.id,
      });
    }
  }
}

function changePoints(dials: Dials): Point[] {
  return dials.map((change) => ({
    day: change.day,
    life: change.newStart + change.offset,
    estimated: false,
    confirmed: false,
    change: true,
    section: "meterChanges",
    id: change.id,
  }));
}

/** `stoppedOn` while it is in effect: not after today, and with no change on or after it up to today (due rules §2). */
function stopInEffect(meter: Meter, dials: Dials, today: DayNumber): DayNumber | null {
  const text = meter.stoppedOn ?? null;
  if (text === null) return null;
  const stopped = dayOf(text);
  if (stopped > today) return null;
  const replaced = dials.some((change) => change.day >= stopped && change.day <= today);
  return replaced ? null : stopped;
}

function reckonMeter(
  meter: Meter,
  points: readonly Point[],
  dials: Dials,
  settings: Settings,
  today: DayNumber,
  running: RunningDays,
): MeterReckoning {
  const reference = stopInEffect(meter, dials, today) ?? today;
  const all = dials.length === 0 ? points : [...points, ...changePoints(dials)];
  const isAllPast = all.every((point) => point.day <= reference);
  const counted = isAllPast ? all : all.filter((point) => point.day <= reference);
  const sifted = siftPoints(standingPoints(counted), CEILING_PER_DAY[meter.unit]);
  return standing({ meter, dials, running, ...sifted }, settings, today);
}

type Known = Pick<MeterReckoning, "meter" | "dials" | "running" | "kept" | "faults">;

/** How a meter stands on a day by points that are dated up to it. */
function standing(known: Known, settings: Settings, today: DayNumber): MeterReckoning {
  const { meter, dials, running, kept } = known;
  const stoppedOn = stopInEffect(meter, dials, today);
  const rate = rateOf(kept, meter.perDay ?? null, stoppedOn ?? today, running);
  const life = lifeOn(kept, rate.perDay, today, running);
  const offset = offsetOn(dials, today);
  const lastOn = kept.findLast((point) => !point.estimated)?.day ?? null;
  const staleAfter = meter.staleAfterDays ?? settings.staleAfterDays;
  return {
    ...known,
    ...{ today, rate, life, offset, lastOn, stoppedOn },
    dial: life === null ? null : life - offset,
    stale: lastOn === null || running.between(lastOn, today) > staleAfter,
  };
}

/**
 * A meter as it stood on an earlier day: by the points dated up to it, those left out that are known by now to be
 * faults.
 */
export function meterAsOf(
  reckoning: MeterReckoning,
  settings: Settings,
  day: DayNumber,
): MeterReckoning {
  const { meter, dials, kept, faults } = reckoning;
  const reference = stopInEffect(meter, dials, day) ?? day;
  const known = {
    kept: kept.slice(0, lastPositionUpTo(kept, reference) + 1),
    faults: faults.filter((point) => point.day <= reference),
  };
  return standing({ ...reckoning, ...known }, settings, day);
}
