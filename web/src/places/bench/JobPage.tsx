import type { JobState, MachineId } from "@yonderfell/core";
import { ChevronLeft, ListTree } from "lucide-react";
import { useEffect, useRef, useState, type ReactElement } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { NoSuchJob } from "./NoSuchJob.js";
import { counted } from "../../words/format.js";
import { farWords, jobTitle, personWords, unfinishedWords, whoseIs } from "./benchWords.js";
import { jobPath } from "../shared/paths.js";
import { usePlug } from "../shared/plug/usePlug.js";
import { FinishedJob } from "./FinishedJob.js";
import { PutDown } from "./PutDown.js";
import { StepAside } from "./StepAside.js";
import { StepInHand } from "./StepInHand.js";
import { Thread } from "./Thread.js";
import { useAwake } from "../shared/atTheMachine/useAwake.js";
import { useShownJob, type ShownJob } from "./useBench.js";
import { useTaps } from "./useTaps.js";
import { useNow } from "../shared/atTheMachine/useNow.js";
import { useWhoIsHere } from "../shared/atTheMachine/whoIsHere.js";
import { WhoField } from "../shared/atTheMachine/WhoField.js";

/** A job at the machine: one step at a time, the whole card beside it. */
export default function JobPage(): ReactElement | null {
  const { machineId = "", jobId = "" } = useParams();
  const shown = useShownJob(machineId as MachineId, jobId);
  if (shown === undefined) return null;
  if (shown === null) {
    return <NoSuchJob />;
  }
  return shown.job.finished ? <FinishedJob shown={shown} /> : <JobOnTheGo shown={shown} />;
}

/** Where one is on a card: the step asked for, else the one that is next. */
function useStepInHand({ job, run }: ShownJob) {
  const now = useNow(10_000);
  const state = run.state(now);
  const [search, setSearch] = useSearchParams();
  const steps = job.steps ?? [];
  const asked = search.get("step");
  const inHand = steps.some(({ id }) => id === asked) ? asked : state.next;
  const onGo = (id: string | null): void =>
    setSearch(id === null ? {} : { step: id }, { replace: true });
  const standing = state.steps.find(({ id }) => id === inHand);
  useClosedGoesOn(asked, standing?.state, onGo);
  return { state, steps, inHand, onGo, standing, step: steps.find(({ id }) => id === inHand) };
}

function JobOnTheGo({ shown }: { readonly shown: ShownJob }): ReactElement {
  const { job, machine, people } = shown;
  const [who, setWho] = useWhoIsHere();
  const taps = useTaps(shown, who);
  const plug = usePlug();
  const { state, steps, inHand, onGo, standing, step } = useStepInHand(shown);
  useAwake(true);
  const [isListShown, setIsListShown] = useState(false);
  const title = `${machine.tag} ${jobTitle(shown)}`;
  useEffect(() => {
    document.title = `${title} · Yonderfell`;
  }, [title]);
  const goTo = (id: string): void => {
    onGo(id);
    setIsListShown(false);
  };
  const isThere = step !== undefined && standing !== undefined;
  const hidden = isListShown ? "max-lg:hidden" : "";
  return (
    <main
      data-at-the-machine
      className="mx-auto grid min-h-[calc(100dvh-3.25rem)] w-full max-w-[1600px] grid-rows-[auto_1fr] px-7 max-sm:min-h-dvh max-sm:px-4"
    >
      <JobHead
        {...{ shown, state, title, isListShown }}
        onList={() => setIsListShown(!isListShown)}
      />
      <div className="grid gap-x-8 lg:grid-cols-[22rem_1fr_16rem]">
        <nav
          aria-label="Steps"
          className={`overflow-y-auto py-4 lg:sticky lg:top-0 lg:block lg:max-h-dvh ${isListShown ? "" : "hidden"}`}
        >
          <Thread steps={steps} state={state} inHand={inHand} onGo={goTo} />
        </nav>
        <div className={`flex flex-col pt-4 max-lg:min-h-[calc(100dvh-7rem)] ${hidden}`}>
          {job.down && <DownNote job={job} people={people} />}
          {isThere ? (
            <StepInHand {...{ shown, state, step, standing, taps, plug, onGo: goTo }} />
          ) : (
            <NothingNext state={state} shown={shown} />
          )}
          <p role="alert" className="pb-2 font-semibold text-due empty:hidden">
            {taps.failure}
          </p>
        </div>
        <aside className={`space-y-4 py-4 ${hidden}`}>
          {isThere && <StepAside {...{ shown, state, step, standing, taps, plug, onGo: goTo }} />}
          <WhoField label="Who is here" people={people} who={who} onWho={setWho} />
          <PutDown taps={taps} who={who} />
          <Link to={jobPath(job, "/card")} className={ASIDE}>
            Change the card
          </Link>
          <FinishLink state={state} shown={shown} />
        </aside>
      </div>
    </main>
  );
}

const ASIDE = `${QUIET_BUTTON} min-h-12 w-full justify-center`;

/** Which job it is, how far, whose; on a narrow screen the way to its whole card. */
function JobHead({
  shown,
  state,
  title,
  isListShown,
  onList,
}: {
  readonly shown: ShownJob;
  readonly state: JobState;
  readonly title: string;
  readonly isListShown: boolean;
  readonly onList: () => void;
}): ReactElement {
  const whose = personWords(whoseIs(shown), shown.people);
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-hairline py-2">
      <Link to="/bench" className="flex min-h-12 items-center gap-1 text-clear">
        <ChevronLeft size={18} aria-hidden="true" />
        All jobs
      </Link>
      <h1 className="text-large font-bold max-sm:order-3 max-sm:w-full">{title}</h1>
      <p className="text-quiet max-sm:order-4 max-sm:w-full">
        {farWords(state)}
        {whose !== "" && ` · ${whose}`}
      </p>
      <button
        type="button"
        aria-expanded={isListShown}
        className="ml-auto flex min-h-12 items-center gap-1.5 px-2 font-medium lg:hidden"
        onClick={onList}
      >
        <ListTree size={18} aria-hidden="true" />
        {isListShown ? "The step" : "The card"}
      </button>
    </header>
  );
}

/** A step that was asked for and is now closed gives way to the one that is next. */
function useClosedGoesOn(
  asked: string | null,
  standing: JobState["steps"][number]["state"] | undefined,
  onGo: (step: string | null) => void,
): void {
  const was = useRef({ asked, standing });
  useEffect(() => {
    const before = was.current;
    was.current = { asked, standing };
    const isNowClosed = standing === "done" || standing === "skipped";
    const wasOpen = before.standing === "open" || before.standing === "held";
    if (asked !== null && before.asked === asked && isNowClosed && wasOpen) onGo(null);
  }, [asked, standing, onGo]);
}

function DownNote({ job, people }: Pick<ShownJob, "job" | "people">): ReactElement {
  return (
    <p className="mb-3 border-l-4 border-soon pl-3">
      <strong>Put down</strong>
      {job.down?.by && `, ${personWords(job.down.by, people)}`}: {job.down?.why}
    </p>
  );
}

/** Nothing is open: it can be finished, or what keeps it from that. */
function NothingNext({
  state,
  shown,
}: {
  readonly state: JobState;
  readonly shown: ShownJob;
}): ReactElement {
  const navigate = useNavigate();
  const isReady = state.unfinished.length === 0;
  return (
    <section aria-label="Step in hand" className="space-y-4 py-6">
      <h2 className="text-[1.625rem] leading-tight font-bold sm:text-[2.25rem]">
        {isReady ? "Everything on the card is done" : "Nothing is open, but it is not finished"}
      </h2>
      <Unfinished state={state} shown={shown} />
      {isReady && (
        <button
          type="button"
          className={`${PRIMARY_BUTTON} min-h-16 text-large`}
          autoFocus
          onClick={() => void navigate(jobPath(shown.job, "/finish"))}
        >
          Finish: write it in the log
        </button>
      )}
    </section>
  );
}

/** What keeps a job from being finished, each with the way there. */
function Unfinished({
  state,
  shown,
}: {
  readonly state: JobState;
  readonly shown: ShownJob;
}): ReactElement | null {
  if (state.unfinished.length === 0) return null;
  const steps = shown.job.steps ?? [];
  return (
    <ul>
      {state.unfinished.map(({ code, step }) => (
        <li key={`${code} ${step}`} className="border-t border-hairline py-1">
          <Link
            to={`${jobPath(shown.job)}?step=${encodeURIComponent(step)}`}
            className="flex min-h-12 items-center underline"
          >
            {steps.find(({ id }) => id === step)?.name}: {unfinishedWords(code)}
          </Link>
        </li>
      ))}
    </ul>
  );
}

/** The way to the end: open whenever nothing is left open, also where not all is done. */
function FinishLink({
  state,
  shown,
}: {
  readonly state: JobState;
  readonly shown: ShownJob;
}): ReactElement {
  const [isOpen, setIsOpen] = useState(false);
  if (state.unfinished.length === 0) {
    return (
      <Link
        to={jobPath(shown.job, "/finish")}
        className={`${QUIET_BUTTON} min-h-12 w-full justify-center`}
      >
        Finish the job
      </Link>
    );
  }
  return (
    <div>
      <button
        type="button"
        aria-expanded={isOpen}
        className={`${QUIET_BUTTON} min-h-12 w-full justify-center`}
        onClick={() => setIsOpen(!isOpen)}
      >
        Not to be finished yet: {counted(state.unfinished.length, "reason")}
      </button>
      {isOpen && <Unfinished state={state} shown={shown} />}
    </div>
  );
}
