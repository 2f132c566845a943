import type { Meter } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useAppSelector } from "../../session/store.js";
import { PRIMARY_BUTTON } from "../../ui/buttons.js";
import { correctionIssueWords } from "../../words/readingWords.js";
import type { Correction } from "./useCorrection.js";

/** What stands in the way of a correction, and the button that saves it. */
export function CorrectionFoot({
  correction: { issue, failure },
  meter,
  hasDay,
}: {
  readonly correction: Correction;
  readonly meter: Meter | undefined;
  readonly hasDay: boolean;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const words = [
    hasDay ? "" : "Choose the day.",
    issue === null || meter === undefined ? "" : correctionIssueWords(issue, meter, today),
    failure,
  ].filter((line) => line !== "");
  return (
    <>
      <div role="alert">
        {words.map((line) => (
          <p key={line} className="font-semibold text-due">
            {line}
          </p>
        ))}
      </div>
      <button type="submit" className={PRIMARY_BUTTON} disabled={issue !== null || !hasDay}>
        Save the correction
      </button>
    </>
  );
}
