import type { Machine, MachineBook, Reminder, Task, TaskId } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useKeep } from "../../../session/useKeep.js";
import { FormBody } from "../../../form/FormBody.js";
import { valueWords } from "../../../form/MineAndTheirs.js";
import { useForm, type FormField } from "../../../form/useForm.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { CheckField, TextField } from "../../../ui/fields.js";
import { modelOfReminder, reminderOf, reminderProblems } from "./reminderModel.js";
import { REMINDER_LABELS, reminderProblemWords } from "./reminderWords.js";

/** Writes down a code of the machine: what its display says, which tasks it asks for, how it is reset. */
export function ReminderForm({
  code,
  book,
  onClose,
}: {
  /** The code that is changed; null for a new one. */
  readonly code: string | null;
  readonly book: MachineBook;
  readonly onClose: () => void;
}): ReactElement {
  const [machine] = book.machines;
  const found = (machine.reminders ?? []).find((one) => one.code === code) ?? null;
  const [opened] = useState(found);
  const others = (machine.reminders ?? []).filter((one) => one.code !== code);
  const form = useForm({
    form: "reminder",
    of: `${machine.id} ${code ?? ""}`,
    // One that was taken out elsewhere stays in hand.
    source: found ?? opened,
    modelOf: modelOfReminder,
    labels: REMINDER_LABELS,
    problemsOf: (model) => reminderProblems(model, others),
    problemWords: reminderProblemWords,
  });
  const { field } = form;
  const { keep, failure } = useKeep();
  const store = async (reminders: readonly Reminder[]): Promise<boolean> => {
    const after: Machine = { ...machine, reminders: [...reminders] };
    const isSaved = await keep("machines", machine, after);
    if (isSaved) onClose();
    return isSaved;
  };
  const nameOf = (id: string): string => book.tasks.find((one) => one.id === id)?.name ?? id;
  return (
    <DialogFrame title={code === null ? "Add a code" : `Code ${code}`} onClose={onClose}>
      <FormBody
        form={form}
        onSave={(model, before) => store([...others, reminderOf(model, before)])}
        failure={failure}
        said={{ tasks: (ids: readonly string[]) => valueWords(ids.map(nameOf)) }}
        className="space-y-4 pt-1 pb-3"
        foot={
          <div className="flex flex-wrap gap-3">
            <button type="submit" className={PRIMARY_BUTTON}>
              Save
            </button>
            {code !== null && (
              <button type="button" className={QUIET_BUTTON} onClick={() => void store(others)}>
                Take it out
              </button>
            )}
          </div>
        }
      >
        <TextField isMono autoFocus {...field("code")} />
        <TextField {...field("says")} />
        <Asked all={book.tasks} {...field("tasks")} />
        <TextField {...field("reset")} />
      </FormBody>
    </DialogFrame>
  );
}

function Asked({
  all,
  label,
  value,
  onChange,
}: FormField<readonly TaskId[]> & { readonly all: readonly Task[] }): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">{label}</legend>
      {all.map((task) => (
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
