import type { ContainerStanding, WasteMove } from "@yonderfell/core";
import type { ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { useWaste } from "./useWaste.js";
import {
  newWaste,
  WASTE_LABELS,
  WASTE_UNITS,
  wasteOf,
  wasteProblems,
  wasteProblemWords,
} from "./wasteModel.js";
import { KIND_CAUTIONS, wasteAmount } from "./wasteWords.js";

/** Writes down that a container was filled otherwise than by a job, or handed in. */
export function WasteDialog({
  held,
  why,
  onClose,
}: {
  readonly held: ContainerStanding;
  readonly why: WasteMove["why"];
  readonly onClose: () => void;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { move, failure } = useWaste();
  const { container, standing } = held;
  const isHandedIn = why === "handed-in";
  const form = useForm({
    form: "wasteMove",
    of: `${why} ${container.id}`,
    source: null,
    modelOf: () => newWaste(held, why, today),
    labels: WASTE_LABELS,
    problemsOf: wasteProblems,
    problemWords: wasteProblemWords,
  });
  const { field } = form;
  return (
    <DialogFrame
      title={`${container.name}: ${isHandedIn ? "hand it in" : "put something in"}`}
      onClose={onClose}
    >
      <p className="mb-2 text-quiet">
        {container.kind}, {wasteAmount(standing)} in it. {KIND_CAUTIONS[container.kind]}
      </p>
      <FormBody
        form={form}
        onSave={async (model) => {
          const isDone = await move(wasteOf(model, container));
          if (isDone) onClose();
          return isDone;
        }}
        failure={failure}
        className="grid gap-x-5 gap-y-3 pb-3 sm:grid-cols-2"
        foot={
          <div className="sm:col-span-2">
            <button type="submit" className={PRIMARY_BUTTON}>
              Write it down
            </button>
          </div>
        }
      >
        <TextField isMono isRequired autoFocus {...field("amount")} />
        <SelectField {...field("unit")} choices={WASTE_UNITS} />
        <DayField {...field("date")} />
        <TextField isRequired={isHandedIn} {...field("where")} />
        {isHandedIn && <TextField isMono {...field("paper")} />}
        <div className="sm:col-span-2">
          <NoteField {...field("note")} />
        </div>
      </FormBody>
    </DialogFrame>
  );
}
