import { dayOf, lateEvents } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { Page } from "../../ui/Page.js";
import { counted, fullDate } from "../../words/format.js";
import { machinePath } from "../shared/paths.js";
import { balanceWords, jobTitle } from "./benchWords.js";
import type { ShownJob } from "./useBench.js";
import { Thread } from "./Thread.js";
import { useSystemNames } from "./useSystemNames.js";

/** A job that is finished, as it was; what is told of it later by hand-over changes nothing. */
export function FinishedJob({ shown }: { readonly shown: ShownJob }): ReactElement {
  const { job, machine, events, run } = shown;
  const { finished } = job;
  const state = run.state();
  const nameOf = useSystemNames(machine.id);
  const late = lateEvents(job, events);
  return (
    <Page title={`${machine.tag} ${jobTitle(shown)}`}>
      <p className="mb-4">
        {finished?.entry ? "Finished" : "Given up"}
        {finished && `, ${fullDate(dayOf(finished.on))}`}.{" "}
        <Link to={machinePath(machine.id)} className="text-clear underline">
          {machine.name}, with its history
        </Link>
      </p>
      {late.length > 0 && (
        <p className="mb-4 border-l-4 border-due pl-3">
          <strong>{counted(late.length, "thing")} told of it came later, from another copy.</strong>{" "}
          They are shown below and change nothing: where the entry is wrong, correct it in the
          history.
        </p>
      )}
      <p className="mb-4 text-quiet empty:hidden">{balanceWords(state, nameOf).join("; ")}</p>
      <div className="max-w-[46rem]">
        <Thread steps={job.steps ?? []} state={state} inHand={null} />
      </div>
    </Page>
  );
}
