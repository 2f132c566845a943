import {
  POINT_PURPOSES,
  type Fluid,
  type FluidId,
  type Machine,
  type Picture,
  type PointPurpose,
  type ServicePoint,
  type ServicePointId,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import { choicesOfWords, NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { RecordDialog } from "../../../ui/RecordDialog.js";
import { useModel } from "../../../ui/useModel.js";
import { readQuantity, type QuantityWanted } from "../../../ui/readQuantity.js";
import { asTyped } from "../../../words/quantityWords.js";
import { PicturesField } from "../pictures/PicturesField.js";

type TorqueUseName = NonNullable<ServicePoint["torqueUse"]>;

const TORQUE: QuantityWanted = { unit: "Nm" };
const PURPOSES = choicesOfWords(POINT_PURPOSES);
const USES: readonly (readonly [TorqueUseName | "", string])[] = [
  ["", "something else"],
  ["plug", "drain or fill plug"],
  ["spark-plug", "spark plug"],
  ["cover-screw", "cover or pan screw"],
  ["wheel", "wheel fastener of a car"],
];

interface PointModel {
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

function modelOf(point: ServicePoint | null): PointModel {
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

function problemOf(model: PointModel): string {
  if (model.name.trim() === "") return "Say what the point is called, such as sump plug.";
  if (!/^[1-9]\d{0,3}$/.test(model.count.trim()))
    return "How many there are must be a whole number from 1 on.";
  const isTorque = model.torque.trim() === "" || readQuantity(model.torque, TORQUE).ok;
  return isTorque ? "" : `“${model.torque}” is not a torque; mend it or leave it empty.`;
}

const orNothing = (text: string): string | null => (text.trim() === "" ? null : text.trim());

function pointOf(model: PointModel, before: ServicePoint | null, machine: Machine): ServicePoint {
  const torque = readQuantity(model.torque, TORQUE);
  return {
    ...before,
    id: before?.id ?? (newId() as ServicePointId),
    machine: machine.id,
    purpose: model.purpose,
    name: model.name.trim(),
    fluid: model.fluid === "" ? null : (model.fluid as FluidId),
    where: orNothing(model.where),
    count: Number(model.count),
    tool: orNothing(model.tool),
    torque: torque.ok ? torque.value.quantity : null,
    torqueUse: model.torqueUse === "" ? null : model.torqueUse,
    seal: orNothing(model.seal),
    note: orNothing(model.note),
    pictures: [...model.pictures],
  };
}

/** Writes down a service point. */
export function PointForm({
  point,
  machine,
  fluids,
  onClose,
}: {
  readonly point: ServicePoint | null;
  readonly machine: Machine;
  readonly fluids: readonly Fluid[];
  readonly onClose: () => void;
}): ReactElement {
  const { model, field } = useModel(() => modelOf(point));
  const systems = fluids.map((one) => [one.id as string, one.system] as const);
  const torqueUse = model.torqueUse === "" ? null : { code: model.torqueUse };
  return (
    <RecordDialog
      noun="service point"
      name={point?.name ?? null}
      section="servicePoints"
      before={point}
      problem={problemOf(model)}
      after={() => pointOf(model, point, machine)}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField label="Name" autoFocus {...field("name")} />
        <SelectField label="What is done there" choices={PURPOSES} {...field("purpose")} />
        <SelectField label="Fluid" choices={[["", "none"], ...systems]} {...field("fluid")} />
        <TextField label="How many there are" isMono {...field("count")} />
        <TextField label="Where, and how one gets at it" {...field("where")} />
        <TextField label="Tool and size" {...field("tool")} />
        <QuantityField label="Torque" wanted={TORQUE} torqueUse={torqueUse} {...field("torque")} />
        <SelectField label="What is tightened" choices={USES} {...field("torqueUse")} />
        <TextField label="Seal to renew" {...field("seal")} />
      </div>
      <NoteField label="Note" {...field("note")} />
      <PicturesField {...field("pictures")} />
    </RecordDialog>
  );
}
