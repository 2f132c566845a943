import type { Bay, BayId, Person, PersonId, Place, PlaceId } from "@yonderfell/core";
import { newId } from "../../data/newId.js";
import { figureTyped, isAmountOrEmpty, isEmpty, orNull, textTyped } from "../../form/typed.js";
import { typedNumber } from "../../words/writing.js";

/** What is wrong with a person, a bay or a place as they are typed. */
export interface WorkshopProblem {
  readonly field: string;
  readonly code: "name-missing" | "initials-missing" | "not-an-amount";
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
    note: orNull(model.note),
  };
}

/** A bay as it stands in the form. */
export interface BayModel {
  readonly name: string;
  readonly place: string;
  readonly hours: string;
  readonly note: string;
}

/** A bay as it stands in the form, empty for a new one. */
export function modelOfBay(bay: Bay | null): BayModel {
  return {
    name: textTyped(bay?.name),
    place: textTyped(bay?.place),
    hours: figureTyped(bay?.hoursAWeek),
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
