import type { Entry } from "../../book/records/entry.js";
import {
  CAPACITY_CONDITIONS,
  type Capacity,
  type CapacityCondition,
  type Fluid,
} from "../../book/records/fluid.js";
import type { EntryId } from "../../book/records/ids.js";
import type { CurrentRecord } from "../../book/slice/currentRecords.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { capacityAnswers, DISAGREEMENT_SHARE, plainCapacity } from "../../fluid/capacity.js";
import {
  learnedCapacityOf,
  litresToTheMark,
  type LearnedCapacity,
} from "../../fluid/learnedCapacity.js";
import { dimensionOf } from "../../quantity/unit.js";
import { isAbove, isSame } from "../../sums/nearly.js";

/** The source that a capacity is written down under once it is taken from the log. */
export const OWN_EXPERIENCE = "own experience";

/** What the log has taught of a capacity beside the figure that is worked by. */
export interface CapacityBeside {
  readonly fluid: Fluid;
  readonly condition: CapacityCondition;
  readonly learned: LearnedCapacity;
  /** Litres: the middle of the fills. */
  readonly median: number;
  /** The same to a hundredth: what is taken over where a person says so. */
  readonly litres: number;
  /** The figure that is worked by is another, or there is none. */
  readonly differs: boolean;
  /** The figure that is worked by today; null where none is recorded, or it is a weight. */
  readonly working: Capacity | null;
  /** How far it is above the middle of the fills, as a share of it; null without it. */
  readonly off: number | null;
  /** The fills that ended on the mark, the earliest first. */
  readonly fills: readonly {
    readonly entry: EntryId;
    readonly day: DayNumber;
    readonly litres: number;
  }[];
  readonly newest: DayNumber;
  /** Three fills or more, and the working figure is more than 5 % off, or there is none. */
  readonly speaks: boolean;
}

const LEAST_FILLS = 3;
/** Capacities are written down to a hundredth of a litre. */
const HUNDREDTHS = 100;

function besideOf(
  fluid: Fluid,
  condition: CapacityCondition,
  entries: readonly CurrentRecord<Entry>[],
): CapacityBeside[] {
  const learned = learnedCapacityOf(
    fluid,
    condition,
    entries.map(({ record }) => record),
  );
  const { median } = learned;
  const fills = entries
    .flatMap(({ record, day }) =>
      litresToTheMark(record, fluid, condition).map((litres) => ({
        entry: record.id,
        day,
        litres,
      })),
    )
    .toSorted((one, other) => one.day - other.day);
  if (median === null || fills.length === 0) return [];
  const answer = capacityAnswers(fluid).find((one) => one.condition === condition);
  const found = answer?.working ?? null;
  const isVolume = found !== null && dimensionOf(found.quantity.unit) === "volume";
  const working = isVolume ? found : null;
  const off = working === null ? null : plainCapacity(working) / median - 1;
  const litres = Math.round(median * HUNDREDTHS) / HUNDREDTHS;
  const differs = working === null || !isSame(plainCapacity(working), litres);
  const isOff = off === null ? found === null : isAbove(Math.abs(off), DISAGREEMENT_SHARE);
  return [
    {
      ...{ fluid, condition, learned, median, litres, differs, working, off, fills },
      newest: Math.max(...fills.map(({ day }) => day)) as DayNumber,
      speaks: learned.fills >= LEAST_FILLS && isOff,
    },
  ];
}

/** What fills to the mark have taught of each system of a machine (sum *learned-capacity*), beside the figure that is worked by; systems without such a fill are left out. */
export function capacitiesBeside(
  fluids: readonly Fluid[],
  entries: readonly CurrentRecord<Entry>[],
): CapacityBeside[] {
  return fluids.flatMap((fluid) =>
    CAPACITY_CONDITIONS.flatMap((condition) => besideOf(fluid, condition, entries)),
  );
}

/** A fluid with what was learned as the figure to work by, and why: beside the printed ones, in place of what was learned before. */
export function withLearned(
  fluid: Fluid,
  { condition, litres }: { readonly condition: CapacityCondition; readonly litres: number },
  reason: string,
  newId: () => string,
): Fluid {
  const all = fluid.capacities ?? [];
  const isOwn = (one: Capacity): boolean =>
    one.condition === condition && one.source === OWN_EXPERIENCE;
  const id = all.find(isOwn)?.id ?? newId();
  const learned: Capacity = {
    ...{ id, source: OWN_EXPERIENCE, condition },
    quantity: { value: litres, unit: "L" },
  };
  const ofOthers = (fluid.working ?? []).filter(
    ({ capacity }) => all.find((one) => one.id === capacity)?.condition !== condition,
  );
  return {
    ...fluid,
    capacities: [...all.filter((one) => !isOwn(one)), learned],
    working: [...ofOthers, { capacity: id, reason }],
  };
}
