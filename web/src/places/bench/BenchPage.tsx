import { Plus } from "lucide-react";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { dayOf } from "@yonderfell/core";
import { useAppSelector } from "../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { EmptyPlace } from "../../ui/EmptyPlace.js";
import { Page } from "../../ui/Page.js";
import { shortDate } from "../../words/format.js";
import { balanceWords, farWords, jobTitle, personWords, whoseIs } from "./benchWords.js";
import { Far } from "../shared/atTheMachine/Far.js";
import { jobPath } from "../shared/paths.js";
import { useBench, type ShownJob } from "./useBench.js";
import { useSystemNames } from "./useSystemNames.js";

/** The jobs on the go: whose they are, where they stand, what each waits for. */
export default function BenchPage(): ReactElement {
  const found = useBench();
  return (
    <Page
      title="Bench"
      aside={
        <div className="flex flex-wrap gap-3">
          <Link to="/bench/ways" className={QUIET_BUTTON}>
            Ways of working
          </Link>
          <Link to="/bench/new" className={PRIMARY_BUTTON}>
            <Plus size={18} aria-hidden="true" />
            Begin a job
          </Link>
        </div>
      }
    >
      {found?.onTheGo.length === 0 && (
        <EmptyPlace words="Nothing is being worked on. A job is begun from a strip, a finding or a machine; the Bench then takes one through it step by step, counts what went out and in, and writes it into the log." />
      )}
      {found !== undefined && found.onTheGo.length > 0 && (
        <ul>
          {found.onTheGo.map((shown) => (
            <JobLine key={shown.job.id} shown={shown} />
          ))}
        </ul>
      )}
      {found !== undefined && found.finished.length > 0 && (
        <section className="mt-8">
          <h2 className="text-large font-bold">Finished lately</h2>
          <ul>
            {found.finished.map((shown) => (
              <FinishedLine key={shown.job.id} shown={shown} />
            ))}
          </ul>
        </section>
      )}
    </Page>
  );
}

function JobLine({ shown }: { readonly shown: ShownJob }): ReactElement {
  const { job, people, machine, run } = shown;
  const nameOf = useSystemNames(machine.id);
  const state = run.state();
  const next = (job.steps ?? []).find(({ id }) => id === state.next);
  const whose = personWords(whoseIs(shown), people);
  const balances = balanceWords(state, nameOf);
  const closed = state.steps.filter((one) => one.state === "done" || one.state === "skipped");
  return (
    <li className="border-t border-hairline">
      <Link
        to={jobPath(job)}
        className="grid items-start gap-x-6 gap-y-1 rounded-[3px] py-4 hover:bg-wash md:grid-cols-[4rem_minmax(0,1fr)_minmax(0,1.4fr)_10rem]"
      >
        <span className="font-mono text-title leading-none font-bold">{machine.tag}</span>
        <span>
          <strong className="block text-large leading-snug">{jobTitle(shown)}</strong>
          <span className="text-quiet">{machine.name}</span>
        </span>
        <span>
          {job.down ? (
            <>
              <strong className="block text-soon-text">Put down</strong>
              waits for {job.down.why}
            </>
          ) : (
            next !== undefined && (
              <>
                <span className="block text-fine text-quiet">next</span>
                <strong className="font-semibold">{next.name}</strong>
              </>
            )
          )}
          {balances.map((words) => (
            <span key={words} className="block font-mono text-due">
              {words}
            </span>
          ))}
        </span>
        <span>
          <Far done={closed.length} of={state.steps.length} />
          <span className="block text-fine text-quiet">{farWords(state)}</span>
          {whose !== "" && <span className="block text-quiet">{whose}</span>}
        </span>
      </Link>
    </li>
  );
}

function FinishedLine({ shown }: { readonly shown: ShownJob }): ReactElement {
  const { job, machine } = shown;
  const today = useAppSelector((state) => state.session.today);
  return (
    <li className="border-t border-hairline">
      <Link
        to={jobPath(job)}
        className="grid min-h-12 items-center gap-x-6 rounded-[3px] py-2 hover:bg-wash md:grid-cols-[4rem_minmax(0,1fr)_minmax(0,1.4fr)_10rem]"
      >
        <span className="font-mono font-bold">{machine.tag}</span>
        <span>{jobTitle(shown)}</span>
        <span className="text-quiet">{machine.name}</span>
        <span className="text-quiet">
          {job.finished?.entry ? "finished" : "given up"}{" "}
          {job.finished && shortDate(dayOf(job.finished.on), today)}
        </span>
      </Link>
    </li>
  );
}
