import { useState, type ReactElement } from "react";
import { CHOICE_BUTTON, FIELD } from "../../../ui/buttons.js";

/** Why: a line and the press that says it. */
export function Because({
  label,
  action,
  onBecause,
}: {
  readonly label: string;
  readonly action: string;
  readonly onBecause: (reason: string) => Promise<boolean>;
}): ReactElement {
  const [reason, setReason] = useState("");
  return (
    <form
      className="flex flex-wrap items-end gap-2 pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        void onBecause(reason).then((isTaken) => {
          if (isTaken) setReason("");
        });
      }}
    >
      <label className="min-w-48 flex-1 text-fine text-quiet">
        {label}
        <input
          className={`${FIELD} min-h-12 text-ink`}
          autoComplete="off"
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      <button
        type="submit"
        className={`${CHOICE_BUTTON} min-h-12 flex-none px-4`}
        disabled={reason.trim() === ""}
      >
        {action}
      </button>
    </form>
  );
}
