import type { Machine, MachineBook, Reminder, Task, TaskId } from "@yonderfell/core";
import { useState, type FormEvent, type ReactElement } from "react";
import { useKeep } from "../../../app/useKeep.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { CheckField, TextField } from "../../../ui/fields.js";
import { useModel, type Field } from "../../../ui/useModel.js";

/** Writes down a code of the machine: what its display says, which tasks it asks for, how it is reset. */
export function ReminderForm({
  reminder,
  book,
  onClose,
}: {
  readonly reminder: Reminder | null;
  readonly book: MachineBook;
  readonly onClose: () => void;
}): ReactElement {
  const [machine] = book.machines;
  const { model, field } = useModel(() => ({
    code: reminder?.code ?? "",
    says: reminder?.says ?? "",
    reset: reminder?.reset ?? "",
    tasks: [...(reminder?.tasks ?? [])],
  }));
  const { keep, failure } = useKeep();
  const [problem, setProblem] = useState("");
  const others = (machine.reminders ?? []).filter((one) => one.code !== reminder?.code);
  const store = async (reminders: Reminder[]): Promise<void> => {
    const after: Machine = { ...machine, reminders };
    if (await keep("machines", machine, after)) onClose();
  };
  const save = (event: FormEvent): void => {
    event.preventDefault();
    const code = model.code.trim();
    if (code === "") return setProblem("Give the code as the display shows it.");
    if (others.some((one) => one.code === code)) return setProblem("This code is there already.");
    const { says, reset, tasks } = model;
    const one = { ...reminder, code, says, reset, tasks: [...tasks] };
    void store([...others, one]);
  };
  const title = reminder === null ? "Add a code" : `Code ${reminder.code}`;
  return (
    <DialogFrame title={title} onClose={onClose}>
      <form onSubmit={save} noValidate className="space-y-4 pt-1 pb-3">
        <TextField label="Code" isMono autoFocus {...field("code")} />
        <TextField label="What the display says" {...field("says")} />
        <Asked tasks={book.tasks} {...field("tasks")} />
        <TextField label="How it is reset: the keys, in their order" {...field("reset")} />
        <p role="alert" className="font-semibold text-due">
          {problem === "" ? failure : problem}
        </p>
        <div className="flex flex-wrap gap-3">
          <button type="submit" className={PRIMARY_BUTTON}>
            Save
          </button>
          {reminder !== null && (
            <button type="button" className={QUIET_BUTTON} onClick={() => void store(others)}>
              Take it out
            </button>
          )}
        </div>
      </form>
    </DialogFrame>
  );
}

function Asked({
  tasks,
  value,
  onChange,
}: Field<TaskId[]> & { readonly tasks: readonly Task[] }): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">It asks for</legend>
      {tasks.map((task) => (
        <CheckField
          key={task.id}
          label={task.name}
          value={value.includes(task.id)}
          onChange={(isAsked) =>
            onChange(isAsked ? [...value, task.id] : value.filter((id) => id !== task.id))
          }
        />
      ))}
    </fieldset>
  );
}
