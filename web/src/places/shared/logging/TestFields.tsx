import type { BoardMachine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { SelectField, TextField } from "../../../ui/fields.js";
import { fieldsOf } from "../../../ui/field.js";
import { meterName } from "../../../words/limitWords.js";
import type { FormTest } from "./logModel.js";

/** When to look again at a task that was tested sound, and what was found. */
export function TestFields({
  test,
  name,
  machine,
  onChange,
  onDrop,
}: {
  readonly test: FormTest;
  readonly name: string;
  readonly machine: BoardMachine;
  readonly onChange: (test: FormTest) => void;
  readonly onDrop: () => void;
}): ReactElement {
  const field = fieldsOf(test, (patch) => onChange({ ...test, ...patch }));
  const units = [
    ["months", "months"],
    ["days", "days"],
    ...machine.meters.map((one) => [one.meter.id, `${one.meter.unit} of the ${meterName(one)}`]),
  ] as [string, string][];
  return (
    <div
      role="group"
      aria-label={`Tested sound: ${name}`}
      className="grid gap-x-4 pb-3 pl-11 sm:grid-cols-[7rem_11rem_1fr_auto]"
    >
      <TextField label="Look again after" isMono {...field("amount")} />
      <SelectField label="Counted in" choices={units} {...field("unit")} />
      <TextField label="What was found" {...field("found")} />
      <button
        type="button"
        className="min-h-10 self-end text-fine text-clear hover:underline max-sm:min-h-12"
        onClick={onDrop}
      >
        Not tested
      </button>
    </div>
  );
}
