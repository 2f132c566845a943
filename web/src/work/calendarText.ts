import ical, { ICalCalendarMethod } from "ical-generator";
import {
  dayOf,
  formatDay,
  partsFromDay,
  type BoardMachine,
  type DayNumber,
  type TaskId,
} from "@yonderfell/core";
import { because } from "../words/because.js";
import { dateRange, fullDate } from "../words/format.js";
import { governing, leftWords } from "../words/limitWords.js";
import { STATUS_WORD } from "../words/statusWords.js";
import { hoursWords } from "../words/visitWords.js";
import type { PlannedMachine } from "./visitKeeper.js";

/** What a calendar is written from. */
export interface CalendarSource {
  readonly name: string;
  readonly board: readonly BoardMachine[];
  readonly planned: readonly PlannedMachine[];
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

const MINUTES_AN_HOUR = 60;

function visitEvents({ board, planned }: CalendarSource): DayEvent[] {
  const names = new Map<TaskId, string>(
    board.flatMap(({ tasks }) => tasks.map(({ task }) => [task.id, task.name])),
  );
  return planned.flatMap(({ machine, plan, minutes }) =>
    [...plan.missed, ...plan.visits].flatMap(({ visit, turns, others }): DayEvent[] => {
      if (visit === null) return [];
      const tasks = [...turns.map(({ task }) => task), ...others];
      const due = new Map(turns.map((turn) => [turn.task, turn.due]));
      const hours = tasks.reduce((sum, task) => sum + (minutes[task] ?? 0), 0) / MINUTES_AN_HOUR;
      const lines = tasks.map((task) => {
        const day = due.get(task);
        return `${names.get(task) ?? task}${day === undefined ? "" : `, due ${fullDate(day)}`}`;
      });
      const sum = hours === 0 ? [] : [`About ${hoursWords(hours)} of work.`];
      const note = (visit.note ?? "") === "" ? [] : [visit.note ?? ""];
      return [
        {
          uid: `visit-${visit.id}@yonderfell`,
          day: dayOf(visit.date),
          summary: `${machine.tag} ${machine.name}: ${tasks.map((task) => names.get(task) ?? task).join(", ")}`,
          description: [...lines, ...sum, ...note].join("\n"),
        },
      ];
    }),
  );
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
      summary: event.summary.replaceAll("\u00a0", " "),
      description: event.description.replaceAll("\u00a0", " ").replaceAll("\u2060", ""),
      sequence: source.sequence,
      stamp: source.now,
    });
  }
  return calendar.toString();
}

/** The due list as a table: a row a task that is not finished, with its date, its range and why. */
export function dueTable(board: readonly BoardMachine[], today: DayNumber): string[][] {
  const rows = board.flatMap((machine) =>
    machine.tasks
      .filter(({ status }) => status !== "finished")
      .map((task) => {
        const limit = governing(task);
        const { early, likely, late } = limit?.forecast ?? {
          early: null,
          likely: null,
          late: null,
        };
        const date = (day: DayNumber | null): string => (day === null ? "" : formatDay(day));
        const plain = (words: string): string =>
          words.replaceAll("\u00a0", " ").replaceAll("\u2060", "");
        const reasons = because(task, { machine, today }).limits[0]?.sentences ?? [];
        return [
          machine.machine.tag,
          machine.machine.name,
          task.task.name,
          STATUS_WORD[task.status],
          task.doubtful ? "yes" : "",
          date(likely),
          date(early),
          date(late),
          limit === null ? "" : plain(leftWords(limit, machine)),
          limit?.limit.hard === true ? "yes" : "",
          plain(reasons.join(" ")),
        ];
      }),
  );
  return [DUE_TITLES, ...rows];
}

const DUE_TITLES = [
  ...["Tag", "Machine", "Task", "State", "Doubtful", "Likely", "Early", "Late"],
  ...["Left", "Hard limit", "Because"],
];
