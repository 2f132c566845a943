import {
  CAPACITY_CONDITIONS,
  type BrakeType,
  type Capacity,
  type CapacityCondition,
  type CoolantFamily,
  type Fluid,
  type FluidId,
  type FluidKind,
  type Gallons,
  type MachineId,
  type ProductId,
} from "@yonderfell/core";
import { readQuantity, type QuantityWanted } from "../../../ui/readQuantity.js";
import { asTyped } from "../../../words/quantityWords.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** A capacity as it stands in the form. */
export interface CapacityRow {
  readonly id: string;
  readonly source: string;
  readonly condition: CapacityCondition;
  readonly amount: string;
  readonly note: string;
  readonly isModified: boolean;
  readonly isChosen: boolean;
  readonly reason: string;
}

/** A grade as it stands in the form. */
export interface GradeRow {
  readonly grade: string;
  readonly from: string;
  readonly to: string;
}

/** A fluid as it stands in the form. */
export interface FluidModel {
  readonly system: string;
  readonly kind: FluidKind;
  readonly codes: string;
  readonly coolantFamily: CoolantFamily | "";
  readonly brakeType: BrakeType | "";
  readonly product: string;
  /** The system was flushed before the product was changed. */
  readonly isFlushed: boolean;
  readonly note: string;
  readonly grades: readonly GradeRow[];
  readonly capacities: readonly CapacityRow[];
}

/** What is meant by a capacity typed without a unit: what is filled by weight is in kilograms. */
export function capacityWanted(kind: FluidKind, gallons: Gallons | null): QuantityWanted {
  return kind === "refrigerant"
    ? { unit: "kg", also: ["volume"], gallons }
    : { unit: "L", also: ["mass"], gallons };
}

/** A capacity that nothing is written in yet. */
export function emptyCapacity(id: string): CapacityRow {
  return {
    id,
    source: "handbook",
    condition: CAPACITY_CONDITIONS[0],
    amount: "",
    note: "",
    isModified: false,
    isChosen: false,
    reason: "",
  };
}

/** A fluid that nothing is written of yet. */
export function emptyFluid(newId: () => string): FluidModel {
  return {
    system: "",
    kind: "engine oil",
    codes: "",
    coolantFamily: "",
    brakeType: "",
    product: "",
    isFlushed: false,
    note: "",
    grades: [],
    capacities: [emptyCapacity(newId())],
  };
}

/** A fluid of the book as it stands in the form. */
export function modelOfFluid(fluid: Fluid): FluidModel {
  const chosen = new Map((fluid.working ?? []).map((one) => [one.capacity, one.reason]));
  const degrees = (value: number | null | undefined): string =>
    value === null || value === undefined ? "" : typedFigure(value);
  return {
    system: fluid.system,
    kind: fluid.kind,
    codes: (fluid.codes ?? []).join(", "),
    coolantFamily: fluid.coolantFamily ?? "",
    brakeType: fluid.brakeType ?? "",
    product: fluid.product ?? "",
    isFlushed: false,
    note: fluid.note ?? "",
    grades: (fluid.grades ?? []).map(({ grade, from, to }) => ({
      grade,
      from: degrees(from),
      to: degrees(to),
    })),
    capacities: (fluid.capacities ?? []).map((one) => ({
      id: one.id,
      source: one.source,
      condition: one.condition,
      amount: asTyped(one.quantity),
      note: one.note ?? "",
      isModified: one.isModified === true,
      isChosen: chosen.has(one.id),
      reason: chosen.get(one.id) ?? "",
    })),
  };
}

/** Codes as typed: apart by commas or new lines. */
export function codesOf(text: string): string[] {
  return text
    .split(/[,;\n]/)
    .map((code) => code.trim())
    .filter((code) => code !== "");
}

const isRowEmpty = (row: CapacityRow): boolean => row.amount.trim() === "";

/** What is still wrong with a form, as a line; empty where it can be saved. */
export function fluidProblem(model: FluidModel, gallons: Gallons | null): string {
  if (model.system.trim() === "") return "Say which system it is, such as engine or gearbox.";
  for (const row of model.capacities) {
    if (isRowEmpty(row)) continue;
    if (row.source.trim() === "") return "Say who gives each capacity: handbook, label, dealer.";
    if (!readQuantity(row.amount, capacityWanted(model.kind, gallons)).ok) {
      return `“${row.amount}” is not a capacity; mend it or leave it empty.`;
    }
    if (row.isModified && row.note.trim() === "") {
      return "A modified part overrides the handbook: say why in its note.";
    }
  }
  const wrong = model.grades
    .flatMap(({ from, to }) => [from, to])
    .find((text) => text.trim() !== "" && typedNumber(text) === null);
  return wrong === undefined ? "" : `“${wrong}” is not a temperature in °C.`;
}

const orNothing = (text: string): string | null => (text.trim() === "" ? null : text.trim());

/** The fluid of a form that has no problem; what the form does not show stays as it was. */
export function fluidOf(
  model: FluidModel,
  before: Fluid | null,
  place: { readonly id: FluidId; readonly machine: MachineId; readonly gallons: Gallons | null },
): Fluid {
  const rows = model.capacities.filter((row) => !isRowEmpty(row));
  const known = new Map((before?.capacities ?? []).map((one) => [one.id, one]));
  const capacities = rows.flatMap((row): Capacity[] => {
    const read = readQuantity(row.amount, capacityWanted(model.kind, place.gallons));
    if (!read.ok) return [];
    const { id, condition, isModified } = row;
    const note = orNothing(row.note);
    const source = row.source.trim();
    const { quantity } = read.value;
    return [{ ...known.get(id), id, source, condition, quantity, isModified, note }];
  });
  const taken = new Set<CapacityCondition>();
  const working = rows.flatMap(({ id, condition, isChosen, reason }) => {
    if (!isChosen || taken.has(condition)) return [];
    taken.add(condition);
    return [{ capacity: id, reason: reason.trim() }];
  });
  return {
    ...before,
    id: place.id,
    machine: place.machine,
    system: model.system.trim(),
    kind: model.kind,
    codes: codesOf(model.codes),
    coolantFamily:
      model.kind === "coolant" && model.coolantFamily !== "" ? model.coolantFamily : null,
    brakeType: model.kind === "brake fluid" && model.brakeType !== "" ? model.brakeType : null,
    grades: model.grades
      .filter(({ grade }) => grade.trim() !== "")
      .map(({ grade, from, to }) => ({
        grade: grade.trim(),
        from: typedNumber(from),
        to: typedNumber(to),
      })),
    capacities,
    working,
    product: model.product === "" ? null : (model.product as ProductId),
    note: orNothing(model.note),
  };
}
