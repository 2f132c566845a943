import type { Book } from "../book/file/book.js";
import type { MachineBook } from "../book/slice/slice.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import type { Machine, Meter } from "../book/records/machine.js";
import { settingsOf, type Settings } from "../book/records/settings.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { dialFigure } from "../meter/figureDoubt.js";
import type { PointSection } from "../meter/points.js";
import type { Rate } from "../meter/rate.js";
import { reckonMeters, type MeterReckoning } from "../meter/reckonMeter.js";
import type { FindingReckoning } from "../schedule/findingsDue.js";
import { reckonMachine, type MachineReckoning } from "../schedule/reckonMachine.js";
import type { TaskReckoning } from "../schedule/reckonTask.js";

/** A meter as the board shows it: figures of today's dial, in the meter's unit. */
export interface BoardMeter {
  readonly meter: Meter;
  readonly life: number | null;
  readonly dial: number | null;
  readonly rate: Rate;
  readonly lastOn: DayNumber | null;
  /** What the dial showed on the last day it was read. */
  readonly lastDial: number | null;
  readonly stale: boolean;
  readonly stoppedOn: DayNumber | null;
  /** The figures left out because they cannot be true beside the others. */
  readonly faults: readonly BoardFault[];
}

/** A figure that was left out, as the dial then in place showed it. */
export interface BoardFault {
  readonly section: PointSection;
  readonly id: string;
  readonly day: DayNumber;
  readonly dial: number;
}

/** A machine as the board shows it. */
export interface BoardMachine {
  readonly machine: Machine;
  readonly meters: readonly BoardMeter[];
  readonly tasks: readonly TaskReckoning[];
  /** What was found on it and is not closed. */
  readonly findings: readonly FindingReckoning[];
}

function boardMeter(reckoning: MeterReckoning): BoardMeter {
  const { meter, life, dial, rate, lastOn, stale, stoppedOn, faults, kept } = reckoning;
  const last = kept.findLast((point) => !point.estimated);
  const lastDial = last === undefined ? null : dialFigure(reckoning, last);
  const leftOut = faults.map((fault) => ({
    section: fault.section,
    id: fault.id,
    day: fault.day,
    dial: dialFigure(reckoning, fault),
  }));
  return { meter, life, dial, rate, lastOn, lastDial, stale, stoppedOn, faults: leftOut };
}

/** The board's share of a reckoned machine: everything a screen shows, and no more. */
function boardMachine({ machine, meters, tasks, findings }: MachineReckoning): BoardMachine {
  return { machine, meters: meters.map(boardMeter), tasks, findings };
}

/** The meters of all machines of a book on `today`, without what is due: machines in the order of the file. */
export function reckonBookMeters(
  book: Book,
  today: DayNumber,
): { readonly machine: Machine; readonly meters: readonly BoardMeter[] }[] {
  const settings = settingsOf(book);
  return [...recordsByMachine(book).values()].map((records) => ({
    machine: records.machine,
    meters: [...reckonMeters(records, settings, today).values()].map(boardMeter),
  }));
}

/** A machine's book on the board on `today`. */
export function reckonMachineBook(
  book: MachineBook,
  settings: Settings,
  today: DayNumber,
): BoardMachine {
  const records = recordsByMachine(book).get(book.machines[0].id);
  if (records === undefined)
    return { machine: book.machines[0], meters: [], tasks: [], findings: [] };
  return boardMachine(reckonMachine(records, settings, today));
}

/** The whole board of a book on `today`, machines in the order of the file. */
export function reckonBoard(book: Book, today: DayNumber): BoardMachine[] {
  const settings = settingsOf(book);
  const board: BoardMachine[] = [];
  for (const records of recordsByMachine(book).values()) {
    board.push(boardMachine(reckonMachine(records, settings, today)));
  }
  return board;
}
