import type { Part } from "@yonderfell/core";
import type { ReactElement } from "react";
import { RecordDialog } from "../../../form/RecordDialog.js";
import { useForm } from "../../../form/useForm.js";
import { NoteField, TextField } from "../../../ui/fields.js";
import { PriceFields } from "./PriceFields.js";
import { modelOfPart, partOf, partProblems } from "./partModel.js";
import { PART_KINDS, PART_LABELS, partProblemWords } from "./storesWords.js";

/** Writes down a part: its numbers, its pack, its prices. */
export function PartForm({
  part,
  onClose,
}: {
  readonly part: Part | null;
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
      </div>
      <PriceFields {...field("prices")} />
      <NoteField {...field("note")} />
    </RecordDialog>
  );
}
