import type {
  FluidId,
  Machine,
  Picture,
  PointPurpose,
  ServicePoint,
  ServicePointId,
} from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { isEmpty, orNull } from "../../../form/typed.js";
import { readQuantity, type QuantityWanted } from "../../../ui/readQuantity.js";
import { asTyped } from "../../../words/quantityWords.js";

/** What a torque is for. */
export type TorqueUseName = NonNullable<ServicePoint["torqueUse"]>;

/** What is meant by a torque typed without a unit. */
export const TORQUE: QuantityWanted = { unit: "Nm" };

/** A service point as it stands in the form. */
export interface PointModel {
  readonly purpose: PointPurpose;
  readonly name: string;
  readonly fluid: string;
  readonly where: string;
  readonly count: string;
  readonly tool: string;
  readonly torque: string;
  readonly torqueUse: TorqueUseName | "";
  readonly seal: string;
  readonly note: string;
  readonly pictures: readonly Picture[];
}

/** A service point as it stands in the form, empty for a new one. */
export function modelOfPoint(point: ServicePoint | null): PointModel {
  return {
    purpose: point?.purpose ?? "drain",
    name: point?.name ?? "",
    fluid: point?.fluid ?? "",
    where: point?.where ?? "",
    count: String(point?.count ?? 1),
    tool: point?.tool ?? "",
    torque: point?.torque ? asTyped(point.torque) : "",
    torqueUse: point?.torqueUse ?? (point === null ? "plug" : ""),
    seal: point?.seal ?? "",
    note: point?.note ?? "",
    pictures: point?.pictures ?? [],
  };
}

/** What is wrong with a service point as it is typed. */
export interface PointProblem {
  readonly field: keyof PointModel;
  readonly code: "name-missing" | "count-not-whole" | "not-a-torque";
}

/** What is still wrong with it, at its fields. */
export function pointProblems(model: PointModel): readonly PointProblem[] {
  const isTorque = isEmpty(model.torque) || readQuantity(model.torque, TORQUE).ok;
  const checks: readonly (readonly [PointProblem["field"], PointProblem["code"], boolean])[] = [
    ["name", "name-missing", !isEmpty(model.name)],
    ["count", "count-not-whole", /^[1-9]\d{0,3}$/.test(model.count.trim())],
    ["torque", "not-a-torque", isTorque],
  ];
  return checks.filter(([, , isSound]) => !isSound).map(([field, code]) => ({ field, code }));
}

/** The service point of a form that has no problem. */
export function pointOf(
  model: PointModel,
  before: ServicePoint | null,
  machine: Machine,
): ServicePoint {
  const torque = readQuantity(model.torque, TORQUE);
  return {
    ...before,
    id: before?.id ?? (newId() as ServicePointId),
    machine: machine.id,
    purpose: model.purpose,
    name: model.name.trim(),
    fluid: model.fluid === "" ? null : (model.fluid as FluidId),
    where: orNull(model.where),
    count: Number(model.count),
    tool: orNull(model.tool),
    torque: torque.ok ? torque.value.quantity : null,
    torqueUse: model.torqueUse === "" ? null : model.torqueUse,
    seal: orNull(model.seal),
    note: orNull(model.note),
    pictures: [...model.pictures],
  };
}
