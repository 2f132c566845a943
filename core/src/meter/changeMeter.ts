import { applyChange, put, type Change } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import type { MeterChangeId, MeterId } from "../book/records/ids.js";
import type { Machine, Meter } from "../book/records/machine.js";
import type { MachineBook } from "../book/slice/slice.js";
import { failure, success } from "../book/change/result.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { dialOn } from "./dials.js";
import { reckonedDial } from "./figureDoubt.js";
import { lastPositionUpTo, lifeOn } from "./lifeLine.js";
import type { MeterReckoning } from "./reckonMeter.js";
import { meterReckoningOf } from "./settleFigure.js";

/** What stands in the way of a change to a meter. */
export type MeterIssue =
  | { readonly code: "meter-not-found" }
  | { readonly code: "name-missing" }
  | { readonly code: "name-taken"; readonly name: string }
  | { readonly code: "day-in-future" }
  | { readonly code: "figure-not-a-number" }
  | { readonly code: "changed-that-day"; readonly day: DayNumber }
  /** With it, so many of the figures recorded could no longer be true. */
  | { readonly code: "figures-would-not-agree"; readonly count: number }
  | { readonly code: "stopped-already" }
  | { readonly code: "not-stopped" };

/** A meter replaced, rolled over or repaired; figures in the meter's own unit. */
export interface MeterChangeInput {
  readonly meter: MeterId;
  readonly day: DayNumber;
  /** Where the old dial ended. */
  readonly oldFinal: number;
  /** Where the new one began. */
  readonly newStart: number;
  /** What was run unmetered between. */
  readonly lost: number;
  readonly note: string;
}

function edited(machine: Machine, meters: readonly Meter[], command: string): Change {
  const after = { ...machine, meters: [...meters] };
  return { command, records: [{ section: "machines", id: machine.id, before: machine, after }] };
}

/** Adds a meter to a machine. Refused: no name, or one another of its meters has. */
export function addMeter(
  { machines: [machine] }: MachineBook,
  { name, unit }: { readonly name: string; readonly unit: Meter["unit"] },
  context: CommandContext,
): CommandResult<MeterIssue> {
  const called = name.trim();
  const meters = machine.meters ?? [];
  if (called === "") return failure([{ code: "name-missing" }]);
  if (meters.some((meter) => meter.name?.toLowerCase() === called.toLowerCase())) {
    return failure([{ code: "name-taken", name: called }]);
  }
  const measure = unit === "h" ? ("hours" as const) : ("distance" as const);
  const meter = { id: context.newId() as MeterId, name: called, measure, unit };
  return success(edited(machine, [...meters, meter], "add-meter"));
}

/**
 * Records that a meter was replaced, reset, rolled over or repaired. Refused: figures that are no
 * numbers of at least 0, a day to come, a second change of one day, and a change with which more of
 * the recorded figures could not be true than without it.
 */
export function changeMeter(
  book: MachineBook,
  input: MeterChangeInput,
  context: CommandContext,
): CommandResult<MeterIssue> {
  const { meter, day, oldFinal, newStart, lost } = input;
  const before = meterReckoningOf(book, meter, context.today);
  if (before === null) return failure([{ code: "meter-not-found" }]);
  const areFigures = [oldFinal, newStart, lost].every((one) => Number.isFinite(one) && one >= 0);
  if (!areFigures) return failure([{ code: "figure-not-a-number" }]);
  if (day > context.today) return failure([{ code: "day-in-future" }]);
  if (before.dials.some((change) => change.day === day)) {
    return failure([{ code: "changed-that-day", day }]);
  }
  const note = input.note.trim();
  const record = put("meterChanges", {
    id: context.newId() as MeterChangeId,
    seq: context.nextSeq(),
    machine: book.machines[0].id,
    meter,
    date: formatDay(day),
    ...{ oldFinal, newStart, lost },
    ...(note === "" ? {} : { note }),
  });
  const change = { command: "change-meter", records: [record] };
  const after = meterReckoningOf(applyChange(book, change), meter, context.today);
  const count = (after?.faults.length ?? 0) - before.faults.length;
  if (count > 0) return failure([{ code: "figures-would-not-agree", count }]);
  return success(change);
}

/** Says from which day on a dial is not to be believed. Refused: a day to come, and where it stands still already. */
export function stopMeter(
  book: MachineBook,
  { meter, since }: { readonly meter: MeterId; readonly since: DayNumber },
  context: CommandContext,
): CommandResult<MeterIssue> {
  const reckoning = meterReckoningOf(book, meter, context.today);
  if (reckoning === null) return failure([{ code: "meter-not-found" }]);
  if (since > context.today) return failure([{ code: "day-in-future" }]);
  if (reckoning.stoppedOn !== null) return failure([{ code: "stopped-already" }]);
  return success(withStop(book, meter, formatDay(since), "stop-meter"));
}

/** Takes back that a dial stands still: it was right all the time. Refused where it does not. */
export function believeMeter(
  book: MachineBook,
  meter: MeterId,
  context: CommandContext,
): CommandResult<MeterIssue> {
  const reckoning = meterReckoningOf(book, meter, context.today);
  if (reckoning === null) return failure([{ code: "meter-not-found" }]);
  if (reckoning.stoppedOn === null) return failure([{ code: "not-stopped" }]);
  return success(withStop(book, meter, null, "believe-meter"));
}

function withStop(
  { machines: [machine] }: MachineBook,
  id: MeterId,
  stoppedOn: string | null,
  command: string,
): Change {
  const meters = (machine.meters ?? []).map((meter) =>
    meter.id === id ? { ...meter, stoppedOn } : meter,
  );
  return edited(machine, meters, command);
}

/** What is filled in for a person to look at when a meter is changed on a day. */
export interface MeterChangeGuess {
  readonly oldFinal: number;
  readonly newStart: number;
  readonly lost: number;
}

/**
 * Where a dial is reckoned to have stood when it was replaced, or, where it stands still, where it
 * stopped and what has been run since by its rate (due rules §§2–3). Null before its first figure.
 */
export function guessChange(reckoning: MeterReckoning, day: DayNumber): MeterChangeGuess | null {
  const { stoppedOn, kept, rate, running, dials } = reckoning;
  if (stoppedOn === null) {
    const dial = reckonedDial(reckoning, day);
    return dial === null ? null : { oldFinal: dial, newStart: 0, lost: 0 };
  }
  const last = kept[lastPositionUpTo(kept, stoppedOn)];
  if (last === undefined) return null;
  const stoodAt = last.life - (dials[dialOn(dials, last.day) - 1]?.offset ?? 0);
  const now = lifeOn(kept, rate.perDay, day, running) ?? last.life;
  return { oldFinal: stoodAt, newStart: stoodAt, lost: Math.max(now - last.life, 0) };
}
