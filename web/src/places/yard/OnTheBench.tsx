import { openJobs, roundsUnderWay, type BoardMachine } from "@yonderfell/core";
import type { ReactElement, ReactNode } from "react";
import { Link } from "react-router";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
import { beginRoundPath } from "../../words/beginRoundPath.js";
import { jobPath, roundPath } from "../shared/paths.js";

/** What is under way on a machine, jobs and rounds, each with the way there; and the way to a new round. */
export function OnTheBench({ machine }: { readonly machine: BoardMachine }): ReactElement {
  const { storage } = useBook();
  const { id } = machine.machine;
  const found = useLiveOf(id, () => storage.ofMachine(id, ["jobs", "rounds"]), [storage]);
  const checklists = useLiveOf("checklists", () => storage.list("checklists"), [storage]) ?? [];
  const jobs = openJobs(found?.jobs ?? []);
  const rounds = roundsUnderWay(found?.rounds ?? []);
  return (
    <ul className="mb-5">
      {jobs.map((job) => {
        const tasks = machine.tasks.filter(({ task }) => (job.tasks ?? []).includes(task.id));
        const words = [job.name ?? "", ...tasks.map(({ task }) => task.name)].filter(Boolean);
        return (
          <Line key={job.id} to={jobPath(job)} what="On the Bench">
            {words.join(" · ") || "a job"}
            {job.down && <span className="text-quiet">waits for {job.down.why}</span>}
          </Line>
        );
      })}
      {rounds.map((round) => (
        <Line key={round.id} to={roundPath(round)} what="A round under way">
          {checklists.find((one) => one.id === round.checklist)?.name}
        </Line>
      ))}
      <Line to={beginRoundPath(id)} what="Begin a round" />
    </ul>
  );
}

function Line({
  to,
  what,
  children,
}: {
  readonly to: string;
  readonly what: string;
  readonly children?: ReactNode;
}): ReactElement {
  return (
    <li className="border-t border-hairline print:hidden">
      <Link
        to={to}
        className="flex min-h-11 flex-wrap items-center gap-x-3 hover:underline max-sm:min-h-12"
      >
        <strong className="font-semibold text-clear">{what}</strong>
        {children}
      </Link>
    </li>
  );
}
