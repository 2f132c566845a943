import type {
  Gallons,
  LaidUp,
  Machine,
  Needed,
  PersonId,
  Picture,
  PlaceId,
  Quantity,
} from "@yonderfell/core";
import { readQuantity, type QuantityWanted } from "../../../ui/readQuantity.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";
import { asTyped } from "../../../words/quantityWords.js";

import {
  modelOfRunningIn,
  runningInOf,
  runningInProblem,
  type RunningInModel,
} from "./runningInModel.js";

/** Days on which a machine is laid up, as they stand in the form. */
export interface LaidUpRow {
  readonly months: readonly number[];
  readonly from: string;
  readonly to: string;
  readonly reason: string;
}

/** Days it cannot be spared, as they stand in the form. */
export interface NeededRow {
  readonly weekdays: readonly number[];
  readonly from: string;
  readonly to: string;
  readonly reason: string;
}

/** The conditions a machine works under that are so or not. */
export const DUTIES = ["dust", "towing", "shortTrips", "idling", "water"] as const;
export type DutyFlag = (typeof DUTIES)[number];

/** The facts of a machine as they stand in the form. */
export interface FactsModel {
  readonly tag: string;
  readonly name: string;
  readonly kind: string;
  readonly description: string;
  readonly variant: string;
  readonly vin: string;
  readonly serial: string;
  readonly registration: string;
  readonly inService: string;
  readonly acquired: string;
  readonly history: "known" | "unknown";
  readonly place: string;
  /** Who looks after it. */
  readonly person: string;
  readonly gallons: Gallons | "";
  readonly coldest: string;
  readonly hottest: string;
  readonly flags: readonly DutyFlag[];
  readonly dutyNote: string;
  readonly laidUp: readonly LaidUpRow[];
  readonly needed: readonly NeededRow[];
  /** What a visit of it costs, empty where it is as in the settings. */
  readonly visitCost: string;
  readonly runningIn: RunningInModel;
  readonly note: string;
  readonly pictures: readonly Picture[];
}

/** What is meant by a temperature typed without a unit. */
export const TEMPERATURE: QuantityWanted = { unit: "degC" };

const typed = (quantity: Quantity | null | undefined): string =>
  quantity ? asTyped(quantity) : "";

/** The facts of a machine as they stand in the form. */
export function modelOfMachine(machine: Machine): FactsModel {
  const { duty } = machine;
  const text = (value: string | null | undefined): string => value ?? "";
  return {
    tag: machine.tag,
    name: machine.name,
    kind: machine.kind,
    description: text(machine.description),
    variant: text(machine.variant),
    vin: text(machine.vin),
    serial: text(machine.serial),
    registration: text(machine.registration),
    inService: text(machine.inService),
    acquired: text(machine.acquired),
    history: machine.history ?? "known",
    place: text(machine.place),
    person: text(machine.person),
    gallons: machine.gallons ?? "",
    coldest: typed(duty?.coldestStart),
    hottest: typed(duty?.hottestDay),
    flags: DUTIES.filter((flag) => duty?.[flag] === true),
    dutyNote: text(duty?.note),
    laidUp: (machine.laidUp ?? []).map((one) => ({
      months: one.months ?? [],
      from: text(one.from),
      to: text(one.to),
      reason: text(one.reason),
    })),
    needed: (machine.needed ?? []).map((one) => ({
      weekdays: one.weekdays ?? [],
      from: text(one.from),
      to: text(one.to),
      reason: text(one.reason),
    })),
    visitCost: (machine.visitCost ?? null) === null ? "" : typedFigure(machine.visitCost as number),
    runningIn: modelOfRunningIn(machine),
    note: text(machine.note),
    pictures: machine.pictures ?? [],
  };
}

/** What is still wrong with a form beyond how the machine is called, as a line; empty where nothing is. */
export function factsProblem(model: FactsModel): string {
  const wrong = [model.coldest, model.hottest].find(
    (text) => text.trim() !== "" && !readQuantity(text, TEMPERATURE).ok,
  );
  if (wrong !== undefined) return `“${wrong}” is not a temperature.`;
  for (const { months, from, to } of model.laidUp) {
    if (months.length > 0 && (from !== "" || to !== "")) {
      return "A lay-up is either by months or by dates: use two lines for both.";
    }
    if (from === "" && to !== "") return "A lay-up needs the day it begins.";
    if (from !== "" && to !== "" && to < from) return "A lay-up cannot end before it begins.";
  }
  if (model.visitCost.trim() !== "" && (typedNumber(model.visitCost) ?? -1) < 0) {
    return `“${model.visitCost}” is not what a visit costs: an amount of at least 0.`;
  }
  return runningInProblem(model.runningIn);
}

const orNull = (text: string): string | null => (text.trim() === "" ? null : text.trim());

function laidUpOf({ months, from, to, reason }: LaidUpRow): LaidUp[] {
  const why = orNull(reason);
  if (months.length > 0) return [{ months: [...months].sort((a, b) => a - b), reason: why }];
  return from === "" ? [] : [{ from, to: orNull(to), reason: why }];
}

function neededOf({ weekdays, from, to, reason }: NeededRow): Needed[] {
  if (weekdays.length === 0 && from === "" && to === "") return [];
  const days = weekdays.length === 0 ? {} : { weekdays: [...weekdays].sort((a, b) => a - b) };
  return [{ ...days, from: orNull(from), to: orNull(to), reason: orNull(reason) }];
}

/** The machine of a form that has no problem; what the form does not show stays as it was. */
export function machineOf(model: FactsModel, before: Machine): Machine {
  const quantity = (text: string): Quantity | null => {
    const read = readQuantity(text, TEMPERATURE);
    return read.ok ? read.value.quantity : null;
  };
  const flags = Object.fromEntries(DUTIES.map((flag) => [flag, model.flags.includes(flag)]));
  return {
    ...before,
    tag: model.tag.trim(),
    name: model.name.trim(),
    kind: model.kind.trim(),
    history: model.history,
    description: orNull(model.description),
    variant: orNull(model.variant),
    vin: orNull(model.vin),
    serial: orNull(model.serial),
    registration: orNull(model.registration),
    inService: orNull(model.inService),
    acquired: orNull(model.acquired),
    place: model.place === "" ? null : (model.place as PlaceId),
    person: model.person === "" ? null : (model.person as PersonId),
    gallons: model.gallons === "" ? null : model.gallons,
    duty: {
      ...before.duty,
      ...flags,
      coldestStart: quantity(model.coldest),
      hottestDay: quantity(model.hottest),
      note: orNull(model.dutyNote),
    },
    laidUp: model.laidUp.flatMap(laidUpOf),
    needed: model.needed.flatMap(neededOf),
    visitCost: typedNumber(model.visitCost),
    runningIn: runningInOf(model.runningIn, before),
    note: orNull(model.note),
    pictures: [...model.pictures],
  };
}
