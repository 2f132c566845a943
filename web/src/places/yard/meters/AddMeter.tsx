import { addMeter, type Machine, type Meter } from "@yonderfell/core";
import { Plus } from "lucide-react";
import { useState, type FormEvent, type ReactElement } from "react";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { SelectField, TextField } from "../../../ui/fields.js";
import { useModel } from "../../../ui/useModel.js";
import { useMeterCommand } from "./useMeterCommand.js";

const UNITS: readonly (readonly [Meter["unit"], string])[] = [
  ["km", "kilometres"],
  ["mi", "miles"],
  ["h", "hours"],
];
const NAMES = ["odometer", "engine hours", "pump hours", "power take-off hours"];

interface NewMeterFields {
  readonly name: string;
  readonly unit: Meter["unit"];
}

/** Adds a meter to a machine. */
export function AddMeter({ machine }: { readonly machine: Machine }): ReactElement {
  const [isOpen, setIsOpen] = useState(false);
  const { model, field } = useModel<NewMeterFields>(() => ({ name: "", unit: "h" }));
  const { problem, run } = useMeterCommand(machine.id);
  const save = (event: FormEvent): void => {
    event.preventDefault();
    run(
      (book, context) => addMeter(book, model, context),
      "The meter is there; read it next.",
      () => setIsOpen(false),
    );
  };
  if (!isOpen) {
    return (
      <button type="button" className={QUIET_BUTTON} onClick={() => setIsOpen(true)}>
        <Plus size={18} aria-hidden="true" />
        Add a meter
      </button>
    );
  }
  return (
    <form onSubmit={save} className="max-w-[44rem] border-l-4 border-hairline bg-raised px-4 py-3">
      <div className="grid items-end gap-x-6 gap-y-2 sm:grid-cols-[2fr_1fr_auto]">
        <TextField label="Called" offered={NAMES} autoFocus {...field("name")} />
        <SelectField label="Counts" choices={UNITS} {...field("unit")} />
        <button type="submit" className={PRIMARY_BUTTON}>
          Add the meter
        </button>
      </div>
      <p role="alert" className="font-semibold text-due">
        {problem}
      </p>
    </form>
  );
}
