import type { CommandContext, CommandResult } from "../book/change/command.js";
import type { FluidUsed } from "../book/records/entryWork.js";
import type { Fluid } from "../book/records/fluid.js";
import type { MeterId } from "../book/records/ids.js";
import { settingsOf } from "../book/records/settings.js";
import type { MachineBook } from "../book/slice/slice.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { reckonedDial } from "../meter/figureDoubt.js";
import { reckonMeters } from "../meter/reckonMeter.js";
import type { DialFigureInput } from "../meter/settleFigure.js";
import { logWork, type LogWorkIssue, type WorkFigure } from "./logWork.js";

/** What was added to a system that was not drained. */
export interface TopUpInput {
  readonly day: DayNumber;
  /** What a dial showed; null where it was not read. */
  readonly figure: Omit<DialFigureInput, "day"> | null;
  readonly fluid: FluidUsed;
}

/** The system a top-up is of where none is named: the only engine oil there is, else the only system; null where it must be asked. */
export function usualTopUp(fluids: readonly Fluid[]): Fluid | null {
  const oils = fluids.filter(({ kind }) => kind === "engine oil");
  const [only, other] = oils.length > 0 ? oils : fluids;
  return only !== undefined && other === undefined ? only : null;
}

/**
 * Logs a top-up: an entry that completes no task, with the dials that were not read as they are reckoned. Refused as
 * {@link logWork} refuses.
 */
export function topUp(
  book: MachineBook,
  { day, figure, fluid }: TopUpInput,
  context: CommandContext,
): CommandResult<LogWorkIssue> {
  const own: WorkFigure[] = figure === null ? [] : [{ ...figure, estimated: false }];
  const figures = [...own, ...reckonedFigures(book, day, figure?.meter ?? null, context.today)];
  const took = { fluids: [fluid], isTopUp: true };
  const logged = logWork(book, { day, tasks: [], figures, note: "", took }, context);
  return logged.ok ? { ok: true, value: { ...logged.value, command: "top-up" } } : logged;
}

/** What the dials that were not read are reckoned to have shown: whole units, of hours tenths. */
function reckonedFigures(
  book: MachineBook,
  day: DayNumber,
  read: MeterId | null,
  today: DayNumber,
): WorkFigure[] {
  const records = recordsByMachine(book).get(book.machines[0].id);
  if (records === undefined || day > today) return [];
  return [...reckonMeters(records, settingsOf({}), today)].flatMap(([meter, reckoning]) => {
    const dial = meter === read ? null : reckonedDial(reckoning, day);
    if (dial === null) return [];
    const places = reckoning.meter.unit === "h" ? 10 : 1;
    const value = Math.round(dial * places) / places;
    return [{ meter, value, estimated: true, answer: null }];
  });
}
