import {
  formatDay,
  parseDay,
  type DayNumber,
  type Meter,
  type MeterId,
  type WorkFigure,
} from "@yonderfell/core";
import { isAmountOrEmpty } from "../../../form/typed.js";
import { typedNumber } from "../../../words/writing.js";

/** When the records say that something was done, as it stands in the form. */
export interface DoneModel {
  readonly date: string;
  /** What its meters showed, in the order of the meters; empty where it is not known. */
  readonly figures: readonly string[];
  /** By which record. */
  readonly note: string;
  readonly followUpsDone: boolean;
}

/** What was seen, as it stands in the form. */
export interface SoundModel {
  readonly note: string;
}

/** The form as it begins: done today, at figures that are not known. */
export const modelOfDone = (meters: readonly Meter[], today: DayNumber): DoneModel => ({
  date: formatDay(today),
  figures: meters.map(() => ""),
  note: "",
  followUpsDone: true,
});

/** The form as it begins. */
export const modelOfSound = (_: null): SoundModel => ({ note: "" });

/** What is wrong with an answer as it is typed. */
export type DoneProblem =
  | { readonly field: "date"; readonly code: "day-missing" | "day-in-future" }
  /** `figures.0`, by the place of its meter. */
  | { readonly field: `figures.${number}`; readonly code: "figure-not-a-number" };

/** What is still wrong with it, at its fields. */
export function doneProblems(
  { date, figures }: DoneModel,
  today: DayNumber,
): readonly DoneProblem[] {
  const day = parseDay(date);
  const dated: DoneProblem[] =
    day === null
      ? [{ field: "date", code: "day-missing" }]
      : day > today
        ? [{ field: "date", code: "day-in-future" }]
        : [];
  const wrong = figures.flatMap((text, place): DoneProblem[] =>
    isAmountOrEmpty(text) ? [] : [{ field: `figures.${place}`, code: "figure-not-a-number" }],
  );
  return [...dated, ...wrong];
}

/** Figures of meters as they are typed; one that is empty is not known. */
export function figuresFrom(
  texts: Iterable<readonly [string, string]>,
  estimated: boolean,
): WorkFigure[] {
  return [...texts].flatMap(([meter, text]) =>
    text.trim() === ""
      ? []
      : [
          {
            meter: meter as MeterId,
            value: typedNumber(text) ?? Number.NaN,
            estimated,
            answer: null,
          },
        ],
  );
}
