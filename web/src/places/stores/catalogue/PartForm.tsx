import type { Part } from "@yonderfell/core";
import type { ReactElement } from "react";
import { RowsField } from "../../../form/RowsField.js";
import { RecordDialog } from "../../../form/RecordDialog.js";
import { useForm } from "../../../form/useForm.js";
import type { Field } from "../../../ui/field.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { PriceFields } from "./PriceFields.js";
import { modelOfPart, partOf, partProblems, type InsideRow } from "./partModel.js";
import { PART_KINDS, PART_LABELS, partProblemWords } from "./storesWords.js";

/** Writes down a part: its numbers, its pack, its prices. */
export function PartForm({
  part,
  parts,
  onClose,
}: {
  readonly part: Part | null;
  /** All there are, of which a kit may be made up. */
  readonly parts: readonly Part[];
  readonly onClose: () => void;
}): ReactElement {
  const form = useForm({
    form: "part",
    of: part?.id ?? "new",
    source: part,
    modelOf: modelOfPart,
    labels: PART_LABELS,
    problemsOf: partProblems,
    problemWords: partProblemWords,
  });
  const { field } = form;
  const inside = parts
    .filter(({ id }) => id !== part?.id)
    .map(({ id, number, name }) => [id as string, `${number} ${name}`] as const);
  return (
    <RecordDialog
      noun="part"
      name={part?.name ?? null}
      section="parts"
      form={form}
      recordOf={partOf}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField autoFocus {...field("name")} />
        <TextField offered={PART_KINDS} {...field("kind")} />
        <TextField isMono {...field("number")} />
        <TextField isMono {...field("supersededBy")} />
        <TextField isMono {...field("equivalents")} />
        <TextField isMono {...field("pack")} />
        <TextField isMono {...field("least")} />
      </div>
      <Inside {...field("contains")} inside={inside} />
      <PriceFields {...field("prices")} />
      <NoteField {...field("note")} />
    </RecordDialog>
  );
}

/** What a kit is made up of. */
function Inside({
  inside,
  ...field
}: Field<readonly InsideRow[]> & {
  readonly inside: readonly (readonly [string, string])[];
}): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">What is in it, where it is a kit</legend>
      <RowsField
        {...field}
        noun="part of the kit"
        empty={(): InsideRow => ({ part: "", count: "1" })}
      >
        {(_row, rowField) => (
          <div className="grid gap-x-5 sm:grid-cols-[1fr_7rem]">
            <SelectField
              label="Part"
              choices={[["", "choose a part"] as const, ...inside]}
              {...rowField("part")}
            />
            <TextField label="How many" isMono {...rowField("count")} />
          </div>
        )}
      </RowsField>
    </fieldset>
  );
}
