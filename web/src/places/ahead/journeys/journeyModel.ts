import {
  DEFAULT_DAYS_CLEAR,
  parseDay,
  type Journey,
  type JourneyId,
  type JourneyLoad,
  type Machine,
} from "@yonderfell/core";
import { readQuantity } from "../../../ui/readQuantity.js";
import { asTyped } from "../../../words/quantityWords.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";
import { TEMPERATURE } from "../../yard/facts/factsModel.js";

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

const isWhole = (text: string, least: number): boolean => {
  const value = typedNumber(text);
  return value !== null && Number.isInteger(value) && value >= least;
};

/** What is still wrong with it, as a line; empty where nothing is. */
export function journeyProblem(model: JourneyModel): string {
  if (model.machine === "") return "Choose the machine that goes.";
  if (model.name.trim() === "") return "Say where it goes, or for which season.";
  if (parseDay(model.date) === null) return "Give the day it departs.";
  if (!isWhole(model.days, 1)) return "Say how many days it is away: a whole number from 1 on.";
  if (model.amount.trim() !== "" && (typedNumber(model.amount) ?? 0) <= 0) {
    return `“${model.amount}” is not how far it runs: a figure above 0, or nothing for its usual pace.`;
  }
  if (!isWhole(model.daysClear, 0)) return "Days kept clear are a whole number from 0 on.";
  const wrong = [model.coldest, model.hottest].find(
    (text) => text.trim() !== "" && !readQuantity(text, TEMPERATURE).ok,
  );
  return wrong === undefined ? "" : `“${wrong}” is not a temperature.`;
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
