import type { ReactElement, ReactNode } from "react";
import { FormBody } from "../../form/FormBody.js";
import type { Model } from "../../form/rebase.js";
import type { FormInHand } from "../../form/useForm.js";
import { PRIMARY_BUTTON } from "../../ui/buttons.js";

/** A correction as it is filled in, with the button that saves it. */
export function CorrectionBody<M extends Model, Source>({
  form,
  onSave,
  failure,
  children,
}: {
  readonly form: FormInHand<M, Source>;
  /** Answers whether it is saved. */
  readonly onSave: (model: M) => Promise<boolean>;
  /** What stood in the way of the last save. */
  readonly failure: string;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <FormBody
      form={form}
      onSave={onSave}
      failure={failure}
      className="max-w-[26rem] space-y-5"
      foot={
        <button type="submit" className={PRIMARY_BUTTON}>
          Save the correction
        </button>
      }
    >
      {children}
    </FormBody>
  );
}
