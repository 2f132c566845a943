import {
  DEFAULT_DAYS_CLEAR,
  parseDay,
  type Journey,
  type JourneyId,
  type JourneyLoad,
  type Machine,
} from "@yonderfell/core";
import { isEmpty, isWhole } from "../../../form/typed.js";
import { readQuantity } from "../../../ui/readQuantity.js";
import { asTyped } from "../../../words/quantityWords.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";
import { TEMPERATURE } from "../../../ui/readQuantity.js";

/** A journey as it stands in the form. */
export interface JourneyModel {
  readonly machine: string;
  readonly name: string;
  readonly date: string;
  readonly days: string;
  readonly meter: string;
  readonly amount: string;
  readonly load: JourneyLoad;
  readonly coldest: string;
  readonly hottest: string;
  readonly daysClear: string;
  readonly note: string;
}

/** A journey as it stands in the form, empty for a new one. */
export function modelOfJourney(journey: Journey | null): JourneyModel {
  return {
    machine: journey?.machine ?? "",
    name: journey?.name ?? "",
    date: journey?.date ?? "",
    days: journey === null ? "" : typedFigure(journey.days),
    meter: journey?.meter ?? "",
    amount: journey?.amount ? typedFigure(journey.amount) : "",
    load: journey?.load ?? "usual",
    coldest: journey?.coldest ? asTyped(journey.coldest) : "",
    hottest: journey?.hottest ? asTyped(journey.hottest) : "",
    daysClear: typedFigure(journey?.daysClear ?? DEFAULT_DAYS_CLEAR),
    note: journey?.note ?? "",
  };
}

/** What is wrong with a journey as it is typed. */
export interface JourneyProblem {
  readonly field: keyof JourneyModel;
  readonly code:
    | "machine-missing"
    | "name-missing"
    | "day-missing"
    | "days-not-whole"
    | "not-an-amount"
    | "days-clear-not-whole"
    | "not-a-temperature";
  /** What is typed. */
  readonly text: string;
}

/** What is still wrong with it, at its fields. */
export function journeyProblems(model: JourneyModel): readonly JourneyProblem[] {
  const isTemperature = (text: string): boolean =>
    isEmpty(text) || readQuantity(text, TEMPERATURE).ok;
  const isAmount = isEmpty(model.amount) || (typedNumber(model.amount) ?? 0) > 0;
  const checks: readonly (readonly [keyof JourneyModel, JourneyProblem["code"], boolean])[] = [
    ["machine", "machine-missing", model.machine !== ""],
    ["name", "name-missing", !isEmpty(model.name)],
    ["date", "day-missing", parseDay(model.date) !== null],
    ["days", "days-not-whole", isWhole(model.days, 1)],
    ["amount", "not-an-amount", isAmount],
    ["daysClear", "days-clear-not-whole", isWhole(model.daysClear, 0)],
    ["coldest", "not-a-temperature", isTemperature(model.coldest)],
    ["hottest", "not-a-temperature", isTemperature(model.hottest)],
  ];
  return checks
    .filter(([, , isSound]) => !isSound)
    .map(([field, code]) => ({ field, code, text: model[field] }));
}

const temperatureOf = (text: string): Journey["coldest"] => {
  const read = readQuantity(text, TEMPERATURE);
  return read.ok ? read.value.quantity : null;
};

/** The journey as the form has it; what the form does not show stays as it was. */
export function journeyOf(
  model: JourneyModel,
  before: Journey | null,
  machine: Machine,
  newId: () => string,
): Journey {
  const amount = typedNumber(model.amount);
  const meters = machine.meters ?? [];
  const meter = meters.find(({ id }) => id === model.meter) ?? meters[0];
  const isGiven = amount !== null && meter !== undefined;
  return {
    ...before,
    id: before?.id ?? (newId() as JourneyId),
    machine: machine.id,
    name: model.name.trim(),
    date: model.date,
    days: typedNumber(model.days) ?? 1,
    meter: isGiven ? meter.id : null,
    amount: isGiven ? amount : null,
    load: model.load,
    coldest: temperatureOf(model.coldest),
    hottest: temperatureOf(model.hottest),
    daysClear: typedNumber(model.daysClear),
    note: model.note.trim() === "" ? null : model.note.trim(),
  };
}
