import {
  CAPACITY_CONDITIONS,
  isRefused,
  mixing,
  type BrakeType,
  type Capacity,
  type CapacityCondition,
  type CoolantFamily,
  type Fluid,
  type FluidId,
  type FluidKind,
  type Gallons,
  type MachineId,
  type MixingAnswer,
  type Product,
  type ProductId,
} from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { isEmpty, listTyped, orNull } from "../../../form/typed.js";
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
function emptyFluid(): FluidModel {
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

/** A fluid of the book as it stands in the form, empty for a new one. */
export function modelOfFluid(fluid: Fluid | null): FluidModel {
  if (fluid === null) return emptyFluid();
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

const isRowEmpty = (row: CapacityRow): boolean => isEmpty(row.amount);

/** What is wrong with a fluid as it is typed. */
export type FluidProblem =
  | {
      readonly field: string;
      readonly code:
        | "system-missing"
        | "source-missing"
        | "not-a-capacity"
        | "why-modified-missing"
        | "not-a-temperature";
    }
  | { readonly field: string; readonly code: "mixing"; readonly refused: MixingAnswer };

/** What is still wrong with a form, at its fields. */
export function fluidProblems(
  model: FluidModel,
  gallons: Gallons | null,
  fluid: Fluid | null,
  products: readonly Product[],
): readonly FluidProblem[] {
  const system: FluidProblem[] = isEmpty(model.system)
    ? [{ field: "system", code: "system-missing" }]
    : [];
  const refused = mixingRefused(model, fluid, products);
  const mixing: FluidProblem[] =
    refused === null ? [] : [{ field: "product", code: "mixing", refused }];
  const capacities = model.capacities.flatMap((row, index): FluidProblem[] => {
    const at = `capacities.${index}`;
    if (isRowEmpty(row)) return [];
    const isCapacity = readQuantity(row.amount, capacityWanted(model.kind, gallons)).ok;
    const isWhyMissing = row.isModified && isEmpty(row.note);
    return [
      ...(isCapacity ? [] : [{ field: `${at}.amount`, code: "not-a-capacity" as const }]),
      ...(isEmpty(row.source) ? [{ field: `${at}.source`, code: "source-missing" as const }] : []),
      ...(isWhyMissing ? [{ field: `${at}.note`, code: "why-modified-missing" as const }] : []),
    ];
  });
  const grades = model.grades.flatMap((row, index) =>
    (["from", "to"] as const)
      .filter((key) => !isEmpty(row[key]) && typedNumber(row[key]) === null)
      .map((key): FluidProblem => ({ field: `grades.${index}.${key}`, code: "not-a-temperature" })),
  );
  return [...system, ...mixing, ...capacities, ...grades];
}

/** Why what is in may not be followed by the product chosen, unless it was flushed; null where it may. */
export function mixingRefused(
  { product, isFlushed }: Pick<FluidModel, "product" | "isFlushed">,
  fluid: Fluid | null,
  products: readonly Product[],
): MixingAnswer | null {
  const now = products.find((one) => one.id === fluid?.product);
  const next = products.find((one) => one.id === product);
  if (isFlushed || now === undefined || next === undefined || now.id === next.id) return null;
  const answer = mixing(now, next);
  return isRefused(answer) ? answer : null;
}

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
    const note = orNull(row.note);
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
    codes: listTyped(model.codes),
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
    note: orNull(model.note),
  };
}
