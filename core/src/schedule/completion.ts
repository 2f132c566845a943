import { byDate, type CurrentRecord } from "../book/currentRecords.js";
import type { Entry } from "../book/entry.js";
import type { EntryId, MeterId, TaskId } from "../book/ids.js";
import { ownValue } from "../book/ownValue.js";
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
    for (const task of new Set(completion.record.tasks ?? [])) {
      const list = byTask.get(task);
      if (list === undefined) byTask.set(task, [completion]);
      else list.push(completion);
    }
  }
  return byTask;
}

/** The entry's own figure as life, where it is to be believed (due rules §4); else null. */
function ownLife(completion: Completion, reckoning: MeterReckoning): number | null {
  const { dials, kept, faults, stoppedOn } = reckoning;
  const figure = ownValue(completion.record.meters, reckoning.meter.id);
  const { day } = completion;
  if (figure === undefined || (stoppedOn !== null && day > stoppedOn)) return null;
  if (faults.some((fault) => fault.day === day)) return null;
  const { life } = lifeOfFigure(dials, figure, day);
  const before = kept[lastPositionUpTo(kept, day - 1)];
  const after = kept[lastPositionUpTo(kept, day) + 1];
  if (before !== undefined && isBelow(life, before.life)) return null;
  if (after !== undefined && isBelow(after.life, life)) return null;
  return life;
}

/** The life of a completion on a meter, in its unit: its own figure, else the life on its date; null where unknown. */
export function completionLife(completion: Completion, reckoning: MeterReckoning): number | null {
  return (
    ownLife(completion, reckoning) ?? lifeOn(reckoning.kept, reckoning.rate.perDay, completion.day)
  );
}

/** What to tell of a completion, on a meter or (null) by its date alone. */
export function completionFact(
  completion: Completion,
  reckoning: MeterReckoning | null,
  today: DayNumber,
): CompletionFact {
  const base = {
    entry: completion.record.id,
    day: completion.day,
    assumed: completion.record.assumed === true,
  };
  if (reckoning === null) return { ...base, life: null, dial: null, oldDial: false, worked: false };
  const own = ownLife(completion, reckoning);
  const life = own ?? completionLife(completion, reckoning);
  const figure = ownValue(completion.record.meters, reckoning.meter.id);
  const { dials } = reckoning;
  const offsets = [0, ...dials.map((change) => change.offset)];
  const dial =
    own !== null && figure !== undefined
      ? lifeOfFigure(dials, figure, completion.day).dial
      : dialOn(dials, completion.day);
  return {
    ...base,
    life,
    dial: life === null ? null : life - (offsets[dial] ?? 0),
    oldDial: dial < dialOn(dials, today),
    worked: own === null,
  };
}

/** The meters of a machine as reckoned, by meter. */
export type MeterReckonings = ReadonlyMap<MeterId, MeterReckoning>;
