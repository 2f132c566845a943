import {
  parseDay,
  type Bay,
  type BayId,
  type Closure,
  type ClosureId,
  type Person,
  type PersonId,
  type Place,
  type PlaceId,
} from "@yonderfell/core";
import { newId } from "../../data/newId.js";
import {
  figureTyped,
  isAmountOrEmpty,
  isEmpty,
  orNull,
  textTyped,
  wordsTyped,
  wordsUnder,
} from "../../form/typed.js";
import { typedNumber } from "../../words/writing.js";

/** What is wrong with a person, a bay or a place as they are typed. */
export interface WorkshopProblem {
  readonly field: string;
  readonly code:
    "name-missing" | "initials-missing" | "not-an-amount" | "day-missing" | "ends-before";
}

const missing = (field: string, text: string, code: WorkshopProblem["code"]): WorkshopProblem[] =>
  isEmpty(text) ? [{ field, code }] : [];

const amount = (field: string, text: string): WorkshopProblem[] =>
  isAmountOrEmpty(text) ? [] : [{ field, code: "not-an-amount" }];

/** A person as they stand in the form. */
export interface PersonModel {
  readonly name: string;
  readonly initials: string;
  readonly rate: string;
  readonly hours: string;
  readonly hasLeft: boolean;
  /** Words with commas between them. */
  readonly skills: string;
  readonly note: string;
}

/** A person as they stand in the form, empty for a new one. */
export function modelOfPerson(person: Person | null): PersonModel {
  return {
    name: textTyped(person?.name),
    initials: textTyped(person?.initials),
    rate: figureTyped(person?.rate),
    hours: figureTyped(person?.hoursAWeek),
    hasLeft: person?.hasLeft === true,
    skills: wordsTyped(person?.skills),
    note: textTyped(person?.note),
  };
}

/** What is wrong with a person, at the fields. */
export function personProblems(model: PersonModel): readonly WorkshopProblem[] {
  return [
    ...missing("name", model.name, "name-missing"),
    ...missing("initials", model.initials, "initials-missing"),
    ...amount("rate", model.rate),
    ...amount("hours", model.hours),
  ];
}

/** The person of a form that has no problem. */
export function personOf(model: PersonModel, before: Person | null): Person {
  return {
    ...before,
    id: before?.id ?? (newId() as PersonId),
    name: model.name.trim(),
    initials: model.initials.trim(),
    rate: typedNumber(model.rate),
    hoursAWeek: typedNumber(model.hours),
    hasLeft: model.hasLeft,
    ...wordsUnder("skills", model.skills, before),
    note: orNull(model.note),
  };
}

/** A bay as it stands in the form. */
export interface BayModel {
  readonly name: string;
  readonly place: string;
  readonly hours: string;
  /** Words with commas between them. */
  readonly takes: string;
  readonly note: string;
}

/** A bay as it stands in the form, empty for a new one. */
export function modelOfBay(bay: Bay | null): BayModel {
  return {
    name: textTyped(bay?.name),
    place: textTyped(bay?.place),
    hours: figureTyped(bay?.hoursAWeek),
    takes: wordsTyped(bay?.takes),
    note: textTyped(bay?.note),
  };
}

/** What is wrong with a bay, at the fields. */
export function bayProblems(model: BayModel): readonly WorkshopProblem[] {
  return [...missing("name", model.name, "name-missing"), ...amount("hours", model.hours)];
}

/** The bay of a form that has no problem. */
export function bayOf(model: BayModel, before: Bay | null): Bay {
  return {
    ...before,
    id: before?.id ?? (newId() as BayId),
    name: model.name.trim(),
    place: model.place === "" ? null : (model.place as PlaceId),
    hoursAWeek: typedNumber(model.hours),
    ...wordsUnder("takes", model.takes, before),
    note: orNull(model.note),
  };
}

/** A place as it stands in the form. */
export interface PlaceModel {
  readonly name: string;
  readonly note: string;
}

/** A place as it stands in the form, empty for a new one. */
export function modelOfPlace(place: Place | null): PlaceModel {
  return { name: textTyped(place?.name), note: textTyped(place?.note) };
}

/** What is wrong with a place, at the fields. */
export function placeProblems(model: PlaceModel): readonly WorkshopProblem[] {
  return missing("name", model.name, "name-missing");
}

/** The place of a form that has no problem. */
export function placeOf(model: PlaceModel, before: Place | null): Place {
  return {
    ...before,
    id: before?.id ?? (newId() as PlaceId),
    name: model.name.trim(),
    note: orNull(model.note),
  };
}

/** Days off as they stand in the form. */
export interface ClosureModel {
  /** Empty for the workshop; else `person` or `bay` with its id behind a blank. */
  readonly of: string;
  readonly from: string;
  readonly to: string;
  readonly reason: string;
}

/** Days off as they stand in the form, empty for new ones. */
export function modelOfClosure(closure: Closure | null): ClosureModel {
  const { what, person, bay } = closure ?? {};
  const id = person ?? bay ?? null;
  return {
    of: what === undefined || id === null ? "" : `${what} ${id}`,
    from: closure?.from ?? "",
    to: closure?.to ?? "",
    reason: textTyped(closure?.reason),
  };
}

/** What is wrong with days off, at the fields. */
export function closureProblems({ from, to }: ClosureModel): readonly WorkshopProblem[] {
  const [first, last] = [parseDay(from), parseDay(to)];
  if (first === null) return [{ field: "from", code: "day-missing" }];
  const isBefore = last !== null && last < first;
  return isBefore ? [{ field: "to", code: "ends-before" }] : [];
}

/** The days off of a form that has no problem: where no last day is given, the first alone. */
export function closureOf(model: ClosureModel, before: Closure | null): Closure {
  const [what = "", ...rest] = model.of.split(" ");
  const id = rest.join(" ");
  const { person: _, bay: __, ...kept } = before ?? {};
  return {
    ...kept,
    id: before?.id ?? (newId() as ClosureId),
    from: model.from,
    to: isEmpty(model.to) ? model.from : model.to,
    what: what === "person" || what === "bay" ? what : "workshop",
    ...(what === "person" ? { person: id as PersonId } : {}),
    ...(what === "bay" ? { bay: id as BayId } : {}),
    reason: orNull(model.reason),
  };
}
