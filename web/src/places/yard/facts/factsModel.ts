import {
  namingIssues,
  type Gallons,
  type LaidUp,
  type Machine,
  type MachineIssue,
  type Needed,
  type PersonId,
  type Picture,
  type PlaceId,
  type Quantity,
} from "@yonderfell/core";
import {
  figureTyped,
  isAmountOrEmpty,
  orNull,
  quantityTyped,
  textTyped,
  wordsTyped,
  wordsUnder,
} from "../../../form/typed.js";
import { NAMING_FIELDS } from "../add/newMachineModel.js";
import { readQuantity, TEMPERATURE } from "../../../ui/readQuantity.js";
import { typedNumber } from "../../../words/writing.js";

import {
  modelOfRunningIn,
  runningInOf,
  runningInProblems,
  type RunningInModel,
  type RunningInProblem,
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
  /** Words with commas between them. */
  readonly bayNeeds: string;
  readonly runningIn: RunningInModel;
  readonly note: string;
  readonly pictures: readonly Picture[];
}

/** The facts of a machine as they stand in the form. */
export function modelOfMachine(machine: Machine): FactsModel {
  const { duty } = machine;
  return {
    tag: machine.tag,
    name: machine.name,
    kind: machine.kind,
    description: textTyped(machine.description),
    variant: textTyped(machine.variant),
    vin: textTyped(machine.vin),
    serial: textTyped(machine.serial),
    registration: textTyped(machine.registration),
    inService: textTyped(machine.inService),
    acquired: textTyped(machine.acquired),
    history: machine.history ?? "known",
    place: textTyped(machine.place),
    person: textTyped(machine.person),
    gallons: machine.gallons ?? "",
    coldest: quantityTyped(duty?.coldestStart),
    hottest: quantityTyped(duty?.hottestDay),
    flags: DUTIES.filter((flag) => duty?.[flag] === true),
    dutyNote: textTyped(duty?.note),
    laidUp: (machine.laidUp ?? []).map((one) => ({
      months: one.months ?? [],
      from: textTyped(one.from),
      to: textTyped(one.to),
      reason: textTyped(one.reason),
    })),
    needed: (machine.needed ?? []).map((one) => ({
      weekdays: one.weekdays ?? [],
      from: textTyped(one.from),
      to: textTyped(one.to),
      reason: textTyped(one.reason),
    })),
    visitCost: figureTyped(machine.visitCost),
    bayNeeds: wordsTyped(machine.bayNeeds),
    runningIn: modelOfRunningIn(machine),
    note: textTyped(machine.note),
    pictures: machine.pictures ?? [],
  };
}

/** What is wrong with the facts of a machine as they are typed. */
export type FactsProblem =
  | { readonly field: string; readonly code: "machine"; readonly issue: MachineIssue }
  | { readonly field: string; readonly code: "not-a-temperature"; readonly text: string }
  | { readonly field: string; readonly code: "months-and-dates" }
  | { readonly field: string; readonly code: "begins-missing" }
  | { readonly field: string; readonly code: "ends-before-it-begins" }
  | { readonly field: string; readonly code: "not-a-cost"; readonly text: string }
  | RunningInProblem;

/** What is still wrong with a form, at its fields; `others` are the machines of the book. */
export function factsProblems(
  model: FactsModel,
  machine: Pick<Machine, "id">,
  others: readonly Machine[],
): readonly FactsProblem[] {
  const naming = namingIssues(model, others, machine.id).map((issue): FactsProblem => ({
    field: NAMING_FIELDS[issue.code] ?? "",
    code: "machine",
    issue,
  }));
  const temperatures = (["coldest", "hottest"] as const)
    .map((field) => ({ field, text: model[field] }))
    .filter(({ text }) => text.trim() !== "" && !readQuantity(text, TEMPERATURE).ok)
    .map((one): FactsProblem => ({ ...one, code: "not-a-temperature" }));
  const cost: FactsProblem[] = isAmountOrEmpty(model.visitCost)
    ? []
    : [{ field: "visitCost", code: "not-a-cost", text: model.visitCost }];
  const runningIn = runningInProblems(model.runningIn).map((problem) => ({
    ...problem,
    field: `runningIn.${problem.field}`,
  }));
  return [
    ...naming,
    ...temperatures,
    ...model.laidUp.flatMap(laidUpProblems),
    ...cost,
    ...runningIn,
  ];
}

function laidUpProblems({ months, from, to }: LaidUpRow, index: number): FactsProblem[] {
  const at = (key: keyof LaidUpRow): string => `laidUp.${index}.${key}`;
  if (months.length > 0 && (from !== "" || to !== "")) {
    return [{ field: at("from"), code: "months-and-dates" }];
  }
  if (from === "" && to !== "") return [{ field: at("from"), code: "begins-missing" }];
  const isTurned = from !== "" && to !== "" && to < from;
  return isTurned ? [{ field: at("to"), code: "ends-before-it-begins" }] : [];
}

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
    ...wordsUnder("bayNeeds", model.bayNeeds, before),
    runningIn: runningInOf(model.runningIn, before),
    note: orNull(model.note),
    pictures: [...model.pictures],
  };
}
