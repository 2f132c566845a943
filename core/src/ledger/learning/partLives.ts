import type { Entry } from "../../book/records/entry.js";
import type { EntryId, MachineId, PartId } from "../../book/records/ids.js";
import { byDate, type CurrentRecord } from "../../book/slice/currentRecords.js";
import type { MeterReckoning } from "../../meter/reckonMeter.js";
import { completionLife } from "../../schedule/completion.js";
import { median } from "../../sums/middle.js";

/** How long one part lasted on a machine, from its fitting to that of the next. */
export interface PartLife {
  readonly machine: MachineId;
  /** The number that was fitted, and the entries between which it lasted. */
  readonly part: PartId;
  readonly fitted: EntryId;
  readonly replaced: EntryId;
  readonly days: number;
  /** In the meter's unit; null where it is not known. */
  readonly life: number | null;
}

/** Lives of one part number, summed up. */
export interface PartLives {
  readonly part: PartId;
  readonly lives: readonly PartLife[];
  /** Of the lives that are known: their middle, least and most; null where none is. */
  readonly median: number | null;
  readonly low: number | null;
  readonly high: number | null;
}

/**
 * How long parts lasted on a machine: from each entry that fitted one of a line of numbers to the next that did. Entries of
 * one day are one fitting.
 *
 * @param lineOf what numbers that take each other's place have in common.
 */
export function partLivesOn(
  machine: MachineId,
  entries: readonly CurrentRecord<Entry>[],
  meter: MeterReckoning | null,
  lineOf: (part: PartId) => string,
): PartLife[] {
  const fittings = new Map<
    string,
    { readonly part: PartId; readonly one: CurrentRecord<Entry> }[]
  >();
  for (const one of entries.toSorted(byDate)) {
    for (const { part } of one.record.parts ?? []) {
      const line = lineOf(part);
      const before = fittings.get(line) ?? [];
      if (before.at(-1)?.one.day !== one.day) fittings.set(line, [...before, { part, one }]);
    }
  }
  return [...fittings.values()].flatMap((all) =>
    all.slice(1).flatMap(({ one: next }, at): PartLife[] => {
      const first = all[at];
      if (first === undefined) return [];
      const lives =
        meter === null ? [] : [first.one, next].map((one) => completionLife(one, meter));
      const [from = null, to = null] = lives;
      return [
        {
          ...{ machine, part: first.part, fitted: first.one.record.id, replaced: next.record.id },
          days: next.day - first.one.day,
          life: from === null || to === null ? null : to - from,
        },
      ];
    }),
  );
}

/** Lives by part number, the numbers with the most lives first. */
export function partLives(lives: readonly PartLife[]): PartLives[] {
  const byPart = new Map<PartId, PartLife[]>();
  for (const one of lives) byPart.set(one.part, [...(byPart.get(one.part) ?? []), one]);
  return [...byPart]
    .map(([part, own]) => {
      const known = own.flatMap(({ life }) => life ?? []);
      const isNone = known.length === 0;
      return {
        ...{ part, lives: own, median: isNone ? null : median(known) },
        low: isNone ? null : Math.min(...known),
        high: isNone ? null : Math.max(...known),
      };
    })
    .toSorted((one, other) => other.lives.length - one.lives.length);
}
