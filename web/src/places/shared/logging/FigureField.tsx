import type { ReactElement } from "react";
import { FIELD } from "../../../ui/buttons.js";

/** A figure of a dial as text. */
export function FigureField({
  label,
  value,
  isLarge = false,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  /** Whether it is the figure that matters on the screen. */
  readonly isLarge?: boolean;
  readonly onChange: (value: string) => void;
}): ReactElement {
  const size = isLarge ? "text-[2rem] font-bold" : "text-field";
  return (
    <label className="block text-fine text-quiet">
      {label}
      <input
        className={`${FIELD} font-mono text-ink ${size}`}
        inputMode="decimal"
        autoComplete="off"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
