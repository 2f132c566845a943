import type { ReactElement } from "react";

/** How far along its thread a job or a round is: solid behind, dotted ahead. */
export function Far({ done, of }: { readonly done: number; readonly of: number }): ReactElement {
  const at = of === 0 ? 7 : 7 + (done / of) * 134;
  return (
    <svg viewBox="0 0 148 16" className="h-4 w-36 max-w-full" aria-hidden="true">
      <path d="M7 8H144" stroke="var(--rule)" strokeWidth="2" strokeDasharray="1 5" />
      <path d={`M7 8H${at}`} stroke="var(--clear)" strokeWidth="4" />
      <circle cx={at} cy="8" r="5" fill="var(--ground)" stroke="var(--clear)" strokeWidth="3" />
    </svg>
  );
}
