import { useId, type ReactElement } from "react";
import { FIELD } from "../../../ui/buttons.js";
import { FieldProblem } from "../../../ui/fields.js";

/** A figure of a dial as text. */
export function FigureField({
  label,
  value,
  isLarge = false,
  problem = "",
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  /** Whether it is the figure that matters on the screen. */
  readonly isLarge?: boolean;
  /** What is wrong with it, empty where nothing is. */
  readonly problem?: string;
  readonly onChange: (value: string) => void;
}): ReactElement {
  const own = useId();
  const size = isLarge ? "text-[2rem] font-bold" : "text-field";
  return (
    <div>
      <label className="block text-fine text-quiet">
        {label}
        <input
          className={`${FIELD} font-mono text-ink ${size}`}
          inputMode="decimal"
          autoComplete="off"
          aria-invalid={problem !== "" || undefined}
          aria-describedby={problem === "" ? undefined : own}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      </label>
      <FieldProblem id={own} words={problem} />
    </div>
  );
}
