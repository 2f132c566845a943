import {
  dayOf,
  type Bay,
  type CalendarDays,
  type Closure,
  type DayNumber,
  type Person,
} from "@yonderfell/core";
import { counted } from "../../words/format.js";
import { weekdayDate } from "../../words/visitWords.js";
import type {
  BayModel,
  ClosureModel,
  PersonModel,
  PlaceModel,
  WorkshopProblem,
} from "./workshopModel.js";

/** What is said of a person. */
export const PERSON_LABELS: Readonly<Record<keyof PersonModel, string>> = {
  name: "Name",
  initials: "Initials for the record",
  rate: "What an hour costs",
  hours: "Hours a week",
  hasLeft: "Has left; stays in the record",
  skills: "Skills",
  note: "Note",
};

/** What is said of a bay. */
export const BAY_LABELS: Readonly<Record<keyof BayModel, string>> = {
  name: "Name",
  place: "At",
  hours: "Hours a week",
  takes: "Takes",
  note: "Note",
};

/** What is said of a place. */
export const PLACE_LABELS: Readonly<Record<keyof PlaceModel, string>> = {
  name: "Name",
  note: "Note",
};

/** What is said of days off. */
export const CLOSURE_LABELS: Readonly<Record<keyof ClosureModel, string>> = {
  of: "Who or what",
  from: "From",
  to: "Up to and with; the same day where empty",
  reason: "Why",
};

/** The days of a closure: `Thu 24 Dec`, `Thu 24 Dec to Fri 1 Jan 2027`. */
export function closureDays({ from, to }: Pick<Closure, "from" | "to">, today: DayNumber): string {
  const first = weekdayDate(dayOf(from), today);
  return from === to ? first : `${first} to ${weekdayDate(dayOf(to), today)}`;
}

/** Who is away, what is out of use. */
export function closureWho(
  { what, person, bay }: Closure,
  people: readonly Person[],
  bays: readonly Bay[],
): string {
  switch (what) {
    case "workshop":
      return "Closed";
    case "person":
      return `${people.find(({ id }) => id === person)?.name ?? "somebody"} away`;
    case "bay":
      return `${bays.find(({ id }) => id === bay)?.name ?? "a bay"} out of use`;
  }
}

/** What a calendar file holds: `9 days off found, 3 of them there already; 12 appointments with hours are left out.` */
export function foundWords(
  found: readonly CalendarDays[],
  fresh: readonly CalendarDays[],
  timed: number,
): string {
  const known = found.length - fresh.length;
  const there = known === 0 ? "" : `, ${counted(known, "of them", "of them")} there already`;
  const left =
    timed === 0
      ? ""
      : ` ${counted(timed, "appointment")} at an hour of the day ${timed === 1 ? "is" : "are"} left out.`;
  return `${counted(found.length, "closure")} found${there}.${left}`;
}

/** What is wrong with a person, a bay or a place, and what to do. */
export function workshopProblemWords({ code }: WorkshopProblem): string {
  switch (code) {
    case "name-missing":
      return "Give a name.";
    case "initials-missing":
      return "Give the initials they sign with.";
    case "not-an-amount":
      return "A number of 0 or more, or nothing.";
    case "day-missing":
      return "Give the first day.";
    case "ends-before":
      return "The last day is before the first.";
  }
}
