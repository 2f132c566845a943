import type { Meter } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useAppSelector } from "../../session/store.js";
import { correctionIssueWords } from "../../words/readingWords.js";
import type { CorrectionIssue } from "./correctionModel.js";

/** What would stand in the way of a correction as it is filled in; nothing where nothing would. */
export function InTheWay({
  issue,
  meter,
}: {
  readonly issue: CorrectionIssue | null;
  readonly meter: Meter | undefined;
}): ReactElement | null {
  const today = useAppSelector((state) => state.session.today);
  if (issue === null || meter === undefined) return null;
  return (
    <p role="status" className="font-semibold text-due">
      {correctionIssueWords(issue, meter, today)}
    </p>
  );
}
