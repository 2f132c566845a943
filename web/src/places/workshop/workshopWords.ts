import type { BayModel, PersonModel, PlaceModel, WorkshopProblem } from "./workshopModel.js";

/** What is said of a person. */
export const PERSON_LABELS: Readonly<Record<keyof PersonModel, string>> = {
  name: "Name",
  initials: "Initials for the record",
  rate: "What an hour costs",
  hours: "Hours a week",
  hasLeft: "Has left; stays in the record",
  note: "Note",
};

/** What is said of a bay. */
export const BAY_LABELS: Readonly<Record<keyof BayModel, string>> = {
  name: "Name",
  place: "At",
  hours: "Hours a week",
  note: "Note",
};

/** What is said of a place. */
export const PLACE_LABELS: Readonly<Record<keyof PlaceModel, string>> = {
  name: "Name",
  note: "Note",
};

/** What is wrong with a person, a bay or a place, and what to do. */
export function workshopProblemWords({ code }: WorkshopProblem): string {
  switch (code) {
    case "name-missing":
      return "Give a name.";
    case "initials-missing":
      return "Give the initials they sign with.";
    case "not-an-amount":
      return "A number of 0 or more, or nothing.";
  }
}
