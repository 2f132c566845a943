import { openJobs, type BoardMachine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
import { jobPath } from "../shared/paths.js";

/** The jobs that are on the go on a machine, each with the way there; nothing where there are none. */
export function OnTheBench({ machine }: { readonly machine: BoardMachine }): ReactElement | null {
  const { storage } = useBook();
  const { id } = machine.machine;
  const found = useLiveOf(id, () => storage.ofMachine(id, ["jobs"]), [storage]);
  const jobs = openJobs(found?.jobs ?? []);
  if (jobs.length === 0) return null;
  return (
    <ul className="mb-5">
      {jobs.map((job) => {
        const tasks = machine.tasks.filter(({ task }) => (job.tasks ?? []).includes(task.id));
        const words = [job.name ?? "", ...tasks.map(({ task }) => task.name)].filter(Boolean);
        return (
          <li key={job.id} className="border-t border-hairline">
            <Link
              to={jobPath(job)}
              className="flex min-h-11 flex-wrap items-center gap-x-3 hover:underline max-sm:min-h-12"
            >
              <strong className="font-semibold text-clear">On the Bench</strong>
              {words.join(" · ") || "a job"}
              {job.down && <span className="text-quiet">waits for {job.down.why}</span>}
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
