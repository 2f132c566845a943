import { POINT_PURPOSES, type Fluid, type Machine, type ServicePoint } from "@yonderfell/core";
import type { ReactElement } from "react";
import { RecordDialog } from "../../../form/RecordDialog.js";
import { useForm } from "../../../form/useForm.js";
import { choicesOfWords, NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { counted } from "../../../words/format.js";
import { PicturesField } from "../../shared/pictures/PicturesField.js";
import { POINT_LABELS, pointProblemWords } from "./plateFormWords.js";
import { modelOfPoint, pointOf, pointProblems, TORQUE, type TorqueUseName } from "./pointModel.js";

const PURPOSES = choicesOfWords(POINT_PURPOSES);
const USES: readonly (readonly [TorqueUseName | "", string])[] = [
  ["", "something else"],
  ["plug", "drain or fill plug"],
  ["spark-plug", "spark plug"],
  ["cover-screw", "cover or pan screw"],
  ["wheel", "wheel fastener of a car"],
];

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
  const form = useForm({
    form: "servicePoint",
    of: point?.id ?? `new ${machine.id}`,
    source: point,
    modelOf: modelOfPoint,
    labels: POINT_LABELS,
    problemsOf: pointProblems,
    problemWords: pointProblemWords,
  });
  const { model, field } = form;
  const systems = fluids.map((one) => [one.id as string, one.system] as const);
  const torqueUse = model.torqueUse === "" ? null : { code: model.torqueUse };
  return (
    <RecordDialog
      noun="service point"
      name={point?.name ?? null}
      section="servicePoints"
      form={form}
      recordOf={(typed, before) => pointOf(typed, before, machine)}
      said={{
        fluid: (id: string) => fluids.find((one) => one.id === id)?.system ?? "none",
        torqueUse: (use: string) => USES.find(([one]) => one === use)?.[1] ?? use,
        pictures: (pictures: readonly unknown[]) => counted(pictures.length, "picture"),
      }}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField autoFocus {...field("name")} />
        <SelectField choices={PURPOSES} {...field("purpose")} />
        <SelectField choices={[["", "none"], ...systems]} {...field("fluid")} />
        <TextField isMono {...field("count")} />
        <TextField {...field("where")} />
        <TextField {...field("tool")} />
        <QuantityField wanted={TORQUE} torqueUse={torqueUse} {...field("torque")} />
        <SelectField choices={USES} {...field("torqueUse")} />
        <TextField {...field("seal")} />
      </div>
      <NoteField {...field("note")} />
      <PicturesField {...field("pictures")} />
    </RecordDialog>
  );
}
