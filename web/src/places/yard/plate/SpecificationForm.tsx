import { SPECIFICATION_GROUPS, type Machine, type Specification } from "@yonderfell/core";
import type { ReactElement } from "react";
import { RecordDialog } from "../../../form/RecordDialog.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { fieldsOf, type FieldsOf } from "../../../ui/field.js";
import {
  CheckField,
  choicesOfWords,
  NoteField,
  SelectField,
  TextField,
} from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import type { QuantityWanted } from "../../../ui/readQuantity.js";
import { SPECIFICATION_LABELS, specificationProblemWords } from "./plateFormWords.js";
import {
  modelOfSpecification,
  specificationOf,
  specificationProblems,
  wantedOf,
  type SpecificationModel,
  type ValueModel,
} from "./specificationModel.js";

const GROUPS = choicesOfWords(SPECIFICATION_GROUPS);
const SOURCES = ["handbook", "door label", "dealer"];

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
  const form = useForm({
    form: "specification",
    of: specification?.id ?? `new ${machine.id}`,
    source: specification,
    modelOf: modelOfSpecification,
    labels: SPECIFICATION_LABELS,
    problemsOf: specificationProblems,
    problemWords: specificationProblemWords,
  });
  const { model, field } = form;
  const override = field("override");
  const wanted = wantedOf(model);
  return (
    <RecordDialog
      noun="specification"
      name={specification?.name ?? null}
      section="specifications"
      form={form}
      recordOf={(typed, before) => specificationOf(typed, before, machine)}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField autoFocus {...field("name")} />
        <SelectField choices={GROUPS} {...field("group")} />
      </div>
      <ValueFields legend="Specified" wanted={wanted} field={field} />
      <FittedFields wanted={wanted} field={field} />
      <CheckField {...field("isOverridden")} />
      {model.isOverridden && (
        <>
          <ValueFields
            legend={override.label}
            wanted={wanted}
            field={fieldsOf(
              override.value,
              (patch) => override.onChange({ ...override.value, ...patch }),
              override.problemAt,
            )}
          />
          <TextField {...field("reason")} />
        </>
      )}
      <NoteField {...field("note")} />
    </RecordDialog>
  );
}

function FittedFields({
  wanted,
  field,
}: Pick<FormInHand<SpecificationModel, Specification | null>, "field"> & {
  readonly wanted: QuantityWanted;
}): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">Fitted now</legend>
      <div className="grid gap-x-5 sm:grid-cols-2">
        <TextField isMono {...field("fittedText")} />
        <QuantityField wanted={wanted} {...field("fittedQuantity")} />
      </div>
    </fieldset>
  );
}

function ValueFields({
  legend,
  wanted,
  field,
}: {
  readonly legend: string;
  readonly wanted: QuantityWanted;
  readonly field: FieldsOf<ValueModel>;
}): ReactElement {
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
