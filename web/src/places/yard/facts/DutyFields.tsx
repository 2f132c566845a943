import type { Machine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { CheckField, TextField } from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import type { FormInHand } from "../../../form/useForm.js";
import { TEMPERATURE } from "../../../ui/readQuantity.js";
import { DUTIES, type DutyFlag, type FactsModel } from "./factsModel.js";
import { DUTY_WORDS } from "./factsWords.js";

/** How a machine is used: what decides on grades and hard-use intervals. */
export function DutyFields({
  form: { model, set, field },
}: {
  readonly form: FormInHand<FactsModel, Machine>;
}): ReactElement {
  const turn = (flag: DutyFlag, isOn: boolean): void =>
    set({
      flags: isOn ? [...model.flags, flag] : model.flags.filter((one) => one !== flag),
    });
  return (
    <section aria-labelledby="duty">
      <h2 id="duty" className="text-large font-bold">
        How it is used
      </h2>
      <div className="grid gap-x-6 gap-y-2 sm:grid-cols-4">
        <QuantityField wanted={TEMPERATURE} {...field("coldest")} />
        <QuantityField wanted={TEMPERATURE} {...field("hottest")} />
        <div className="sm:col-span-2">
          <TextField {...field("dutyNote")} />
        </div>
      </div>
      <div className="flex flex-wrap gap-x-7">
        {DUTIES.map((flag) => (
          <CheckField
            key={flag}
            label={DUTY_WORDS[flag]}
            value={model.flags.includes(flag)}
            onChange={(isOn) => turn(flag, isOn)}
          />
        ))}
      </div>
    </section>
  );
}
