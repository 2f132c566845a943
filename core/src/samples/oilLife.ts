import type { FluidId, MeterId } from "../book/records/ids.js";
import type { Settings } from "../book/records/settings.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { byDate } from "../book/slice/currentRecords.js";
import type { MachineBook } from "../book/slice/slice.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { reckonMeters } from "../meter/reckonMeter.js";
import { completionLife } from "../schedule/completion.js";

/** How long a fluid has been in a machine on a day. */
interface OilLife {
  readonly meter: MeterId;
  /** Of the machine, in the meter's unit. */
  readonly life: number;
  /** Of the fluid since it was renewed, in the meter's unit; null where no entry says when that was. */
  readonly oilLife: number | null;
}

/**
 * The life of a machine on a day and that of a fluid in it, on its first meter: since the last current entry before that day, not a
 * top-up, that did a task which uses the fluid: on the day of a change the oil that comes out is sampled. Null for a machine whose meter has no figure.
 */
export function oilLifeOn(
  book: MachineBook,
  fluid: FluidId,
  settings: Settings,
  on: DayNumber,
): OilLife | null {
  const [machine] = book.machines;
  const records = recordsByMachine(book).get(machine.id);
  const meter = (machine.meters ?? [])[0]?.id ?? null;
  if (records === undefined || meter === null) return null;
  const reckoning = reckonMeters(records, settings, on).get(meter) ?? null;
  const life = reckoning?.life ?? null;
  if (reckoning === null || life === null) return null;
  const uses = new Set<string>(
    records.tasks
      .filter((task) => (task.uses ?? []).some((use) => use.fluid === fluid))
      .map(({ id }) => id),
  );
  const renewed = records.entries
    .filter(
      ({ record, day }) =>
        day < on && record.isTopUp !== true && (record.tasks ?? []).some((task) => uses.has(task)),
    )
    .toSorted(byDate)
    .at(-1);
  const then = renewed === undefined ? null : completionLife(renewed, reckoning);
  return {
    ...{ meter, life },
    oilLife: then === null ? null : life - then,
  };
}
