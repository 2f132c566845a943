import { WASTE_KINDS, type Container } from "@yonderfell/core";
import type { ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { CheckField, NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { useWaste } from "./useWaste.js";
import {
  CONTAINER_LABELS,
  containerOf,
  containerProblems,
  containerProblemWords,
  HOLDS,
  modelOfContainer,
} from "./wasteModel.js";

/** Writes down what one kind of waste is kept in. */
export function ContainerDialog({
  container,
  isEmpty,
  onClose,
}: {
  readonly container: Container | null;
  /** Whether nothing ever went into it, so that its kind may change. */
  readonly isEmpty: boolean;
  readonly onClose: () => void;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { keep, failure } = useWaste();
  const form = useForm({
    form: "container",
    of: container?.id ?? "new",
    source: container,
    modelOf: modelOfContainer,
    labels: CONTAINER_LABELS,
    problemsOf: containerProblems,
    problemWords: containerProblemWords,
  });
  const { field } = form;
  return (
    <DialogFrame title={container?.name ?? "Add a container"} onClose={onClose}>
      <FormBody
        form={form}
        onSave={async (model, before) => {
          const isDone = await keep(containerOf(model, before, today), isEmpty);
          if (isDone) onClose();
          return isDone;
        }}
        failure={failure}
        className="grid gap-x-5 gap-y-3 pt-1 pb-3 sm:grid-cols-2"
        foot={
          <div className="sm:col-span-2">
            <button type="submit" className={PRIMARY_BUTTON}>
              Save
            </button>
          </div>
        }
      >
        <TextField autoFocus isRequired {...field("name")} />
        <SelectField
          {...field("kind")}
          choices={WASTE_KINDS.map((kind) => [kind, kind] as const)}
        />
        <QuantityField {...field("holds")} wanted={HOLDS} />
        <TextField isMono {...field("fee")} />
        <CheckField {...field("inUse")} />
        <div className="sm:col-span-2">
          <NoteField {...field("note")} />
        </div>
      </FormBody>
    </DialogFrame>
  );
}
