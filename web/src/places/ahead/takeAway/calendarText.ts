import ical, { ICalCalendarMethod } from "ical-generator";
import {
  hoursOf,
  partsFromDay,
  type BoardMachine,
  type DayNumber,
  type TaskId,
} from "@yonderfell/core";
import { because } from "../../../words/because.js";
import { dateRange, fullDate, plainText } from "../../../words/format.js";
import { governing, leftWords } from "../../../words/limitWords.js";
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
  /** Grows with each change of the book, so that a newer file takes the place of an older one. */
  readonly sequence: number;
  /** When it is written. */
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

function dueEvents({ board, today }: CalendarSource): DayEvent[] {
  return board.flatMap((machine) =>
    machine.tasks.flatMap((task): DayEvent[] => {
      const limit = governing(task);
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

/** A day as the calendar package takes it: the start of the day where the program runs. */
function dateOf(day: DayNumber): Date {
  const { year, month, dayOfMonth } = partsFromDay(day);
  return new Date(year, month - 1, dayOfMonth);
}

/**
 * An iCalendar file of the visits that the book holds and of the days on which work falls due, each of
 * a whole day. What is only proposed is not in it, nor what has no date.
 */
export function calendarText(source: CalendarSource): string {
  const calendar = ical({
    name: source.name,
    prodId: { company: "Yonderfell", product: "Yonderfell", language: "EN" },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const event of [...visitEvents(source), ...dueEvents(source)]) {
    calendar.createEvent({
      id: event.uid,
      start: dateOf(event.day),
      allDay: true,
      summary: plainText(event.summary),
      description: plainText(event.description),
      sequence: source.sequence,
      stamp: source.now,
    });
  }
  return calendar.toString();
}
