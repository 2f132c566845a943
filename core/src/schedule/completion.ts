import { byDate, type CurrentRecord } from "../book/slice/currentRecords.js";
import type { Entry } from "../book/records/entry.js";
import type { EntryId, MeterId, TaskId } from "../book/records/ids.js";
import { ownValue } from "../book/records/ownValue.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { dialOn, lifeOfFigure } from "../meter/dials.js";
import { isBelow } from "../meter/life.js";
import { lastPositionUpTo, lifeOn } from "../meter/lifeLine.js";
import type { MeterReckoning } from "../meter/reckonMeter.js";

/** An entry that counts as a task done (due rules §4). */
export type Completion = CurrentRecord<Entry>;

/** A completion as it can be told to a person: when, at what figure on which dial. */
export interface CompletionFact {
  readonly entry: EntryId;
  readonly day: DayNumber;
  readonly assumed: boolean;
  /** The life at the completion on the limit's meter, in its unit; null for a calendar limit or where unknown. */
  readonly life: number | null;
  /** The figure of the dial then in place. */
  readonly dial: number | null;
  /** Whether that dial has been replaced since. */
  readonly oldDial: boolean;
  /** Whether the life was worked out from other days rather than read at the work. */
  readonly worked: boolean;
}

/** Whether completion `a` came after `b`, by date, then place in the order. */
export function isLater(a: Completion, b: Completion): boolean {
  return byDate(a, b) > 0;
}

/** The completions of each task up to `today`, earliest first. */
export function completionsByTask(
  entries: readonly CurrentRecord<Entry>[],
  today: DayNumber,
): Map<TaskId, Completion[]> {
  const byTask = new Map<TaskId, Completion[]>();
  const past = entries.filter((entry) => entry.day <= today).sort(byDate);
  for (const completion of past) {
    for (const task of completion.record.tasks ?? []) {
      const list = byTask.get(task);
      if (list === undefined) byTask.set(task, [completion]);
      // An entry that lists a task twice is still one completion.
      else if (list[list.length - 1] !== completion) list.push(completion);
    }
  }
  return byTask;
}

/** A record with what the dials showed on its day: an entry, or a round. */
type WithFigures = CurrentRecord<{ readonly meters?: Entry["meters"] }>;

/** The record's own figure as life, where it is to be believed (due rules §4); else null. */
function ownLife({ record, day }: WithFigures, reckoning: MeterReckoning): number | null {
  const { dials, kept, faults, stoppedOn } = reckoning;
  const figure = ownValue(record.meters, reckoning.meter.id);
  if (figure === undefined || (stoppedOn !== null && day > stoppedOn)) return null;
  if (faults.some((fault) => fault.day === day)) return null;
  const { life } = lifeOfFigure(dials, figure, day);
  const before = kept[lastPositionUpTo(kept, day - 1)];
  const after = kept[lastPositionUpTo(kept, day) + 1];
  if (before !== undefined && isBelow(life, before.life)) return null;
  if (after !== undefined && isBelow(after.life, life)) return null;
  return life;
}

const lifeThen = (day: DayNumber, { kept, rate, running }: MeterReckoning): number | null =>
  lifeOn(kept, rate.perDay, day, running);

/** The life of a completion, or of a round, on a meter, in its unit: its own figure, else the life on its date; null where unknown. */
export function completionLife(completion: WithFigures, reckoning: MeterReckoning): number | null {
  return ownLife(completion, reckoning) ?? lifeThen(completion.day, reckoning);
}

/** What to tell of a completion by its date alone. */
export function datedFact(completion: Completion): CompletionFact {
  const { record, day } = completion;
  const assumed = record.assumed === true;
  return { entry: record.id, day, assumed, life: null, dial: null, oldDial: false, worked: false };
}

/** What to tell of a completion on a meter. */
export function completionFact(completion: Completion, reckoning: MeterReckoning): CompletionFact {
  const { dials } = reckoning;
  const { record, day } = completion;
  const own = ownLife(completion, reckoning);
  const life = own ?? lifeThen(day, reckoning);
  const entry = record.id;
  const assumed = record.assumed === true;
  const worked = own === null;
  if (dials.length === 0) return { entry, day, assumed, life, dial: life, oldDial: false, worked };
  const figure = ownValue(record.meters, reckoning.meter.id);
  const place =
    worked || figure === undefined ? dialOn(dials, day) : lifeOfFigure(dials, figure, day).dial;
  const dial = life === null ? null : life - (dials[place - 1]?.offset ?? 0);
  return {
    entry,
    day,
    assumed,
    life,
    dial,
    oldDial: place < dialOn(dials, reckoning.today),
    worked,
  };
}

/** The meters of a machine as reckoned, by meter. */
export type MeterReckonings = ReadonlyMap<MeterId, MeterReckoning>;
