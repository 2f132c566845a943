import {
  SPECIFICATION_GROUPS,
  type Machine,
  type Quantity,
  type Specification,
  type SpecificationGroup,
  type SpecificationId,
  type Unit,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import {
  CheckField,
  choicesOfWords,
  NoteField,
  SelectField,
  TextField,
} from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { RecordDialog } from "../../../ui/RecordDialog.js";
import { fieldsOf, useModel } from "../../../ui/useModel.js";
import { readQuantity, type QuantityWanted } from "../../../ui/readQuantity.js";
import { asTyped } from "../../../words/quantityWords.js";

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

const GROUPS = choicesOfWords(SPECIFICATION_GROUPS);
const SOURCES = ["handbook", "door label", "dealer"];

interface ValueModel {
  readonly text: string;
  readonly least: string;
  readonly most: string;
  readonly source: string;
}

interface SpecificationModel extends ValueModel {
  readonly group: SpecificationGroup;
  readonly name: string;
  readonly fittedText: string;
  readonly fittedQuantity: string;
  readonly isOverridden: boolean;
  readonly override: ValueModel;
  readonly reason: string;
  readonly note: string;
}

const typed = (quantity: Quantity | null | undefined): string =>
  quantity ? asTyped(quantity) : "";

function valueModelOf(
  value: Partial<Pick<Specification, "text" | "least" | "most" | "source">> | null | undefined,
): ValueModel {
  return {
    text: value?.text ?? "",
    least: typed(value?.least),
    most: typed(value?.most),
    source: value?.source ?? "",
  };
}

function modelOf(one: Specification | null): SpecificationModel {
  return {
    ...valueModelOf(one ?? { source: "handbook" }),
    group: one?.group ?? "battery",
    name: one?.name ?? "",
    fittedText: one?.fitted?.text ?? "",
    fittedQuantity: typed(one?.fitted?.quantity),
    isOverridden: (one?.override ?? null) !== null,
    override: valueModelOf(one?.override),
    reason: one?.override?.reason ?? "",
    note: one?.note ?? "",
  };
}

function wantedOf({ group }: SpecificationModel): QuantityWanted {
  return { unit: UNITS[group], ...(ANYTHING === undefined ? {} : { also: ANYTHING }) };
}

function problemOf(model: SpecificationModel): string {
  const { override } = model;
  if (model.name.trim() === "") return "Say what it is, such as battery, capacity.";
  if ([model.text, model.least, model.most].every((text) => text.trim() === ""))
    return "Say what is specified: words, a least or a most.";
  const overriding = model.isOverridden ? [override.least, override.most] : [];
  const wrong = [model.least, model.most, model.fittedQuantity, ...overriding].find(
    (text) => text.trim() !== "" && !readQuantity(text, wantedOf(model)).ok,
  );
  if (wrong !== undefined) return `“${wrong}” is not a quantity; mend it or leave it empty.`;
  if (!model.isOverridden) return "";
  if ([override.text, override.least, override.most].every((text) => text.trim() === ""))
    return "Say what overrides the handbook.";
  return model.reason.trim() === "" ? "Say why it overrides the handbook." : "";
}

const orNothing = (text: string): string | null => (text.trim() === "" ? null : text.trim());

function specificationOf(
  model: SpecificationModel,
  before: Specification | null,
  machine: Machine,
): Specification {
  const quantity = (text: string): Quantity | null => {
    const read = readQuantity(text, wantedOf(model));
    return read.ok ? read.value.quantity : null;
  };
  const value = (from: ValueModel): Pick<Specification, "text" | "least" | "most" | "source"> => ({
    text: orNothing(from.text),
    least: quantity(from.least),
    most: quantity(from.most),
    source: orNothing(from.source),
  });
  const fitted = {
    ...before?.fitted,
    text: orNothing(model.fittedText),
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
    note: orNothing(model.note),
  };
}

/** Writes down what a machine should have and what it has. */
export function SpecificationForm({
  specification,
  machine,
  onClose,
}: {
  readonly specification: Specification | null;
  readonly machine: Machine;
  readonly onClose: () => void;
}): ReactElement {
  const { model, set, field } = useModel(() => modelOf(specification));
  const wanted = wantedOf(model);
  return (
    <RecordDialog
      noun="specification"
      name={specification?.name ?? null}
      section="specifications"
      before={specification}
      problem={problemOf(model)}
      after={() => specificationOf(model, specification, machine)}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField label="What" autoFocus {...field("name")} />
        <SelectField label="Group" choices={GROUPS} {...field("group")} />
      </div>
      <ValueFields legend="Specified" wanted={wanted} model={model} onChange={set} />
      <fieldset>
        <legend className="font-semibold">Fitted now</legend>
        <div className="grid gap-x-5 sm:grid-cols-2">
          <TextField label="In words: size, type or number" isMono {...field("fittedText")} />
          <QuantityField label="As a quantity" wanted={wanted} {...field("fittedQuantity")} />
        </div>
      </fieldset>
      <CheckField label="Another part's maker sets something else" {...field("isOverridden")} />
      {model.isOverridden && (
        <>
          <ValueFields
            legend="Instead of the handbook"
            wanted={wanted}
            model={model.override}
            onChange={(patch) => set({ override: { ...model.override, ...patch } })}
          />
          <TextField label="Why" {...field("reason")} />
        </>
      )}
      <NoteField label="Note" {...field("note")} />
    </RecordDialog>
  );
}

function ValueFields({
  legend,
  model,
  wanted,
  onChange,
}: {
  readonly legend: string;
  readonly model: ValueModel;
  readonly wanted: QuantityWanted;
  readonly onChange: (patch: Partial<ValueModel>) => void;
}): ReactElement {
  const field = fieldsOf(model, onChange);
  return (
    <fieldset>
      <legend className="font-semibold">{legend}</legend>
      <div className="grid gap-x-5 sm:grid-cols-2">
        <TextField label="In words, alternatives apart by “ / ”" isMono {...field("text")} />
        <TextField label="Source" offered={SOURCES} {...field("source")} />
        <QuantityField label="At least" wanted={wanted} {...field("least")} />
        <QuantityField label="At most" wanted={wanted} {...field("most")} />
      </div>
    </fieldset>
  );
}
