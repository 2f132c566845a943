import {
  dayOf,
  formatDay,
  oilLifeOn,
  parseDay,
  type DayNumber,
  type Fluid,
  type FluidId,
  type Machine,
  type MachineBook,
  type Sample,
  type Settings,
} from "@yonderfell/core";
import { figureTyped, isEmpty, orNull } from "../../../form/typed.js";
import { typedNumber } from "../../../words/writing.js";

/** A sample as it is written down. */
export interface TakeModel {
  readonly fluid: string;
  readonly date: string;
  readonly label: string;
  readonly life: string;
  readonly oilLife: string;
  readonly lab: string;
  readonly note: string;
}

/** What is known of the machine. */
export interface TakeAround {
  readonly book: MachineBook;
  readonly settings: Settings;
  /** With the product that is in each now. */
  readonly fluids: readonly Fluid[];
  readonly samples: readonly Sample[];
  readonly today: DayNumber;
  /** The sample that is being corrected; null for a new one. */
  readonly corrects: Sample | null;
}

const rounded = (value: number | null | undefined): string =>
  value === null || value === undefined ? "" : figureTyped(Math.round(value));

/** A label that no sample of the machine bears: its tag, and how many there were. */
function nextLabel({ tag }: Machine, samples: readonly Sample[]): string {
  for (let at = samples.length + 1; ; at += 1) {
    const label = `${tag}/${at}`;
    if (samples.every((sample) => sample.label !== label)) return label;
  }
}

/** The lives that a sample of a system has on a day, as they stand in the form. */
export function livesOf(
  { book, settings }: Pick<TakeAround, "book" | "settings">,
  fluid: string,
  day: DayNumber,
): Pick<TakeModel, "life" | "oilLife"> {
  const found = fluid === "" ? null : oilLifeOn(book, fluid as FluidId, settings, day);
  return { life: rounded(found?.life), oilLife: rounded(found?.oilLife) };
}

/** A new sample as the form begins with it. */
export function newSample(around: TakeAround, wanted: string): TakeModel {
  const { book, fluids, samples, today } = around;
  const fluid = fluids.find(({ id }) => id === wanted)?.id ?? fluids[0]?.id ?? "";
  const lab = samples.at(-1)?.lab ?? "";
  return {
    ...{ fluid, date: formatDay(today), label: nextLabel(book.machines[0], samples) },
    ...livesOf(around, fluid, today),
    ...{ lab, note: "" },
  };
}

/** A sample that is being corrected, as the form begins with it. */
export const modelOfSample = (sample: Sample): TakeModel => ({
  ...{ fluid: sample.fluid, date: sample.date, label: sample.label ?? "" },
  ...{ life: figureTyped(sample.life), oilLife: figureTyped(sample.oilLife) },
  ...{ lab: sample.lab ?? "", note: sample.note ?? "" },
});

/** What is wrong with a sample as it is written. */
export interface TakeProblem {
  readonly field: keyof TakeModel;
  readonly code: "fluid-missing" | "label-missing" | "label-taken" | "not-a-day" | "not-a-figure";
}

const isFigure = (text: string): boolean => isEmpty(text) || (typedNumber(text) ?? -1) >= 0;

/** All that is wrong with it. */
export function takeProblems(
  model: TakeModel,
  { samples, today, corrects }: TakeAround,
): TakeProblem[] {
  const day = parseDay(model.date);
  const problems: (TakeProblem | null)[] = [
    model.fluid === "" ? { field: "fluid", code: "fluid-missing" } : null,
    day === null || day > today ? { field: "date", code: "not-a-day" } : null,
    isEmpty(model.label) ? { field: "label", code: "label-missing" } : null,
    samples.some(({ id, label }) => id !== corrects?.id && label === model.label.trim())
      ? { field: "label", code: "label-taken" }
      : null,
    isFigure(model.life) ? null : { field: "life", code: "not-a-figure" },
    isFigure(model.oilLife) ? null : { field: "oilLife", code: "not-a-figure" },
  ];
  return problems.flatMap((problem) => problem ?? []);
}

/** What is wrong, and what to do. */
export function takeProblemWords({ code }: TakeProblem): string {
  switch (code) {
    case "fluid-missing":
      return "Choose which fluid was sampled.";
    case "label-missing":
      return "Give the bottle a label: by it the answer finds its way back.";
    case "label-taken":
      return "Another sample of the machine bears this label.";
    case "not-a-day":
      return "Say the day it was taken, today or earlier.";
    case "not-a-figure":
      return "That is no figure; leave it empty where it is not known.";
  }
}

/** The sample that the form says. */
export function sampleOf(
  model: TakeModel,
  { book, fluids, corrects }: TakeAround,
): Pick<
  Sample,
  "fluid" | "date" | "label" | "meter" | "life" | "oilLife" | "product" | "lab" | "note"
> {
  const fluid = fluids.find(({ id }) => id === model.fluid);
  const figure = (text: string): number | null => (isEmpty(text) ? null : typedNumber(text));
  return {
    fluid: model.fluid as FluidId,
    date: formatDay(dayOf(model.date)),
    label: model.label.trim(),
    meter: corrects?.meter ?? book.machines[0].meters?.[0]?.id ?? null,
    ...{ life: figure(model.life), oilLife: figure(model.oilLife) },
    ...{
      product: corrects?.product ?? fluid?.product ?? null,
      lab: orNull(model.lab),
      note: orNull(model.note),
    },
  };
}
