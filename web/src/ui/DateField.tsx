import { formatDay, parseDay, type DayNumber } from "@yonderfell/core";
import type { ReactElement } from "react";
import { dateWithWeekday } from "../words/format.js";
import { FIELD } from "./buttons.js";

/** A day up to today, with what was understood in words, since the browser shows figures in its own order. */
export function DateField({
  label,
  value,
  today,
  autoFocus = false,
  problem = "",
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly today: DayNumber;
  readonly autoFocus?: boolean;
  /** What is wrong with it, empty where nothing is. */
  readonly problem?: string;
  readonly onChange: (value: string) => void;
}): ReactElement {
  const day = parseDay(value);
  const words = day === null ? "choose a day" : day === today ? "today" : "";
  return (
    <label className="block text-fine text-quiet">
      {label}
      <input
        type="date"
        autoFocus={autoFocus}
        className={`${FIELD} text-field text-ink`}
        value={value}
        aria-invalid={problem !== "" || undefined}
        max={formatDay(today)}
        onChange={(event) => onChange(event.target.value)}
      />
      {problem !== "" && <span className="block font-semibold text-due">{problem}</span>}
      {day === null
        ? words
        : [dateWithWeekday(day), words].filter((part) => part !== "").join(", ")}
    </label>
  );
}
