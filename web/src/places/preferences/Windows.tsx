import type { Book } from "@yonderfell/core";
import { useId, type ReactElement } from "react";
import { useSettingsChange } from "../../session/useSettingsChange.js";
import { FormBody } from "../../form/FormBody.js";
import { useForm, type FormField } from "../../form/useForm.js";
import { FIELD, PRIMARY_BUTTON } from "../../ui/buttons.js";
import { FieldProblem } from "../../ui/fields.js";
import { Terms } from "../../ui/Term.js";
import { modelOfWindows, WINDOWS, windowsProblems, type WindowsModel } from "./settingsModel.js";
import { settingsProblemWords, WINDOWS_EXPLAINED, WINDOWS_LABELS } from "./settingsWords.js";

/** The windows that make a task due or soon and a meter stale: kept with the book, for everyone who uses it. */
export function Windows({ own }: { readonly own: Book["settings"] }): ReactElement {
  const { save, failure } = useSettingsChange();
  const form = useForm({
    form: "windows",
    of: "book",
    source: own,
    modelOf: modelOfWindows,
    labels: WINDOWS_LABELS,
    problemsOf: windowsProblems,
    problemWords: settingsProblemWords,
  });
  const write = ({ dueWithinDays, leadDays, staleAfterDays }: WindowsModel): Promise<boolean> =>
    save(
      {
        dueWithinDays: Number(dueWithinDays),
        leadDays: Number(leadDays),
        staleAfterDays: Number(staleAfterDays),
      },
      "Saved. The board is reckoned anew.",
    );
  return (
    <section aria-labelledby="windows" className="space-y-4">
      <h3 id="windows" className="font-bold">
        What makes a task due
      </h3>
      <Terms words={["window", "stale", "doubtful", "estimated"]} />
      <FormBody
        form={form}
        onSave={write}
        failure={failure}
        className="space-y-4"
        foot={
          <button type="submit" className={PRIMARY_BUTTON} disabled={!form.isTouched}>
            Save the windows
          </button>
        }
      >
        {WINDOWS.map((name) => (
          <DaysField key={name} explained={WINDOWS_EXPLAINED[name]} {...form.field(name)} />
        ))}
      </FormBody>
    </section>
  );
}

function DaysField({
  label,
  explained,
  value,
  problem = "",
  onChange,
}: FormField<string> & { readonly explained: string }): ReactElement {
  const own = useId();
  return (
    <div>
      <label className="block">
        <span className="font-semibold">{label}</span>
        <span className="flex items-baseline gap-2">
          <span className="w-16">
            <input
              inputMode="numeric"
              className={`${FIELD} text-right tabular-nums`}
              aria-invalid={problem !== "" || undefined}
              aria-describedby={own}
              value={value}
              onChange={(event) => onChange(event.target.value)}
            />
          </span>
          days
        </span>
      </label>
      <span id={own} className="block max-w-[52ch] text-fine text-quiet">
        <FieldProblem id={`${own}-problem`} words={problem} />
        {explained}
      </span>
    </div>
  );
}
