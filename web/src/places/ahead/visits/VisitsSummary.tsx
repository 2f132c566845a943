import type { DayNumber, Week } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { counted, figure } from "../../../words/format.js";
import { weekdayDate } from "../../../words/visitWords.js";
import type { ListedVisit } from "./visitModel.js";
import { Term } from "../../../ui/Term.js";

/** What comes next and how much there is; the first week that holds too much is gone to from here. */
export function VisitsSummary({
  listed,
  ridge,
  today,
  goTo,
}: {
  readonly listed: readonly ListedVisit[];
  readonly ridge: readonly Week<ListedVisit>[];
  readonly today: DayNumber;
  readonly goTo: (monday: DayNumber) => void;
}): ReactElement {
  const held = listed.filter(({ planned }) => planned.visit !== null).length;
  const next = listed[0];
  const [over, ...others] = ridge.filter(({ hours, there }) => there !== null && hours > there);
  const unknown = ridge.reduce((sum, week) => sum + week.unknown, 0);
  return (
    <p className="mb-3">
      {next !== undefined && (
        <strong>{`Next: ${next.of.machine.tag} ${next.of.machine.name}, ${weekdayDate(next.day, today)}. `}</strong>
      )}
      <span className="text-quiet">
        {figure(listed.length)} <Term word="visit">{listed.length === 1 ? "visit" : "visits"}</Term>
        {` ahead, ${held} in the book. `}
        {over !== undefined && (
          <>
            <button
              type="button"
              data-prints=""
              className="text-overdue underline max-sm:min-h-12"
              onClick={() => goTo(over.monday)}
            >
              {`The week of ${weekdayDate(over.monday, today)}`}
            </button>
            {others.length === 0 ? " holds" : ` and ${others.length} more hold`}
            {" more than there are hours for. "}
            <Link to="/ahead/fleet" className="text-clear underline">
              Share the weeks among all
            </Link>{" "}
          </>
        )}
        {unknown > 0 && (
          <>
            {`${counted(unknown, "turn")} without an estimate of time are not in the hours. `}
            <Link to="/yard/minutes" className="text-clear underline">
              Say how long they take
            </Link>
          </>
        )}
      </span>
    </p>
  );
}
