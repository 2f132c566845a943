import { addDays, dayOf, formatDay, type CalendarDays, type DayNumber } from "@yonderfell/core";
import ICAL from "ical.js";

/** Days that come round are taken up to so many days ahead. */
const AHEAD = 2 * 366;
/** So many of one that comes round at the most. */
const MOST = 200;

/** What a calendar holds. */
export interface HolidaysRead {
  /** The days of its whole-day events that are not past, earliest first. */
  readonly days: readonly CalendarDays[];
  /** How many events have hours: appointments, not days off. */
  readonly timed: number;
}

/** The whole-day events of an iCalendar file, from today on, those that come round for two years. Null where it is no such file. */
export function holidaysOf(text: string, today: DayNumber): HolidaysRead | null {
  let calendar: ICAL.Component;
  try {
    calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  } catch {
    return null;
  }
  if (calendar.name !== "vcalendar") return null;
  const events = calendar
    .getAllSubcomponents("vevent")
    .filter((one) => one.getFirstPropertyValue("status") !== "CANCELLED")
    .map((one) => new ICAL.Event(one));
  const whole = events.filter(({ startDate }) => isDay(startDate));
  const days = whole.flatMap((event) => daysOfEvent(event, today));
  return {
    days: days.sort((one, other) => one.from.localeCompare(other.from)),
    timed: events.length - whole.length,
  };
}

const isDay = (time: ICAL.Time | null): time is ICAL.Time => time?.isDate === true;

/** The days of an event from today on, once or each time it comes round. The end of a whole-day event is the day after its last. */
function daysOfEvent(event: ICAL.Event, today: DayNumber): CalendarDays[] {
  const reason = event.summary === "" ? null : event.summary;
  const first = dayOf(event.startDate.toString());
  const end = isDay(event.endDate) ? dayOf(event.endDate.toString()) : first;
  const length = Math.max(0, end - first - 1);
  const found: CalendarDays[] = [];
  const add = (from: DayNumber): void => {
    const to = addDays(from, length);
    if (to >= today) found.push({ from: formatDay(from), to: formatDay(to), reason });
  };
  if (!event.isRecurring()) {
    add(first);
    return found;
  }
  const times = event.iterator();
  for (let next = times.next() as ICAL.Time | null; next !== null; next = times.next()) {
    const from = dayOf(next.toString());
    if (from > addDays(today, AHEAD) || found.length >= MOST) break;
    add(from);
  }
  return found;
}
