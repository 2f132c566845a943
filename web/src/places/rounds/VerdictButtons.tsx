import type { CheckResult } from "@yonderfell/core";
import type { ReactElement } from "react";
import { CHOICE_BUTTON } from "../../ui/buttons.js";
import { Stone } from "../../ui/Stone.js";
import { STONES } from "./VerdictMark.js";

const OTHERS = ["could not measure", "not applicable", "left closed"] as const;

interface VerdictProps {
  readonly result: CheckResult | null;
  readonly onVerdict: (verdict: NonNullable<CheckResult["verdict"]>) => void;
}

/** What is said of a check: four stones with their words, by the thumb. */
export function StoneButtons({ result, onVerdict }: VerdictProps): ReactElement {
  return (
    <div role="group" aria-label="Verdict" className="grid w-full grid-cols-4 gap-2">
      {STONES.map((verdict) => (
        <button
          key={verdict}
          type="button"
          data-action={verdict === "sound" && !result?.verdict ? "" : undefined}
          aria-pressed={result?.verdict === verdict}
          className={`${CHOICE_BUTTON} min-h-16 flex-col gap-0.5`}
          onClick={() => onVerdict(verdict)}
        >
          <Stone verdict={verdict} />
          {verdict}
        </button>
      ))}
    </div>
  );
}

/** The honest others, which need a reason. */
export function WithoutLook({ result, onVerdict }: VerdictProps): ReactElement {
  return (
    <div role="group" aria-label="Not looked at" className="grid grid-cols-3 gap-2">
      {OTHERS.map((verdict) => (
        <button
          key={verdict}
          type="button"
          aria-pressed={result?.verdict === verdict}
          className={`${CHOICE_BUTTON} min-h-12 px-1 text-fine first-letter:uppercase`}
          onClick={() => onVerdict(verdict)}
        >
          {verdict}
        </button>
      ))}
    </div>
  );
}
