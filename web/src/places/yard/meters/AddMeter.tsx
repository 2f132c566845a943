import { addMeter, type Machine, type Meter } from "@yonderfell/core";
import { Plus } from "lucide-react";
import { useState, type ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm } from "../../../form/useForm.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { SelectField, TextField } from "../../../ui/fields.js";
import { NEW_METER_LABELS, newMeterProblemWords } from "./meterFormWords.js";
import { modelOfNewMeter, newMeterProblems } from "./newMeterModel.js";
import { useMeterCommand } from "./useMeterCommand.js";

const UNITS: readonly (readonly [Meter["unit"], string])[] = [
  ["km", "kilometres"],
  ["mi", "miles"],
  ["h", "hours"],
];
const NAMES = ["odometer", "engine hours", "pump hours", "power take-off hours"];

/** Adds a meter to a machine. */
export function AddMeter({ machine }: { readonly machine: Machine }): ReactElement {
  const [isOpen, setIsOpen] = useState(false);
  if (isOpen) return <NewMeter machine={machine} onSaved={() => setIsOpen(false)} />;
  return (
    <button type="button" className={QUIET_BUTTON} onClick={() => setIsOpen(true)}>
      <Plus size={18} aria-hidden="true" />
      Add a meter
    </button>
  );
}

function NewMeter({
  machine,
  onSaved,
}: {
  readonly machine: Machine;
  readonly onSaved: () => void;
}): ReactElement {
  const form = useForm({
    form: "addMeter",
    of: machine.id,
    source: null,
    modelOf: modelOfNewMeter,
    labels: NEW_METER_LABELS,
    problemsOf: (model) => newMeterProblems(model, machine.meters ?? []),
    problemWords: newMeterProblemWords,
  });
  const { problem, run } = useMeterCommand(machine.id);
  const { field } = form;
  return (
    <FormBody
      form={form}
      onSave={(model) =>
        run(
          (book, context) => addMeter(book, { ...model, name: model.name.trim() }, context),
          "The meter is there; read it next.",
          onSaved,
        )
      }
      failure={problem}
      className="max-w-[44rem] space-y-2 border-l-4 border-hairline bg-raised px-4 py-3"
      foot={
        <button type="submit" className={PRIMARY_BUTTON}>
          Add the meter
        </button>
      }
    >
      <div className="grid items-start gap-x-6 gap-y-2 sm:grid-cols-[2fr_1fr]">
        <TextField offered={NAMES} autoFocus {...field("name")} />
        <SelectField choices={UNITS} {...field("unit")} />
      </div>
    </FormBody>
  );
}
