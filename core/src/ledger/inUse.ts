import type { Entry } from "../book/records/entry.js";
import type { FluidUsed } from "../book/records/entryWork.js";
import type { Fluid } from "../book/records/fluid.js";
import type { Meter } from "../book/records/machine.js";
import { settingsOf } from "../book/records/settings.js";
import { byDate } from "../book/slice/currentRecords.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import type { MachineBook } from "../book/slice/slice.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { addMonths } from "../calendar/interval.js";
import { lifeOn } from "../meter/lifeLine.js";
import { reckonMeters, type MeterReckoning } from "../meter/reckonMeter.js";
import { valueIn } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";
import { consumptionOf, type TopUpAt } from "./useSums.js";

/** What a system is topped up with, by what the machine ran. */
export interface TopUpRate {
  readonly meter: Meter;
  /** Litres in all, in how many top-ups, and by `per` of the meter's unit. */
  readonly amount: number;
  readonly count: number;
  readonly rate: number;
  readonly per: number;
  /** From which life to which, and the top-ups at their lives. */
  readonly from: number;
  readonly to: number;
  readonly topUps: readonly TopUpAt[];
  readonly since: DayNumber;
}

/** What the log says of a fluid system: how it was last filled, and what it takes between. */
export interface SystemInUse {
  readonly fluid: Fluid;
  /** The last entry that filled it and was no top-up, with its line; null where none did. */
  readonly filled: { readonly entry: Entry; readonly line: FluidUsed } | null;
  /** Over the last year, or since its figures begin; null where it was not topped up, or nothing was run. */
  readonly topUps: TopUpRate | null;
}

const YEAR_OF_MONTHS = 12;
const PER_HOURS = 100;
const PER_DISTANCE = 1000;

/** The meter that a machine's use is told by: the first that has figures. */
export function meterOfUse(reckonings: readonly MeterReckoning[]): MeterReckoning | undefined {
  return reckonings.find(({ kept }) => kept.length > 1);
}

/** What each fluid system of a machine was last filled with and what it was topped up by, from the entries that count; its systems in the order of the plate. */
export function systemsInUse(
  book: MachineBook,
  fluids: readonly Fluid[],
  today: DayNumber,
): SystemInUse[] {
  const records = recordsByMachine(book).get(book.machines[0].id);
  if (records === undefined) return [];
  const latestFirst = records.entries.toSorted(byDate).toReversed();
  const meter = meterOfUse([...reckonMeters(records, settingsOf({}), today).values()]);
  return fluids.map((fluid) => {
    const lines = latestFirst.flatMap(({ record, day }) =>
      (record.fluids ?? [])
        .filter((line) => line.fluid === fluid.id && (line.in ?? null) !== null)
        .map((line) => ({ entry: record, line, day })),
    );
    const filled = lines.find(({ entry }) => entry.isTopUp !== true) ?? null;
    const toppedUp = lines.filter(({ entry }) => entry.isTopUp === true);
    return {
      fluid,
      filled: filled === null ? null : { entry: filled.entry, line: filled.line },
      topUps: meter === undefined ? null : rateOfTopUps(toppedUp, meter, today),
    };
  });
}

interface Line {
  readonly line: FluidUsed;
  readonly day: DayNumber;
}

function rateOfTopUps(
  lines: readonly Line[],
  { kept, meter, running, rate }: MeterReckoning,
  today: DayNumber,
): TopUpRate | null {
  const first = kept[0];
  if (first === undefined) return null;
  const lifeAt = (day: DayNumber): number => lifeOn(kept, rate.perDay, day, running) ?? 0;
  const since = Math.max(addMonths(today, -YEAR_OF_MONTHS), first.day) as DayNumber;
  const topUps = lines.flatMap(({ line, day }): TopUpAt[] => {
    const amount = line.in ?? null;
    const isVolume = amount !== null && dimensionOf(amount.unit) === "volume";
    return isVolume && day > since ? [{ life: lifeAt(day), amount: valueIn(amount, "L") }] : [];
  });
  const [from, to] = [lifeAt(since), lifeAt(today)];
  if (topUps.length === 0 || to <= from) return null;
  const per = meter.unit === "h" ? PER_HOURS : PER_DISTANCE;
  return { meter, per, from, to, topUps, since, ...consumptionOf({ from, to, topUps, per }) };
}
