import {
  cardIssuesOf,
  changedCard,
  notKept,
  type JobStep,
  type MachineId,
  type NotKept,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { PRIMARY_BUTTON } from "../../ui/buttons.js";
import { FormFoot } from "../../ui/FormFoot.js";
import { Page } from "../../ui/Page.js";
import { NoSuchJob } from "./NoSuchJob.js";
import { jobTitle } from "./benchWords.js";
import { jobPath } from "../shared/paths.js";
import { CardSteps } from "./CardSteps.js";
import { useShownJob, type ShownJob } from "./useBench.js";
import { useTaps } from "./useTaps.js";
import { useWhoIsHere } from "../shared/atTheMachine/whoIsHere.js";

/** The card of a job on the go, changed: what was done stays where the step is the same. */
export default function ChangeCardPage(): ReactElement | null {
  const { machineId = "", jobId = "" } = useParams();
  const shown = useShownJob(machineId as MachineId, jobId);
  if (shown === undefined) return null;
  if (shown === null || shown.job.finished) {
    return <NoSuchJob title="Change the card" words="There is no such job on the go." />;
  }
  return <ChangedCard key={shown.job.id} shown={shown} />;
}

function ChangedCard({ shown }: { readonly shown: ShownJob }): ReactElement {
  const { job, machine, events, tasks } = shown;
  const [who] = useWhoIsHere();
  const taps = useTaps(shown, who);
  const navigate = useNavigate();
  const before = job.steps ?? [];
  const [steps, setSteps] = useState<readonly JobStep[]>(before);
  const named = changedCard(before, steps, events);
  const lost = notKept(job, named, events);
  const isChanged = JSON.stringify(steps) !== JSON.stringify(before);
  const save = async (): Promise<void> => {
    if (await taps.change(named, job.tasks ?? [])) await navigate(jobPath(job));
  };
  return (
    <Page title={`Change the card: ${machine.tag} ${jobTitle(shown)}`}>
      <div className="max-w-[60rem]">
        <CardSteps
          isOpen
          steps={steps}
          hasIssues={cardIssuesOf(named).length > 0}
          tasks={tasks}
          onSteps={setSteps}
          {...(isChanged ? { onAsMade: () => setSteps(before) } : {})}
        />
        {lost.length > 0 && <Lost lost={lost} />}
        <FormFoot>
          <button
            type="button"
            className={PRIMARY_BUTTON}
            disabled={!isChanged}
            onClick={() => void save()}
          >
            Work by this card
          </button>
          <Link to={jobPath(job)} className="flex min-h-12 items-center text-clear underline">
            Back to the job
          </Link>
          <p role="alert" className="font-semibold text-due empty:hidden">
            {taps.failure}
          </p>
        </FormFoot>
      </div>
    </Page>
  );
}

/** What was told of steps that would be gone. */
function Lost({ lost }: { readonly lost: readonly NotKept[] }): ReactElement {
  return (
    <div className="mt-4 border-l-4 border-due pl-3">
      <h2 className="font-semibold text-due">This cannot be kept</h2>
      <ul>
        {lost.map(({ step, name, was }) => (
          <li key={step}>
            {name}: {was}
          </li>
        ))}
      </ul>
    </div>
  );
}
