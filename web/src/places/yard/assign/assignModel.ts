import {
  SCHOOLS,
  type Assignment,
  type BoardMachine,
  type Person,
  type PersonId,
  type Place,
  type PlaceId,
} from "@yonderfell/core";

/** What is chosen for the machines; empty where it stays as it is on each, NONE where it is taken away. */
export interface AssignModel {
  readonly place: string;
  readonly person: string;
  readonly regime: string;
}

export const LEFT_AS_IT_IS: AssignModel = { place: "", person: "", regime: "" };
/** No id: those have no spaces at their ends. */
const NONE = " none ";

type Choices = readonly (readonly [string, string])[];

const LEAVE: readonly [string, string] = ["", "As it is"];

/** The places to choose from. */
export function placeChoices(places: readonly Place[]): Choices {
  return [LEAVE, [NONE, "No place"], ...places.map(({ id, name }) => [id, name] as const)];
}

/** The people to choose from: those who are still there. */
export function personChoices(people: readonly Person[]): Choices {
  const there = people.filter(({ hasLeft }) => hasLeft !== true);
  return [LEAVE, [NONE, "Nobody"], ...there.map(({ id, name }) => [id, name] as const)];
}

/** The schools to choose from: the usual ones, and those the machines follow. */
export function schoolChoices(machines: readonly BoardMachine[]): Choices {
  const followed = machines.flatMap(({ machine }) => machine.regime ?? []);
  return [
    LEAVE,
    ...[...new Set<string>([...SCHOOLS, ...followed])].map((name) => [name, name] as const),
  ];
}

/** What the machines are to be given. */
export function assignmentOf({ place, person, regime }: AssignModel): Assignment {
  return {
    ...(place === "" ? {} : { place: place === NONE ? null : (place as PlaceId) }),
    ...(person === "" ? {} : { person: person === NONE ? null : (person as PersonId) }),
    ...(regime === "" ? {} : { regime }),
  };
}
