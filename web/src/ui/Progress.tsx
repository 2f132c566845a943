import type { ReactElement } from "react";
import { QUIET_BUTTON } from "./buttons.js";
import { figure, NBSP } from "../words/format.js";

/** How far something is, and the way to stop it. */
export function Progress({
  label,
  share,
  stop = "Stop",
  onStop,
}: {
  readonly label: string;
  /** From 0 to 1; null where it is not known. */
  readonly share: number | null;
  /** What the way to stop it is called. */
  readonly stop?: string;
  readonly onStop: () => void;
}): ReactElement {
  const percent = share === null ? null : Math.round(share * 100);
  return (
    <div className="mt-2 flex flex-wrap items-center gap-4">
      <label className="flex min-w-0 flex-wrap items-center gap-x-3 gap-y-1">
        {label}
        <progress
          className="h-2.5 w-56 max-sm:w-36"
          {...(percent === null ? {} : { max: 100, value: percent })}
        />
        {percent !== null && (
          <span className="font-mono tabular-nums">{`${figure(percent)}${NBSP}%`}</span>
        )}
      </label>
      <button type="button" className={QUIET_BUTTON} onClick={onStop}>
        {stop}
      </button>
    </div>
  );
}
