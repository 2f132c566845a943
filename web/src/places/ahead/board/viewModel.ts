import { isEmpty } from "../../../form/typed.js";

/** A view of the board as it stands in the form that keeps it: what it shows is what is looked at. */
export interface ViewModel {
  readonly name: string;
}

/** A new view as the form begins with it. */
export const modelOfNewView = (_: null): ViewModel => ({ name: "" });

/** What is wrong with a view as it is typed. */
export interface ViewProblem {
  readonly field: "name";
  readonly code: "name-missing";
}

/** What is still wrong with it. */
export const viewProblems = ({ name }: ViewModel): readonly ViewProblem[] =>
  isEmpty(name) ? [{ field: "name", code: "name-missing" }] : [];
