import type { ReactElement } from "react";
import { RowsField } from "../../../form/RowsField.js";
import { DayField } from "../../../ui/DayField.js";
import { TextField } from "../../../ui/fields.js";
import type { Field } from "../../../ui/field.js";
import { MONTHS } from "../../../words/format.js";
import type { LaidUpRow, NeededRow } from "./factsModel.js";
import { WEEKDAYS } from "./factsWords.js";
import { Term } from "../../../ui/Term.js";

/** When it stands: no use is expected then, and forecasts pass over it. */
export function LaidUpFields(field: Field<readonly LaidUpRow[]>): ReactElement {
  return (
    <section aria-labelledby="laid-up">
      <h2 id="laid-up" className="text-large font-bold">
        <Term word="laid up">Laid up</Term>
      </h2>
      <p className="text-quiet">
        No use is expected then, so forecasts by distance and hours pass over it.
      </p>
      <RowsField
        {...field}
        noun="lay-up"
        empty={(): LaidUpRow => ({ months: [], from: "", to: "", reason: "" })}
      >
        {(_row, rowField) => (
          <>
            <Ticks names={MONTHS} label="In these months of every year" {...rowField("months")} />
            <div className="grid items-start gap-x-6 sm:grid-cols-[1fr_1fr_2fr]">
              <DayField label="Or from" {...rowField("from")} />
              <DayField label="until" {...rowField("to")} />
              <TextField label="Why" {...rowField("reason")} />
            </div>
          </>
        )}
      </RowsField>
    </section>
  );
}

/** When it cannot be spared for work. */
export function NeededFields(field: Field<readonly NeededRow[]>): ReactElement {
  return (
    <section aria-labelledby="needed">
      <h2 id="needed" className="text-large font-bold">
        Cannot be spared
      </h2>
      <RowsField
        {...field}
        noun="time it is needed"
        first="Add days it is needed"
        empty={(): NeededRow => ({ weekdays: [], from: "", to: "", reason: "" })}
      >
        {(_row, rowField) => (
          <>
            <Ticks names={WEEKDAYS} label="On these days of the week" {...rowField("weekdays")} />
            <div className="grid items-start gap-x-6 sm:grid-cols-[1fr_1fr_2fr]">
              <DayField label="From" {...rowField("from")} />
              <DayField label="until" {...rowField("to")} />
              <TextField label="Why" {...rowField("reason")} />
            </div>
          </>
        )}
      </RowsField>
    </section>
  );
}

/** Several of a short row of names, each by its place from 1 on. */
function Ticks({
  names,
  label,
  value,
  onChange,
}: Field<readonly number[]> & {
  readonly names: readonly string[];
  readonly label: string;
}): ReactElement {
  return (
    <fieldset>
      <legend className="text-fine text-quiet">{label}</legend>
      <div className="flex flex-wrap gap-x-4">
        {names.map((name, index) => {
          const number = index + 1;
          const isOn = value.includes(number);
          return (
            <label key={name} className="flex min-h-10 items-center gap-1.5 max-sm:min-h-12">
              <input
                type="checkbox"
                className="size-5 accent-(--clear)"
                checked={isOn}
                onChange={() =>
                  onChange(isOn ? value.filter((one) => one !== number) : [...value, number])
                }
              />
              {name}
            </label>
          );
        })}
      </div>
    </fieldset>
  );
}
