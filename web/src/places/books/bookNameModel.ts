import { isEmpty } from "../../form/typed.js";

/** The name of a book as it stands in a form. */
export interface BookNameModel {
  readonly name: string;
}

/** What is wrong with the name of a book. */
export interface BookNameProblem {
  readonly field: "name";
  readonly code: "name-missing";
}

/** What is still wrong with it. */
export const bookNameProblems = ({ name }: BookNameModel): readonly BookNameProblem[] =>
  isEmpty(name) ? [{ field: "name", code: "name-missing" }] : [];

/** What is wrong with it in words, and what to do. */
export const bookNameProblemWords = (_: BookNameProblem): string =>
  "Give the book a name, such as that of your workshop.";
