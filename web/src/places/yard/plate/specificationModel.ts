import type {
  Machine,
  Quantity,
  Specification,
  SpecificationGroup,
  SpecificationId,
  Unit,
} from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { isEmpty, orNull, quantityTyped } from "../../../form/typed.js";
import { readQuantity, type QuantityWanted } from "../../../ui/readQuantity.js";

/** What is measured of each group, where nothing else is typed. */
const UNITS: Readonly<Record<SpecificationGroup, Unit>> = {
  battery: "A",
  tyre: "mm",
  pressure: "bar",
  wiper: "mm",
  filter: "mm",
  bulb: "W",
  gap: "mm",
  "free play": "mm",
  torque: "Nm",
  other: "mm",
};
const ANYTHING: QuantityWanted["also"] = [
  "charge",
  "voltage",
  "current",
  "power",
  "length",
  "pressure",
  "torque",
  "mass",
  "volume",
  "temperature",
  "share",
  "rotation",
];

/** What is specified, as it stands in the form. */
export interface ValueModel {
  readonly text: string;
  readonly least: string;
  readonly most: string;
  readonly source: string;
}

/** Something specified as it stands in the form. */
export interface SpecificationModel extends ValueModel {
  readonly group: SpecificationGroup;
  readonly name: string;
  readonly fittedText: string;
  readonly fittedQuantity: string;
  readonly isOverridden: boolean;
  readonly override: ValueModel;
  readonly reason: string;
  readonly note: string;
}

function valueModelOf(
  value: Partial<Pick<Specification, "text" | "least" | "most" | "source">> | null | undefined,
): ValueModel {
  return {
    text: value?.text ?? "",
    least: quantityTyped(value?.least),
    most: quantityTyped(value?.most),
    source: value?.source ?? "",
  };
}

/** Something specified as it stands in the form, empty for a new one. */
export function modelOfSpecification(one: Specification | null): SpecificationModel {
  return {
    ...valueModelOf(one ?? { source: "handbook" }),
    group: one?.group ?? "battery",
    name: one?.name ?? "",
    fittedText: one?.fitted?.text ?? "",
    fittedQuantity: quantityTyped(one?.fitted?.quantity),
    isOverridden: (one?.override ?? null) !== null,
    override: valueModelOf(one?.override),
    reason: one?.override?.reason ?? "",
    note: one?.note ?? "",
  };
}

/** What is meant by a quantity of a group typed without a unit. */
export function wantedOf({ group }: SpecificationModel): QuantityWanted {
  return { unit: UNITS[group], ...(ANYTHING === undefined ? {} : { also: ANYTHING }) };
}

/** What is wrong with something specified as it is typed. */
export interface SpecificationProblem {
  readonly field: string;
  readonly code:
    | "name-missing"
    | "nothing-specified"
    | "not-a-quantity"
    | "nothing-overrides"
    | "reason-missing";
}

const isNothing = ({ text, least, most }: ValueModel): boolean =>
  [text, least, most].every(isEmpty);

/** What is still wrong with it, at its fields. */
export function specificationProblems(model: SpecificationModel): readonly SpecificationProblem[] {
  const { override, isOverridden } = model;
  const isQuantity = (text: string): boolean =>
    isEmpty(text) || readQuantity(text, wantedOf(model)).ok;
  const checks: readonly (readonly [string, SpecificationProblem["code"], boolean])[] = [
    ["name", "name-missing", !isEmpty(model.name)],
    ["text", "nothing-specified", !isNothing(model)],
    ["least", "not-a-quantity", isQuantity(model.least)],
    ["most", "not-a-quantity", isQuantity(model.most)],
    ["fittedQuantity", "not-a-quantity", isQuantity(model.fittedQuantity)],
    ["override.text", "nothing-overrides", !isOverridden || !isNothing(override)],
    ["override.least", "not-a-quantity", !isOverridden || isQuantity(override.least)],
    ["override.most", "not-a-quantity", !isOverridden || isQuantity(override.most)],
    ["reason", "reason-missing", !isOverridden || !isEmpty(model.reason)],
  ];
  return checks.filter(([, , isSound]) => !isSound).map(([field, code]) => ({ field, code }));
}

/** The specification of a form that has no problem. */
export function specificationOf(
  model: SpecificationModel,
  before: Specification | null,
  machine: Machine,
): Specification {
  const quantity = (text: string): Quantity | null => {
    const read = readQuantity(text, wantedOf(model));
    return read.ok ? read.value.quantity : null;
  };
  const value = (from: ValueModel): Pick<Specification, "text" | "least" | "most" | "source"> => ({
    text: orNull(from.text),
    least: quantity(from.least),
    most: quantity(from.most),
    source: orNull(from.source),
  });
  const fitted = {
    ...before?.fitted,
    text: orNull(model.fittedText),
    quantity: quantity(model.fittedQuantity),
  };
  const hasFitted = fitted.text !== null || fitted.quantity !== null;
  return {
    ...before,
    id: before?.id ?? (newId() as SpecificationId),
    machine: machine.id,
    group: model.group,
    name: model.name.trim(),
    ...value(model),
    fitted: hasFitted ? fitted : null,
    override: model.isOverridden
      ? { ...before?.override, ...value(model.override), reason: model.reason.trim() }
      : null,
    note: orNull(model.note),
  };
}
