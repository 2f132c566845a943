import type { DayNumber } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { Stone } from "../../../ui/Stone.js";
import { findingPath, findingStandsWords, findingTitle } from "../../../words/findingWords.js";
import { Line, LogLink, Part } from "./DayParts.js";
import type { FoundOn } from "./todayModel.js";

/** What was found and is to be put right or looked at again by now or soon. */
export function Findings({
  findings,
  today,
}: {
  readonly findings: readonly FoundOn[];
  readonly today: DayNumber;
}): ReactElement | null {
  if (findings.length === 0) return null;
  return (
    <Part title="Found, to put right or look at">
      {findings.map(({ machine, found }) => {
        const { finding } = found;
        const title = findingTitle(finding);
        return (
          <Line
            key={finding.id}
            machine={machine.machine}
            forWhat={title}
            what={
              <Link
                to={findingPath(finding.id)}
                className="flex min-h-9 flex-wrap items-center gap-x-2.5 hover:underline"
              >
                {finding.verdict ? <Stone verdict={finding.verdict} /> : null}
                <span className="text-fine">{finding.verdict ?? "not judged"}</span>
                <strong>{title}</strong>
                <span className="text-quiet">{findingStandsWords(found, today)}</span>
              </Link>
            }
            {...(finding.todo ? { state: finding.todo } : {})}
          >
            <LogLink
              to={`/log/${encodeURIComponent(machine.machine.id)}?closes=${encodeURIComponent(finding.id)}`}
              label={`Log what puts right: ${title}`}
            />
          </Line>
        );
      })}
    </Part>
  );
}
