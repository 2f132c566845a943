import { parseDay } from "@yonderfell/core";
import type { ReactElement } from "react";
import { fullDate } from "../words/format.js";
import { FIELD } from "./buttons.js";
import type { Field } from "./useModel.js";

/** A day that may be left open, with what was understood in words. */
export function DayField({
  label,
  value,
  onChange,
}: Field<string> & { readonly label: string }): ReactElement {
  const day = parseDay(value);
  return (
    <label className="block text-fine text-quiet">
      {label}
      <input
        type="date"
        className={`${FIELD} text-body text-ink`}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
      {day === null ? "not said" : fullDate(day)}
    </label>
  );
}
