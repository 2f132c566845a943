import { torqueDoubt, type Quantity, type TorqueUse } from "@yonderfell/core";
import { Calculator } from "lucide-react";
import { useId, type ReactElement } from "react";
import { useReckonerCalls } from "../session/reckonerCalls.js";
import {
  asTyped,
  quantityIssueWords,
  torqueDoubtWords,
  understoodWords,
} from "../words/quantityWords.js";
import { FIELD } from "./buttons.js";
import { readQuantity, type QuantityWanted } from "./readQuantity.js";

/** A quantity typed as people type it; under it stands what was understood, before it is saved. */
export function QuantityField({
  label,
  value,
  wanted,
  torqueUse,
  reckon,
  hint = "",
  problem = "",
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly wanted: QuantityWanted;
  /** What a torque is for, so that it can be looked at twice. */
  readonly torqueUse?: TorqueUse | null;
  /** The sum of the Reckoner that can fill it in. */
  readonly reckon?: string;
  /** How it is filled in; it stands under it while it is empty. */
  readonly hint?: string;
  /** What else is wrong with it, such as that it is missing; empty where nothing is. */
  readonly problem?: string;
  readonly onChange: (text: string) => void;
}): ReactElement {
  const id = useId();
  const read = readQuantity(value, wanted);
  const [issue] = read.ok ? [] : read.issues;
  const isWrong = issue !== undefined && issue.code !== "empty";
  const doubt = read.ok && torqueUse ? torqueDoubt(read.value.quantity, torqueUse) : null;
  return (
    <div className="text-fine text-quiet">
      <div className="flex items-baseline justify-between gap-2">
        <label htmlFor={id}>{label}</label>
        {reckon !== undefined && (
          <ReckonButton label={label} sum={reckon} onTake={(found) => onChange(asTyped(found))} />
        )}
      </div>
      <input
        id={id}
        className={`${FIELD} font-mono text-field text-ink`}
        autoComplete="off"
        spellCheck={false}
        value={value}
        aria-invalid={isWrong || problem !== "" || undefined}
        aria-describedby={`${id}-read`}
        onChange={(event) => onChange(event.target.value)}
      />
      <p id={`${id}-read`} className="min-h-5">
        {isWrong && (
          <span className="font-semibold text-due">{quantityIssueWords(issue, wanted.unit)}</span>
        )}
        {!isWrong && problem !== "" && (
          <span className="block font-semibold text-due">{problem}</span>
        )}
        {value.trim() === "" && hint}
        {read.ok && <span className="text-ink tabular-nums">{understoodWords(read.value)}</span>}
        {doubt !== null && (
          <span className="block font-semibold text-soon-text">{torqueDoubtWords(doubt)}</span>
        )}
      </p>
    </div>
  );
}

/** Opens the Reckoner for a field. */
function ReckonButton({
  label,
  sum,
  onTake,
}: {
  readonly label: string;
  readonly sum: string;
  readonly onTake: (found: Quantity) => void;
}): ReactElement {
  const { ask } = useReckonerCalls();
  return (
    <button
      type="button"
      aria-label={`Reckon: ${label}`}
      className="flex items-center gap-1 text-clear hover:underline max-sm:min-h-12 sm:-my-1"
      onClick={() => ask({ sum, field: label, take: onTake })}
    >
      <Calculator size={15} aria-hidden="true" />
      Reckon
    </button>
  );
}
