import type { EditedSection, RecordOf } from "@yonderfell/core";
import type { ReactElement, ReactNode } from "react";
import { useKeep } from "../session/useKeep.js";
import { PRIMARY_BUTTON } from "../ui/buttons.js";
import { DialogFrame } from "../ui/DialogFrame.js";
import { sentence } from "../words/format.js";
import { FormBody } from "./FormBody.js";
import type { Said } from "./MineAndTheirs.js";
import type { Model } from "./rebase.js";
import { TakeOut } from "./TakeOut.js";
import type { FormInHand } from "./useForm.js";

interface RecordDialogProps<S extends EditedSection, M extends Model> {
  /** What kind of thing it is: `fluid`, `service point`. */
  readonly noun: string;
  /** What this one is called; null for a new one. */
  readonly name: string | null;
  readonly section: S;
  readonly form: FormInHand<M, RecordOf[S] | null>;
  /** The record that a form without problems says; what the form does not show stays as it was before. */
  readonly recordOf: (model: M, before: RecordOf[S] | null) => RecordOf[S];
  readonly said?: Said<M>;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** A dialog in which a record is written down: Enter saves it, and it is taken out after a second word. */
export function RecordDialog<S extends EditedSection, M extends Model>({
  noun,
  name,
  section,
  form,
  recordOf,
  said,
  onClose,
  children,
}: RecordDialogProps<S, M>): ReactElement {
  const { keep, failure } = useKeep();
  const change = async (
    before: RecordOf[S] | null,
    after: RecordOf[S] | null,
  ): Promise<boolean> => {
    const isSaved = await keep(section, before, after);
    if (isSaved) onClose();
    return isSaved;
  };
  const title = name === null ? `Add a ${noun}` : `${sentence(noun)}: ${name}`;
  return (
    <DialogFrame title={title} onClose={onClose}>
      <FormBody
        form={form}
        onSave={(model, before) => change(before, recordOf(model, before))}
        failure={failure}
        className="space-y-4 pt-1 pb-2"
        {...(said === undefined ? {} : { said })}
        foot={
          <div className="sticky -bottom-3 -mb-3 flex flex-wrap items-center gap-3 bg-ground pt-2 pb-5">
            <button type="submit" className={PRIMARY_BUTTON}>
              Save
            </button>
            {form.source !== null && <TakeOut onTakeOut={() => void change(form.source, null)} />}
          </div>
        }
      >
        {children}
      </FormBody>
    </DialogFrame>
  );
}
