import {
  dayToSpare,
  type DayNumber,
  type MachineId,
  type PlanIssue,
  type TaskId,
} from "@yonderfell/core";
import { CalendarPlus, CalendarX } from "lucide-react";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { useAcceptVisits } from "./useAcceptVisits.js";
import { issueWords, weekdayDate } from "../../../words/visitWords.js";
import type { PlannedMachine } from "../../../work/visitKeeper.js";

/** What no plan can keep to: which limit, of which machine, and what would free it. */
export function VisitIssues({
  machines,
  nameOf,
  today,
}: {
  readonly machines: readonly PlannedMachine[];
  readonly nameOf: (task: TaskId) => string;
  readonly today: DayNumber;
}): ReactElement | null {
  const { accept, failure } = useAcceptVisits();
  const all = machines.flatMap((of) => of.plan.issues.map((issue) => ({ of, issue })));
  if (all.length === 0) return null;
  const make = (of: PlannedMachine, tasks: readonly TaskId[], day: DayNumber): void => {
    const words = `${of.machine.tag} on ${weekdayDate(day, today)} is in the book.`;
    void accept(of, [{ day, tasks }], words);
  };
  return (
    <section aria-labelledby="cannot" className="mb-4 border-l-4 border-overdue pl-4">
      <h2 id="cannot" className="font-bold">
        Cannot be kept to
      </h2>
      <ul>
        {all.map(({ of, issue }, index) => (
          <Issue key={index} {...{ of, issue, nameOf, today, make }} />
        ))}
      </ul>
      <p role="alert" className="text-overdue empty:hidden">
        {failure}
      </p>
    </section>
  );
}

function Issue({
  of,
  issue,
  nameOf,
  today,
  make,
}: {
  readonly of: PlannedMachine;
  readonly issue: PlanIssue;
  readonly nameOf: (task: TaskId) => string;
  readonly today: DayNumber;
  readonly make: (of: PlannedMachine, tasks: readonly TaskId[], day: DayNumber) => void;
}): ReactElement {
  const { tag, id } = of.machine;
  const { what, frees } = issueWords(issue, tag, nameOf, today);
  const day = dayToSpare(issue, today);
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 border-t border-hairline py-1.5 first:border-t-0">
      <p className="max-w-[76ch] min-w-72 flex-1">
        {what} <span className="text-quiet">{frees}</span>
      </p>
      <div className="flex flex-wrap gap-3">
        {day !== null && (
          <button
            type="button"
            className={QUIET_BUTTON}
            onClick={() => make(of, tasksOf(issue), day)}
          >
            <CalendarPlus size={18} aria-hidden="true" />
            {`Spare ${tag} on ${weekdayDate(day, today)}`}
          </button>
        )}
        <Link to={factsPath(id)} className={QUIET_BUTTON}>
          <CalendarX size={18} aria-hidden="true" />
          {`Days ${tag} is needed`}
        </Link>
      </div>
    </li>
  );
}

const factsPath = (id: MachineId): string => `/yard/${encodeURIComponent(id)}/facts`;

const tasksOf = (issue: PlanIssue): readonly TaskId[] =>
  issue.code === "no-day-at-all" ? issue.tasks : [issue.task];
