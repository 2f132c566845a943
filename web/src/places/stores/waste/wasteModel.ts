import {
  dimensionOf,
  formatDay,
  parseDay,
  type Container,
  type ContainerStanding,
  type DayNumber,
  type WasteMove,
  type WasteTold,
} from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import type { Problem } from "../../../form/useForm.js";
import {
  figureTyped,
  isAmountOrEmpty,
  isEmpty,
  orNull,
  quantityTyped,
  textTyped,
} from "../../../form/typed.js";
import { readQuantity, type QuantityWanted } from "../../../ui/readQuantity.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** A move of waste as it stands in the form. */
export interface WasteModel {
  readonly why: string;
  readonly container: string;
  readonly amount: string;
  readonly unit: string;
  readonly date: string;
  readonly where: string;
  readonly paper: string;
  readonly note: string;
}

export const WASTE_LABELS: Readonly<Record<keyof WasteModel, string>> = {
  why: "What happened",
  container: "Container",
  amount: "How much",
  unit: "In",
  date: "On",
  where: "Where, or who took it",
  paper: "Number of the receipt",
  note: "Note",
};

/** What is measured in litres, weighed or counted. */
export const WASTE_UNITS = [
  ["L", "litres"],
  ["kg", "kilograms"],
  ["piece", "pieces"],
] as const;

const COUNTED = new Set<Container["kind"]>(["filters", "batteries", "tyres"]);

/** A move to begin with: a container that is handed in is handed in whole. */
export function newWaste(
  { container, standing }: ContainerStanding,
  why: WasteMove["why"],
  today: DayNumber,
): WasteModel {
  const unit = COUNTED.has(container.kind) ? "piece" : standing.kilograms > 0 ? "kg" : "L";
  const there = { L: standing.litres, kg: standing.kilograms, piece: standing.pieces }[unit];
  return {
    ...{ why, container: container.id, unit, date: formatDay(today) },
    amount: why === "handed-in" && there > 0 ? typedFigure(Math.round(there * 10) / 10) : "",
    ...{ where: "", paper: "", note: "" },
  };
}

export interface WasteProblem extends Problem {
  readonly code: "amount-missing" | "no-day" | "where-missing";
}

/** What is still wrong with a move. */
export function wasteProblems({ why, amount, date, where }: WasteModel): WasteProblem[] {
  return [
    ...((typedNumber(amount) ?? 0) > 0
      ? []
      : [{ field: "amount", code: "amount-missing" as const }]),
    ...(parseDay(date) === null ? [{ field: "date", code: "no-day" as const }] : []),
    ...(why === "handed-in" && isEmpty(where)
      ? [{ field: "where", code: "where-missing" as const }]
      : []),
  ];
}

const PROBLEMS: Readonly<Record<WasteProblem["code"], string>> = {
  "amount-missing": "A figure above 0.",
  "no-day": "Choose a day.",
  "where-missing": "Say where it went: it may be asked for.",
};
/** What is wrong, in words. */
export const wasteProblemWords = ({ code }: WasteProblem): string => PROBLEMS[code];

/** The move of a form that has no problem. */
export function wasteOf(
  { why, amount, unit, date, where, paper, note }: WasteModel,
  container: Container,
): WasteTold {
  const value = typedNumber(amount) ?? 0;
  return {
    ...{ kind: container.kind, container: container.id, date, where, paper, note },
    why: why === "handed-in" ? "handed-in" : "filled",
    amount: unit === "piece" ? value : { value, unit: unit === "kg" ? "kg" : "L" },
  };
}

/** A container as it stands in the form. */
export interface ContainerModel {
  readonly name: string;
  readonly kind: Container["kind"];
  readonly holds: string;
  readonly fee: string;
  readonly inUse: boolean;
  readonly note: string;
}

export const CONTAINER_LABELS: Readonly<Record<keyof ContainerModel, string>> = {
  name: "What it is called",
  kind: "What goes into it",
  holds: "Holds",
  fee: "Handing in costs, a litre, kilogram or piece",
  inUse: "What is drained now goes into it",
  note: "Note",
};

/** How what a container holds is typed. */
export const HOLDS: QuantityWanted = { unit: "L" };

/** A container as it stands in the form, empty for a new one. */
export const modelOfContainer = (container: Container | null): ContainerModel => ({
  name: container?.name ?? "",
  kind: container?.kind ?? "oil",
  holds: quantityTyped(container?.holds),
  fee: figureTyped(container?.fee),
  inUse: container === null || container.inUse === true,
  note: textTyped(container?.note),
});

export interface ContainerProblem extends Problem {
  readonly code: "name-missing" | "not-a-fee" | "not-an-amount";
}

/** What is still wrong with a container. */
export function containerProblems({ name, holds, fee }: ContainerModel): ContainerProblem[] {
  const read = readQuantity(holds, HOLDS);
  const isHeld =
    isEmpty(holds) ||
    (read.ok && ["volume", "mass"].includes(dimensionOf(read.value.quantity.unit)));
  return [
    ...(isEmpty(name) ? [{ field: "name", code: "name-missing" as const }] : []),
    ...(isHeld ? [] : [{ field: "holds", code: "not-an-amount" as const }]),
    ...(isAmountOrEmpty(fee) ? [] : [{ field: "fee", code: "not-a-fee" as const }]),
  ];
}

/** What is wrong, in words. */
export function containerProblemWords({ code }: ContainerProblem): string {
  switch (code) {
    case "name-missing":
      return "Give it a name that stands on it.";
    case "not-an-amount":
      return "Litres or kilograms, or nothing.";
    case "not-a-fee":
      return "A price of 0 or more, or nothing.";
  }
}

/** The container of a form that has no problem; one that comes into use does so today. */
export function containerOf(
  { name, kind, holds, fee, inUse, note }: ContainerModel,
  before: Container | null,
  today: DayNumber,
): Container {
  const read = readQuantity(holds, HOLDS);
  const comes = inUse && before?.inUse !== true;
  return {
    ...before,
    id: before?.id ?? (newId() as Container["id"]),
    ...{ name: name.trim(), kind, inUse },
    holds: read.ok && !isEmpty(holds) ? read.value.quantity : null,
    fee: typedNumber(fee),
    ...(comes ? { since: formatDay(today), until: null } : {}),
    ...(before?.inUse === true && !inUse ? { until: formatDay(today) } : {}),
    note: orNull(note),
  };
}
