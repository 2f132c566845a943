import type { Fitment, Machine, Part, Task } from "@yonderfell/core";
import type { ReactElement } from "react";
import { valueWords } from "../../../form/MineAndTheirs.js";
import { RecordDialog } from "../../../form/RecordDialog.js";
import { useForm } from "../../../form/useForm.js";
import type { Field } from "../../../ui/field.js";
import { CheckField, NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { fitmentOf, fitmentProblems, modelOfFitment } from "./fitmentModel.js";
import { FITMENT_LABELS, fitmentProblemWords, SIDES } from "./fitmentWords.js";

/** Writes down which part a machine takes where, and for which tasks. */
export function FitmentForm({
  fitment,
  machine,
  parts,
  tasks,
  onClose,
}: {
  readonly fitment: Fitment | null;
  readonly machine: Machine;
  readonly parts: readonly Part[];
  readonly tasks: readonly Task[];
  readonly onClose: () => void;
}): ReactElement {
  const form = useForm({
    form: "fitment",
    of: fitment?.id ?? `new ${machine.id}`,
    source: fitment,
    modelOf: modelOfFitment,
    labels: FITMENT_LABELS,
    problemsOf: fitmentProblems,
    problemWords: fitmentProblemWords,
  });
  const { field } = form;
  const choices = parts.map((part) => [part.id as string, `${part.name}, ${part.number}`] as const);
  return (
    <RecordDialog
      noun="part it takes"
      name={parts.find((part) => part.id === fitment?.part)?.name ?? null}
      section="fitments"
      form={form}
      recordOf={(model, before) => fitmentOf(model, before, machine)}
      said={{
        part: (id: string) => parts.find((one) => one.id === id)?.name ?? "nothing",
        tasks: (ids: readonly string[]) =>
          valueWords(ids.map((id) => tasks.find((one) => one.id === id)?.name ?? id)),
      }}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <SelectField choices={[["", "choose"], ...choices]} {...field("part")} />
        <TextField isMono {...field("perService")} />
        <TextField {...field("position")} />
        <SelectField choices={SIDES} {...field("side")} />
      </div>
      <NeededFor tasks={tasks} {...field("tasks")} />
      <NoteField {...field("note")} />
    </RecordDialog>
  );
}

function NeededFor({
  tasks,
  value,
  onChange,
}: Field<readonly string[]> & { readonly tasks: readonly Task[] }): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">Needed for</legend>
      <div className="grid gap-x-5 sm:grid-cols-2">
        {tasks.map(({ id, name }) => (
          <CheckField
            key={id}
            label={name}
            value={value.includes(id)}
            onChange={(isOn) => onChange(isOn ? [...value, id] : value.filter((one) => one !== id))}
          />
        ))}
      </div>
      {tasks.length === 0 && <p className="text-quiet">It has no tasks yet.</p>}
    </fieldset>
  );
}
