import { planningOf, type Planning } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import type { ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { useSettingsChange } from "../../../session/useSettingsChange.js";
import { FormBody } from "../../../form/FormBody.js";
import { useForm, type FormField } from "../../../form/useForm.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { CheckField, TextField } from "../../../ui/fields.js";
import { Terms } from "../../../ui/Term.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { AMOUNTS, modelOfWeights, planningTyped, weightsProblems } from "./weightsModel.js";
import { WEEKDAYS, WEIGHTS_LABELS, WEIGHTS_NOTES, weightsProblemWords } from "./weightsWords.js";

/** What visits are weighed by, in the book's money, and the days on which work is done. */
export function Weights(): ReactElement | null {
  const { storage } = useBook();
  const own = useLiveQuery(async () => ({ settings: await storage.ownSettings() }), [storage]);
  if (own === undefined) return null;
  const planning = planningOf(own);
  return (
    <details className="mt-8">
      <summary className="min-h-10 cursor-pointer font-semibold">
        What visits are weighed by
      </summary>
      <WeightsForm planning={planning} />
    </details>
  );
}

function WeightsForm({ planning }: { readonly planning: Planning }): ReactElement {
  const currency = useCurrency();
  const { save, failure } = useSettingsChange();
  const form = useForm({
    form: "weights",
    of: "book",
    source: planning,
    modelOf: modelOfWeights,
    labels: WEIGHTS_LABELS,
    problemsOf: weightsProblems,
    problemWords: weightsProblemWords,
  });
  const { field } = form;
  return (
    <FormBody
      form={form}
      onSave={(model) =>
        save({ planning: planningTyped(model) }, "Saved: the visits are weighed anew.")
      }
      failure={failure}
      className="max-w-3xl space-y-4"
      foot={
        <button type="submit" className={QUIET_BUTTON}>
          Save the weights
        </button>
      }
    >
      <p className="max-w-[68ch] text-quiet">
        {`A visit is put where its cost, the life thrown away by doing work early and the cost of being late come to the least. Amounts are ${currency === "" ? "in the book's money" : `in ${currency}`}.`}
      </p>
      <Terms words={["visit", "turn", "life unused", "grace", "hard"]} />
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2">
        {AMOUNTS.map((key) => (
          <TextField
            key={key}
            {...(WEIGHTS_NOTES[key] === "" ? {} : { note: WEIGHTS_NOTES[key] })}
            {...field(key)}
          />
        ))}
      </div>
      <Workdays {...field("workdays")} />
    </FormBody>
  );
}

function Workdays({ label, value, onChange }: FormField<readonly number[]>): ReactElement {
  const turn = (day: number, isOn: boolean): void =>
    onChange(
      isOn ? [...value, day].sort((one, other) => one - other) : value.filter((one) => one !== day),
    );
  return (
    <fieldset className="flex flex-wrap gap-x-5">
      <legend className="text-fine text-quiet">{label}</legend>
      {WEEKDAYS.map((name, index) => (
        <CheckField
          key={name}
          label={name}
          value={value.includes(index + 1)}
          onChange={(isOn) => turn(index + 1, isOn)}
        />
      ))}
    </fieldset>
  );
}
