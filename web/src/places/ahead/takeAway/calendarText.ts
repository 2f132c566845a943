import ical, { ICalCalendarMethod } from "ical-generator";
import {
  governingLimit,
  hoursOf,
  partsFromDay,
  type BoardMachine,
  type DayNumber,
  type TaskId,
} from "@yonderfell/core";
import { because } from "../../../words/because.js";
import { dateRange, fullDate, plainText } from "../../../words/format.js";
import { leftWords } from "../../../words/limitWords.js";
import { STATUS_WORD } from "../../../words/statusWords.js";
import { hoursWords } from "../../../words/visitWords.js";
import type { ListedVisit } from "../visits/visitModel.js";

/** What a calendar is written from. */
export interface CalendarSource {
  readonly name: string;
  readonly board: readonly BoardMachine[];
  /** All visits; those that are only proposed are left out. */
  readonly visits: readonly ListedVisit[];
  readonly today: DayNumber;
  /** When it is written: a newer file takes the place of an older one, whichever device it is from. */
  readonly now: Date;
}

/** An event of a whole day. */
interface DayEvent {
  /** The same for the same thing in every file, so that an update replaces it. */
  readonly uid: string;
  readonly day: DayNumber;
  readonly summary: string;
  readonly description: string;
}

function visitEvents({ visits, board }: CalendarSource): DayEvent[] {
  const names = new Map<TaskId, string>(
    board.flatMap(({ tasks }) => tasks.map(({ task }) => [task.id, task.name])),
  );
  const nameOf = (task: TaskId): string => names.get(task) ?? task;
  return visits.flatMap((listed): DayEvent[] => {
    const { of, planned, turns } = listed;
    const { visit, others } = planned;
    if (visit === null) return [];
    const hours = hoursOf(listed);
    const lines = [
      ...turns.map(({ task, due }) => `${nameOf(task)}, due ${fullDate(due)}`),
      ...others.map(nameOf),
      hours === 0 ? "" : `About ${hoursWords(hours)} of work.`,
      visit.note ?? "",
    ];
    const tasks = [...turns.map(({ task }) => task), ...others].map(nameOf);
    return [
      {
        uid: `visit-${visit.id}@yonderfell`,
        day: planned.day,
        summary: `${of.machine.tag} ${of.machine.name}: ${tasks.join(", ")}`,
        description: lines.filter((line) => line !== "").join("\n"),
      },
    ];
  });
}

/** The tasks whose next turn a visit of the book does on a day to come: the visit stands for them. */
function tasksInVisits({ visits, today }: CalendarSource): Set<TaskId> {
  const ahead = visits.filter(({ planned, day }) => planned.visit !== null && day >= today);
  return new Set(
    ahead.flatMap(({ planned, turns }) => [
      ...turns.filter(({ number }) => number === 1).map(({ task }) => task),
      ...planned.others,
    ]),
  );
}

function dueEvents(source: CalendarSource): DayEvent[] {
  const { board, today } = source;
  const inVisits = tasksInVisits(source);
  return board.flatMap((machine) =>
    machine.tasks.flatMap((task): DayEvent[] => {
      if (inVisits.has(task.task.id)) return [];
      const limit = governingLimit(task);
      const forecast = limit?.forecast ?? null;
      if (limit === null || forecast === null) return [];
      const { tag, name } = machine.machine;
      const range =
        forecast.early === forecast.late
          ? `On ${fullDate(forecast.likely)}.`
          : `Likely ${fullDate(forecast.likely)}, between ${dateRange(forecast, today)}.`;
      const reasons = because(task, { machine, today }).limits[0]?.sentences.join(" ") ?? "";
      return [
        {
          uid: `due-${task.task.id}@yonderfell`,
          day: forecast.likely,
          summary: `${tag} ${name}: ${task.task.name} due`,
          description: `${range} ${STATUS_WORD[task.status]}, ${leftWords(limit, machine)}.\n${reasons}`,
        },
      ];
    }),
  );
}

/** A day as the calendar package takes it, which writes days as they are in UTC. */
function dateOf(day: DayNumber): Date {
  const { year, month, dayOfMonth } = partsFromDay(day);
  return new Date(Date.UTC(year, month - 1, dayOfMonth));
}

/** Text without the control characters that a calendar must not hold; ends of lines stay. */
function cleanText(text: string): string {
  // eslint-disable-next-line no-control-regex
  return plainText(text).replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/g, "");
}

/** Text as the format has it in places where the package leaves it as it is. */
function escapedText(text: string): string {
  return cleanText(text)
    .replace(/[\\;,]/g, (sign) => `\\${sign}`)
    .replace(/\r\n|\r|\n/g, "\\n");
}

/** Seconds from here on number the files, so that they stay below what 32 bits hold. */
const FIRST_SECOND = Date.UTC(2020, 0, 1) / 1000;

/**
 * The number of a file in the order in which they were written. By the clock and not by the changes of the book,
 * which are counted anew on another device and after a restore.
 */
function sequenceOf(now: Date): number {
  return Math.max(0, Math.floor(now.getTime() / 1000) - FIRST_SECOND);
}

/**
 * An iCalendar file of the visits that the book holds and of the days on which work falls due that none of
 * them does, each of a whole day. What is only proposed is not in it, nor what has no date.
 */
export function calendarText(source: CalendarSource): string {
  const calendar = ical({
    name: escapedText(source.name),
    prodId: { company: "Yonderfell", product: "Yonderfell", language: "EN" },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const event of [...visitEvents(source), ...dueEvents(source)]) {
    calendar.createEvent({
      id: escapedText(event.uid),
      start: dateOf(event.day),
      allDay: true,
      summary: cleanText(event.summary),
      description: cleanText(event.description),
      sequence: sequenceOf(source.now),
      stamp: source.now,
    });
  }
  return calendar.toString();
}
