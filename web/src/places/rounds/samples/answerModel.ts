import { formatDay, parseDay, SAMPLE_FIGURES, type DayNumber, type Sample } from "@yonderfell/core";
import { isEmpty } from "../../../form/typed.js";
import { typedNumber } from "../../../words/writing.js";

/** What a laboratory answered, as it is typed from its letter. */
export interface AnswerModel {
  readonly on: string;
  /** Each figure as it is typed, by its name; empty where the letter has none. */
  readonly figures: readonly { readonly name: string; readonly value: string }[];
  readonly remarks: string;
}

/** The form before anything is typed: every figure that laboratories usually give. */
export const newAnswer = (today: DayNumber): AnswerModel => ({
  on: formatDay(today),
  figures: SAMPLE_FIGURES.map(({ name }) => ({ name, value: "" })),
  remarks: "",
});

/** What is wrong with it. */
export interface AnswerProblem {
  readonly field: string;
  readonly code: "not-a-day" | "not-a-figure" | "nothing-said";
}

/** All that is wrong with an answer as it is typed. */
export function answerProblems({ on, figures }: AnswerModel): AnswerProblem[] {
  const wrong = figures.flatMap(({ value }, at): AnswerProblem[] =>
    isEmpty(value) || (typedNumber(value) ?? -1) >= 0
      ? []
      : [{ field: `figures.${at}.value`, code: "not-a-figure" }],
  );
  const isNothing = figures.every(({ value }) => isEmpty(value));
  return [
    ...(parseDay(on) === null ? [{ field: "on", code: "not-a-day" as const }] : []),
    ...wrong,
    ...(isNothing ? [{ field: "figures.0.value", code: "nothing-said" as const }] : []),
  ];
}

/** What is wrong, and what to do. */
export function answerProblemWords({ code }: AnswerProblem): string {
  switch (code) {
    case "not-a-day":
      return "Say the day of the letter.";
    case "not-a-figure":
      return "That is no figure of 0 or more.";
    case "nothing-said":
      return "Type at least one figure.";
  }
}

/** The result that is typed. */
export function resultOf({ on, figures, remarks }: AnswerModel): NonNullable<Sample["result"]> {
  const values = figures.flatMap(({ name, value }) => {
    const figure = isEmpty(value) ? null : typedNumber(value);
    return figure === null ? [] : [[name, figure] as const];
  });
  return {
    ...{ on, values: Object.fromEntries(values) },
    ...(isEmpty(remarks) ? {} : { remarks: remarks.trim() }),
  };
}
