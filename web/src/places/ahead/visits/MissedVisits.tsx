import { addDays, type DayNumber, type Planning, type TaskId } from "@yonderfell/core";
import { CalendarPlus, NotebookPen, X } from "lucide-react";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { weekdayDate } from "../../../words/visitWords.js";
import type { PlannedMachine } from "../../../work/visitKeeper.js";
import { useVisitChanges, type VisitChanges } from "./useVisitChanges.js";
import { missedVisits, nextSpare, type ListedVisit } from "./visitModel.js";
import { logPath } from "./VisitPanel.js";

/** Visits not done on their day: log them, move them, or drop them. */
export function MissedVisits({
  machines,
  nameOf,
  today,
  planning,
}: {
  readonly machines: readonly PlannedMachine[];
  readonly nameOf: (task: TaskId) => string;
  readonly today: DayNumber;
  readonly planning: Planning;
}): ReactElement | null {
  const changes = useVisitChanges();
  const missed = missedVisits(machines);
  if (missed.length === 0) return null;
  return (
    <section aria-labelledby="missed" className="mb-4 border-l-4 border-due pl-4">
      <h2 id="missed" className="font-bold">
        Not logged on their day
      </h2>
      <ul>
        {missed.map((visit) => (
          <Missed key={visit.key} {...{ visit, nameOf, today, planning, changes }} />
        ))}
      </ul>
      <p role="alert" className="text-overdue empty:hidden">
        {changes.failure}
      </p>
    </section>
  );
}

function Missed({
  visit,
  nameOf,
  today,
  planning,
  changes,
}: {
  readonly visit: ListedVisit;
  readonly nameOf: (task: TaskId) => string;
  readonly today: DayNumber;
  readonly planning: Planning;
  readonly changes: VisitChanges;
}): ReactElement {
  const { machine } = visit.of;
  const names = [...visit.turns.map(({ task }) => task), ...visit.planned.others].map(nameOf);
  const next = nextSpare(visit, addDays(today, -1), 1, today, planning);
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 py-1.5">
      <p className="min-w-72 flex-1">
        <span className="mr-2 font-mono font-bold">{machine.tag}</span>
        {`${machine.name}, ${weekdayDate(visit.day, today)}: ${names.join(" · ")}`}
      </p>
      <div className="flex flex-wrap gap-3">
        <Link to={logPath(visit)} className={QUIET_BUTTON}>
          <NotebookPen size={18} aria-hidden="true" />
          Log it
        </Link>
        {next !== null && (
          <button
            type="button"
            className={QUIET_BUTTON}
            onClick={() => void changes.move(visit, next)}
          >
            <CalendarPlus size={18} aria-hidden="true" />
            {`Move to ${weekdayDate(next, today)}`}
          </button>
        )}
        <button type="button" className={QUIET_BUTTON} onClick={() => void changes.drop(visit)}>
          <X size={18} aria-hidden="true" />
          Drop it
        </button>
      </div>
    </li>
  );
}
