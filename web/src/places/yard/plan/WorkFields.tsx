import { CAPACITY_CONDITIONS, OUTSIDE_REASONS, type Fluid, type Task } from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import { choicesOrNone, NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { NEEDS_NOTE } from "../../../words/taskWords.js";
import type { FormInHand } from "../../../form/useForm.js";
import { RowsField } from "../../../form/RowsField.js";
import type { TaskModel } from "./taskModel.js";
import { Terms } from "../../../ui/Term.js";

const OUTSIDE = choicesOrNone(OUTSIDE_REASONS, "no, it is done here");
const CONDITIONS = choicesOrNone(CAPACITY_CONDITIONS, "the working capacity");

/** What the work takes: access, minutes, fluids, and whether it is for others. */
export function WorkFields({
  form,
  fluids,
  others,
}: {
  readonly form: FormInHand<TaskModel, Task | null>;
  readonly fluids: readonly Fluid[];
  readonly others: readonly Task[];
}): ReactElement {
  const { model, field } = form;
  const systems = [
    ["", "choose a fluid"] as const,
    ...fluids.map((fluid) => [fluid.id as string, fluid.system] as const),
  ];
  const known = (key: "access" | "ladder"): string[] => [
    ...new Set(others.flatMap((task) => task[key] ?? [])),
  ];
  return (
    <section aria-labelledby="work" className="space-y-3">
      <h2 id="work" className="text-large font-bold">
        The work
      </h2>
      <NoteField {...field("note")} />
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField isMono {...field("minutes")} />
        <TextField note={NEEDS_NOTE} {...field("needs")} />
        <TextField offered={known("access")} {...field("access")} />
        <TextField offered={known("ladder")} {...field("ladder")} />
      </div>
      <Terms words={["ladder"]} />
      <h3 className="font-semibold">Fluids it uses</h3>
      <RowsField
        {...field("uses")}
        keyOf={(row) => row.key}
        noun="fluid"
        empty={() => ({ key: newId(), fluid: "", condition: "", quantity: "" })}
      >
        {(_row, rowField) => (
          <div className="grid gap-x-4 sm:grid-cols-3">
            <SelectField label="Fluid" choices={systems} {...rowField("fluid")} />
            <SelectField label="How much" choices={CONDITIONS} {...rowField("condition")} />
            <QuantityField
              label="Or this much"
              wanted={{ unit: "L", also: ["mass"] }}
              {...rowField("quantity")}
            />
          </div>
        )}
      </RowsField>
      <div className="grid gap-x-5 sm:grid-cols-[14rem_1fr]">
        <SelectField choices={OUTSIDE} {...field("outside")} />
        {model.outside !== "" && <TextField {...field("tell")} />}
      </div>
    </section>
  );
}
