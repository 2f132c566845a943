import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { figure, NBSP } from "../../words/format.js";

/** How far something is, and the way to stop it. */
export function Progress({
  label,
  share,
  onStop,
}: {
  readonly label: string;
  /** From 0 to 1. */
  readonly share: number;
  readonly onStop: () => void;
}): ReactElement {
  const percent = Math.round(share * 100);
  return (
    <div className="mt-2 flex flex-wrap items-center gap-4">
      <label className="flex items-center gap-3">
        {label}
        <progress className="h-2.5 w-56 accent-(--clear)" max={100} value={percent} />
        <span className="font-mono tabular-nums">{`${figure(percent)}${NBSP}%`}</span>
      </label>
      <button type="button" className={QUIET_BUTTON} onClick={onStop}>
        Stop
      </button>
    </div>
  );
}
