import type { CheckResult } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Stone, type StoneVerdict } from "../../ui/Stone.js";

/** What is said of a check; null where nothing is. */
type Verdict = CheckResult["verdict"];

/** What is said by looking. */
export const STONES = ["sound", "watch", "attend", "stop"] as const;

/** Whether a verdict was come to by looking, and so has a stone. */
export const isStone = (verdict: Verdict): verdict is StoneVerdict =>
  STONES.some((one) => one === verdict);

/** A verdict as its stone; a ring where nothing is told, a bar where it was not looked at. */
export function VerdictMark({ verdict }: { readonly verdict: Verdict }): ReactElement {
  if (isStone(verdict)) return <Stone verdict={verdict} />;
  return (
    <svg viewBox="0 0 24 20" className="h-5 w-6 shrink-0 text-quiet" aria-hidden="true">
      {verdict ? (
        <path d="M5 10h14" stroke="currentColor" strokeWidth="2.5" />
      ) : (
        <circle cx="12" cy="10" r="5.5" fill="none" stroke="currentColor" strokeWidth="2" />
      )}
    </svg>
  );
}
