import { settingsOf } from "../book/records/settings.js";
import type { Entry } from "../book/records/entry.js";
import type { TaskId } from "../book/records/ids.js";
import { BEGINNING } from "../ledger/span.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { formatDay } from "../calendar/dayNumber.js";
import { turnsDone, type InTime, type TurnDone } from "../ledger/turns.js";
import { reckonMeters } from "../meter/reckonMeter.js";
import type { Unit } from "../quantity/unit.js";
import type { LimitReckoning } from "../schedule/limitReckoning.js";
import type { RecordDial, RecordFluid, RecordWork } from "./document.js";
import type { RecordAsked, RecordedSections } from "./makeRecord.js";
import { recordNames, type RecordSource } from "./source.js";
import { dialsOfRecord, fluidsOfEntry, meterNameOf, whoOfEntry } from "./workLine.js";

/** A limit as it stood on the day of a turn. */
export interface WarrantyLimit {
  readonly kind: LimitReckoning["kind"];
  /** What it counts on; null for the calendar. */
  readonly meter: string | null;
  readonly unit: Unit | null;
  /** Life in the meter's unit, or a date; null where it was not known. */
  readonly dueAt: number | null;
  readonly dueOn: string | null;
  /** What was left of it, in the unit or in days; below 0 where it was passed. */
  readonly remaining: number | null;
  /** Whether it decided. */
  readonly governs: boolean;
}

/** A turn of a task as a warranty asks for it. */
export interface WarrantyTurn {
  readonly task: TaskId;
  readonly name: string;
  readonly date: string;
  readonly inTime: InTime;
  readonly limits: readonly WarrantyLimit[];
  readonly dials: readonly RecordDial[];
  /** What went in with it, of the systems that the task uses where it names any. */
  readonly fluids: readonly RecordFluid[];
  readonly parts: NonNullable<RecordWork["parts"]>;
  readonly who: readonly string[];
}

function limitOf(limit: LimitReckoning, governs: boolean, source: RecordSource): WarrantyLimit {
  const { kind, remaining } = limit;
  switch (limit.kind) {
    case "calendar": {
      const dueOn = limit.dueOn === null ? null : formatDay(limit.dueOn);
      return { kind, meter: null, unit: null, dueAt: null, dueOn, remaining, governs };
    }
    case "meter":
    case "measured": {
      const reckoning = source.meters.get(limit.meter);
      return {
        ...{ kind, dueAt: limit.dueAt, dueOn: null, remaining, governs },
        meter: reckoning === undefined ? limit.meter : meterNameOf(reckoning),
        unit: reckoning?.meter.unit ?? null,
      };
    }
  }
}

/** The fluids of an entry that a task uses; all where it names none. */
function fluidsFor({ task, entry }: TurnDone): Pick<Entry, "fluids"> {
  const used = new Set((task.uses ?? []).map(({ fluid }) => fluid));
  const all = entry.fluids ?? [];
  return { fluids: used.size === 0 ? all : all.filter(({ fluid }) => used.has(fluid)) };
}

function turnOf(turn: TurnDone, order: number, source: RecordSource): WarrantyTurn {
  const { task, entry, inTime, limits, governs } = turn;
  const { names } = source;
  return {
    ...{ task: task.id, name: task.name, date: entry.date, inTime },
    limits: limits.map((limit, at) => limitOf(limit, at === governs, source)),
    dials: dialsOfRecord({ record: entry, day: turn.day, order }, source),
    fluids: fluidsOfEntry(fluidsFor(turn), names),
    parts: (entry.parts ?? []).map(({ part, count }) => ({ ...names.part(part), count })),
    who: whoOfEntry(entry, names),
  };
}

/**
 * Each turn of a machine's tasks over a span of days as a warranty question asks for it: when, at which dial, with which
 * product and its claims, which part numbers, and whether it was in time by the limits as they stand in the book. The
 * earliest first; null where the book has no such machine.
 */
export function warrantyTurns(
  book: RecordedSections,
  { machine, from, to, issued }: Omit<RecordAsked, "book">,
): WarrantyTurn[] | null {
  const records = recordsByMachine(book).get(machine);
  if (records === undefined) return null;
  const settings = settingsOf(book);
  const meters = reckonMeters(records, settings, issued);
  const source = { records, settings, meters, names: recordNames(book), issued };
  return turnsDone(records, settings, from ?? BEGINNING, to).map((turn, order) =>
    turnOf(turn, order, source),
  );
}
