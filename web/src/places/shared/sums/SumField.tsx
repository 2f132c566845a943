import type { Gallons } from "@yonderfell/core";
import { useId, type ReactElement } from "react";
import { FIELD } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { SelectField, TextField } from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { CheckField } from "../../../ui/fields.js";
import type { FormField } from "./sumForm.js";

interface SumFieldProps {
  readonly field: FormField;
  readonly value: string;
  readonly gallons: Gallons | null;
  readonly problem: string;
  readonly onChange: (value: string) => void;
}

/** A field of a sum, with how it is filled in. */
export function SumField(props: SumFieldProps): ReactElement {
  const { field, value, problem, onChange } = props;
  const { label, hint = "", input } = field;
  switch (input.kind) {
    case "quantity":
      return (
        <QuantityField
          {...{ label, value, onChange, hint }}
          wanted={{ unit: input.unit, gallons: props.gallons }}
          // What cannot be read it says itself.
          problem={problem.startsWith("Expected") ? problem : ""}
        />
      );
    case "choice":
      return <SelectField {...{ label, value, problem, onChange }} choices={input.choices} />;
    case "several":
      return <Several {...props} choices={input.choices} />;
    case "day":
      return <DayField {...{ label, value, problem, onChange }} />;
    case "lines":
      return <Lines {...props} />;
    case "percent":
    case "glycol":
    case "number":
    case "figures":
    case "quantities":
    case "text":
    case "words": {
      const unit = input.kind === "percent" ? ", per cent" : "";
      const isMono = input.kind !== "words" && input.kind !== "text";
      return (
        <TextField
          {...{ value, problem, onChange, isMono }}
          label={`${label}${unit}`}
          {...(hint === "" ? {} : { note: hint })}
        />
      );
    }
  }
}

function Several({
  field,
  value,
  problem,
  choices,
  onChange,
}: SumFieldProps & {
  readonly choices: readonly (readonly [string, string])[];
}): ReactElement {
  const chosen = value.split(",").filter((one) => one !== "");
  return (
    <fieldset className="text-fine text-quiet col-span-2">
      <legend>{field.label}</legend>
      <div className="flex flex-wrap gap-x-5 text-base text-ink">
        {choices.map(([choice, words]) => (
          <CheckField
            key={choice}
            label={words}
            value={chosen.includes(choice)}
            onChange={(isIn) =>
              onChange(
                (isIn ? [...chosen, choice] : chosen.filter((one) => one !== choice)).join(","),
              )
            }
          />
        ))}
      </div>
      {problem !== "" && <span className="font-semibold text-due">{problem}</span>}
    </fieldset>
  );
}

function Lines({ field, value, problem, onChange }: SumFieldProps): ReactElement {
  const id = useId();
  return (
    <div className="text-fine text-quiet col-span-2">
      <label htmlFor={id}>{field.label}</label>
      <textarea
        id={id}
        rows={Math.min(8, Math.max(2, value.split("\n").length))}
        className={`${FIELD} h-auto py-2 font-mono text-field text-ink`}
        spellCheck={false}
        value={value}
        aria-invalid={problem !== "" || undefined}
        aria-describedby={`${id}-hint`}
        onChange={(event) => onChange(event.target.value)}
      />
      <p id={`${id}-hint`}>
        {problem !== "" && <span className="block font-semibold text-due">{problem}</span>}
        {field.hint !== undefined && <>such as {field.hint}</>}
      </p>
    </div>
  );
}
