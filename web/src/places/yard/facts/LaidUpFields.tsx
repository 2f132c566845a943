import { Plus } from "lucide-react";
import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { TextField } from "../../../ui/fields.js";
import { fieldsOf, type Field } from "../../../ui/useModel.js";
import type { LaidUpRow, NeededRow } from "./factsModel.js";
import { Term } from "../../../ui/Term.js";

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];
const WEEKDAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];

/** When it stands: no use is expected then, and forecasts pass over it. */
export function LaidUpFields({ value: rows, onChange }: Field<readonly LaidUpRow[]>): ReactElement {
  const empty: LaidUpRow = { months: [], from: "", to: "", reason: "" };
  return (
    <section aria-labelledby="laid-up">
      <h2 id="laid-up" className="text-large font-bold">
        <Term word="laid up">Laid up</Term>
      </h2>
      <p className="text-quiet">
        No use is expected then, so forecasts by distance and hours pass over it.
      </p>
      {rows.map((row, index) => {
        const field = fieldsOf(row, (patch) =>
          onChange(rows.map((one, at) => (at === index ? { ...one, ...patch } : one))),
        );
        return (
          <div
            key={index}
            role="group"
            aria-label={`Lay-up ${index + 1}`}
            className="border-t border-hairline py-2"
          >
            <Ticks names={MONTHS} label="In these months of every year" {...field("months")} />
            <div className="grid items-start gap-x-6 sm:grid-cols-[1fr_1fr_2fr_auto]">
              <DayField label="Or from" {...field("from")} />
              <DayField label="until" {...field("to")} />
              <TextField label="Why" {...field("reason")} />
              <LeaveOut onLeaveOut={() => onChange(rows.filter((_, at) => at !== index))} />
            </div>
          </div>
        );
      })}
      <AddButton words="Add a lay-up" onAdd={() => onChange([...rows, empty])} />
    </section>
  );
}

/** When it cannot be spared for work. */
export function NeededFields({ value: rows, onChange }: Field<readonly NeededRow[]>): ReactElement {
  const empty: NeededRow = { weekdays: [], from: "", to: "", reason: "" };
  return (
    <section aria-labelledby="needed">
      <h2 id="needed" className="text-large font-bold">
        Cannot be spared
      </h2>
      {rows.map((row, index) => {
        const field = fieldsOf(row, (patch) =>
          onChange(rows.map((one, at) => (at === index ? { ...one, ...patch } : one))),
        );
        return (
          <div
            key={index}
            role="group"
            aria-label={`Cannot be spared ${index + 1}`}
            className="border-t border-hairline py-2"
          >
            <Ticks names={WEEKDAYS} label="On these days of the week" {...field("weekdays")} />
            <div className="grid items-start gap-x-6 sm:grid-cols-[1fr_1fr_2fr_auto]">
              <DayField label="From" {...field("from")} />
              <DayField label="until" {...field("to")} />
              <TextField label="Why" {...field("reason")} />
              <LeaveOut onLeaveOut={() => onChange(rows.filter((_, at) => at !== index))} />
            </div>
          </div>
        );
      })}
      <AddButton words="Add days it is needed" onAdd={() => onChange([...rows, empty])} />
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

function LeaveOut({ onLeaveOut }: { readonly onLeaveOut: () => void }): ReactElement {
  return (
    <button type="button" className={`${QUIET_BUTTON} mt-5`} onClick={onLeaveOut}>
      Leave it out
    </button>
  );
}

function AddButton({
  words,
  onAdd,
}: {
  readonly words: string;
  readonly onAdd: () => void;
}): ReactElement {
  return (
    <button type="button" className={`${QUIET_BUTTON} mt-2`} onClick={onAdd}>
      <Plus size={18} aria-hidden="true" />
      {words}
    </button>
  );
}
