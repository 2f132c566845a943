import { digestedWords, type Digested } from "@yonderfell/core";
import type { ReactElement } from "react";
import { CheckField } from "../../../ui/fields.js";

/** Says where a file was changed since it was written, and asks whether that is known. */
export function ChangedSince({
  changed,
  isTaken,
  onTake,
}: {
  readonly changed: readonly Digested[];
  /** Whether the person takes it as it is. */
  readonly isTaken: boolean;
  readonly onTake: (isTaken: boolean) => void;
}): ReactElement | null {
  if (changed.length === 0) return null;
  return (
    <div role="alert" className="space-y-2 border-l-4 border-due bg-raised px-4 py-2">
      <p className="font-semibold">
        This file was changed since it was written, in: {digestedWords(changed)}.
      </p>
      <p>
        By a person, another program, or a fault of what it was kept on. Nothing in it breaks a
        rule, but its figures may not be those that were saved.
      </p>
      <CheckField label="Take it as it is now" value={isTaken} onChange={onTake} />
    </div>
  );
}
