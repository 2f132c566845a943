import type { Fitment, FitmentId, Machine, Part, PartId, Task, TaskId } from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import { CheckField, NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { RecordDialog } from "../../../ui/RecordDialog.js";
import { useModel, type Field } from "../../../ui/useModel.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

type Side = NonNullable<Fitment["side"]>;

const SIDES: readonly (readonly [Side | "", string])[] = [
  ["", "no side"],
  ["left", "left"],
  ["right", "right"],
];

interface FitmentModel {
  readonly part: string;
  readonly position: string;
  readonly side: Side | "";
  readonly perService: string;
  readonly tasks: readonly string[];
  readonly note: string;
}

function modelOf(fitment: Fitment | null): FitmentModel {
  return {
    part: fitment?.part ?? "",
    position: fitment?.position ?? "",
    side: fitment?.side ?? "",
    perService: typedFigure(fitment?.perService ?? 1),
    tasks: fitment?.tasks ?? [],
    note: fitment?.note ?? "",
  };
}

function problemOf(model: FitmentModel): string {
  if (model.part === "") return "Choose the part; a new one is written down in Stores first.";
  return (typedNumber(model.perService) ?? 0) > 0
    ? ""
    : "How many a service takes must be above 0.";
}

const orNull = (text: string): string | null => (text.trim() === "" ? null : text.trim());

function fitmentOf(model: FitmentModel, before: Fitment | null, machine: Machine): Fitment {
  return {
    ...before,
    id: before?.id ?? (newId() as FitmentId),
    machine: machine.id,
    part: model.part as PartId,
    position: orNull(model.position),
    side: model.side === "" ? null : model.side,
    perService: typedNumber(model.perService) ?? 1,
    tasks: [...model.tasks] as TaskId[],
    note: orNull(model.note),
  };
}

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
  const { model, field } = useModel(() => modelOf(fitment));
  const choices = parts.map((part) => [part.id as string, `${part.name}, ${part.number}`] as const);
  return (
    <RecordDialog
      noun="part it takes"
      name={parts.find((part) => part.id === fitment?.part)?.name ?? null}
      section="fitments"
      before={fitment}
      problem={problemOf(model)}
      after={() => fitmentOf(model, fitment, machine)}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <SelectField label="Part" choices={[["", "choose"], ...choices]} {...field("part")} />
        <TextField label="How many a service" isMono {...field("perService")} />
        <TextField label="Where" {...field("position")} />
        <SelectField label="Side" choices={SIDES} {...field("side")} />
      </div>
      <NeededFor tasks={tasks} {...field("tasks")} />
      <NoteField label="Note" {...field("note")} />
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
