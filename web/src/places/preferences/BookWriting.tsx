import type { Book } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useSettingsChange } from "../../session/useSettingsChange.js";
import { FormBody } from "../../form/FormBody.js";
import { useForm } from "../../form/useForm.js";
import { PRIMARY_BUTTON } from "../../ui/buttons.js";
import { SelectField, TextField } from "../../ui/fields.js";
import { money } from "../../words/money.js";
import { typedNumber } from "../../words/writing.js";
import { modelOfWriting, writingProblems, type WritingModel } from "./settingsModel.js";
import { GALLONS, settingsProblemWords, WRITING_LABELS } from "./settingsWords.js";

/** How the book writes money, and whose quarts and gallons a bare word means in it. */
export function BookWriting({ own }: { readonly own: Book["settings"] }): ReactElement {
  const { save, failure } = useSettingsChange();
  const form = useForm({
    form: "bookWriting",
    of: "book",
    source: own,
    modelOf: modelOfWriting,
    labels: WRITING_LABELS,
    problemsOf: writingProblems,
    problemWords: settingsProblemWords,
  });
  const { model, field, isTouched } = form;
  const currency = model.currency.trim();
  const write = ({ gallons, coldMargin }: WritingModel): Promise<boolean> =>
    save(
      {
        currency,
        gallons: gallons === "" ? null : gallons,
        coldMargin: typedNumber(coldMargin),
      },
      "Saved.",
    );
  return (
    <section aria-labelledby="writing" className="space-y-4">
      <h3 id="writing" className="font-bold">
        Money, quarts and cold
      </h3>
      <FormBody
        form={form}
        onSave={write}
        failure={failure}
        className="max-w-[30rem] space-y-3"
        foot={
          <button type="submit" className={PRIMARY_BUTTON} disabled={!isTouched}>
            Save these
          </button>
        }
      >
        <TextField
          note={`An amount is then written ${money(1240.5, currency)}. Amounts already written keep their figures.`}
          {...field("currency")}
        />
        <SelectField choices={GALLONS} {...field("gallons")} />
        <p className="text-fine text-quiet">A machine’s own word for it comes first.</p>
        <TextField
          note="Where the handbook allows a grade from a temperature, that decides."
          isMono
          {...field("coldMargin")}
        />
      </FormBody>
    </section>
  );
}
