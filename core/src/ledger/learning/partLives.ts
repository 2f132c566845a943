import { groupBy } from "es-toolkit";
import type { Entry } from "../../book/records/entry.js";
import type { EntryId, MachineId, PartId } from "../../book/records/ids.js";
import type { Meter } from "../../book/records/machine.js";
import type { Part } from "../../book/records/part.js";
import type { StockMove } from "../../book/records/stockMove.js";
import { byDate, currentRecords, type CurrentRecord } from "../../book/slice/currentRecords.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import type { MeterReckoning } from "../../meter/reckonMeter.js";
import { completionLife } from "../../schedule/completion.js";
import { median } from "../../sums/middle.js";

/** How long one part lasted on a machine, from its fitting to that of the next. */
export interface PartLife {
  readonly machine: MachineId;
  readonly part: PartId;
  /** The entry that fitted it, on which day. */
  readonly fitted: EntryId;
  readonly from: DayNumber;
  /** Whom it came from, as far as the entry or the shelf tells. */
  readonly source: string;
  readonly days: number;
  /** On the meter, in `unit`; both null where it is not known. */
  readonly life: number | null;
  readonly unit: Meter["unit"] | null;
}

/** Lives of one part number from one source, summed up. */
export interface PartLives {
  readonly part: PartId;
  readonly source: string;
  readonly unit: Meter["unit"] | null;
  readonly lives: readonly PartLife[];
  /** The middle of their days. */
  readonly days: number;
  /** Of the lives that are known: their middle, least and most; null where none is. */
  readonly median: number | null;
  readonly low: number | null;
  readonly high: number | null;
}

/** What tells where a part came from, and which numbers take each other's place. */
export interface PartsKnown {
  readonly lineOf: (part: PartId) => string;
  readonly sourceOf: (part: PartId, from: string | null | undefined, day: DayNumber) => string;
}

/** The end of a chain of numbers of which each was taken over by the next. */
function lastNumber(part: Part, byNumber: ReadonlyMap<string, Part>): string {
  let last = part;
  for (let links = 0; links < byNumber.size; links += 1) {
    const next = byNumber.get(last.supersededBy ?? "");
    if (next === undefined) break;
    last = next;
  }
  return last.supersededBy ?? last.number;
}

/** What a book tells of its parts: numbers that were superseded are of one line, and what lay on the shelf is of whom it was last bought from before. */
export function partsKnown(parts: readonly Part[], moves: readonly StockMove[]): PartsKnown {
  const byNumber = new Map(parts.map((part) => [part.number, part]));
  const lines = new Map(parts.map((part) => [part.id, lastNumber(part, byNumber)]));
  const bought = groupBy(
    currentRecords(moves).filter(({ record }) => record.why === "bought" && record.source),
    ({ record }) => record.part ?? "",
  );
  const latestFirst = new Map(
    Object.entries(bought).map(([part, all]) => [part, all.toSorted(byDate).toReversed()]),
  );
  return {
    lineOf: (part) => lines.get(part) ?? part,
    sourceOf: (part, from, day) => {
      if (from !== "stock") return from ?? "bought";
      const last = latestFirst.get(part)?.find((move) => move.day <= day);
      return last?.record.source ?? "stock";
    },
  };
}

/**
 * How long parts lasted on a machine: from each entry that fitted one of a line of numbers to the next that did. Entries of
 * one day are one fitting.
 */
export function partLivesOn(
  machine: MachineId,
  entries: readonly CurrentRecord<Entry>[],
  meter: MeterReckoning | null,
  { lineOf, sourceOf }: PartsKnown,
): PartLife[] {
  const fittings = new Map<string, { part: PartId; source: string; one: CurrentRecord<Entry> }[]>();
  for (const one of entries.toSorted(byDate)) {
    for (const { part, from } of one.record.parts ?? []) {
      const line = lineOf(part);
      const before = fittings.get(line);
      if (before?.at(-1)?.one.day === one.day) continue;
      const fitted = { part, source: sourceOf(part, from, one.day), one };
      if (before === undefined) fittings.set(line, [fitted]);
      else before.push(fitted);
    }
  }
  return [...fittings.values()].flatMap((all) =>
    all.slice(1).flatMap(({ one: next }, at): PartLife[] => {
      const first = all[at];
      if (first === undefined) return [];
      const lives =
        meter === null ? [] : [first.one, next].map((one) => completionLife(one, meter));
      const [began = null, ended = null] = lives;
      const life = began === null || ended === null ? null : ended - began;
      return [
        {
          ...{ machine, part: first.part, source: first.source },
          ...{ fitted: first.one.record.id, from: first.one.day },
          ...{ days: next.day - first.one.day, life },
          unit: life === null ? null : (meter?.meter.unit ?? null),
        },
      ];
    }),
  );
}

/** Lives by part number, source and unit: the numbers with the most lives first, their sources one under the other. */
export function partLives(lives: readonly PartLife[]): PartLives[] {
  const ofNumber = groupBy(lives, ({ part }) => part);
  const summed = groupBy(lives, ({ part, source, unit }) => `${part}\n${source}\n${unit ?? ""}`);
  return Object.values(summed)
    .flatMap((own): PartLives[] => {
      const [first] = own;
      if (first === undefined) return [];
      const known = own.flatMap(({ life }) => life ?? []);
      const isNone = known.length === 0;
      return [
        {
          ...{ part: first.part, source: first.source, unit: first.unit, lives: own },
          days: median(own.map(({ days }) => days)),
          median: isNone ? null : median(known),
          low: isNone ? null : Math.min(...known),
          high: isNone ? null : Math.max(...known),
        },
      ];
    })
    .toSorted(
      (one, other) =>
        (ofNumber[other.part]?.length ?? 0) - (ofNumber[one.part]?.length ?? 0) ||
        (one.part < other.part ? -1 : one.part > other.part ? 1 : 0) ||
        other.lives.length - one.lives.length,
    );
}
