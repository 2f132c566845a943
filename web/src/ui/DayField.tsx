import { parseDay } from "@yonderfell/core";
import { useId, type ReactElement } from "react";
import { fullDate } from "../words/format.js";
import { FIELD } from "./buttons.js";
import type { Field } from "./field.js";

/** A day that may be left open, with what was understood in words. */
export function DayField({
  label,
  value,
  problem = "",
  onChange,
}: Field<string> & { readonly label: string }): ReactElement {
  const day = parseDay(value);
  const id = useId();
  return (
    <div className="text-fine text-quiet">
      <label htmlFor={id} className="block">
        {label}
      </label>
      <input
        id={id}
        type="date"
        className={`${FIELD} text-field text-ink`}
        value={value}
        aria-invalid={problem !== "" || undefined}
        aria-describedby={`${id}-said`}
        onChange={(event) => onChange(event.target.value)}
      />
      <p id={`${id}-said`}>
        {problem !== "" && <span className="block font-semibold text-due">{problem}</span>}
        {day === null ? "not said" : fullDate(day)}
      </p>
    </div>
  );
}
