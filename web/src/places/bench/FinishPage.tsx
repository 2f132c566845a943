import { jobWork, lastToldAt, type CardFrom, type JobWork, type MachineId } from "@yonderfell/core";
import { useMemo, useState, type ReactElement } from "react";
import { Link, useParams } from "react-router";
import { currentDay } from "../../data/today.js";
import { useMachineBook } from "../../session/useMachineBook.js";
import { useWorkSource, type WorkSource } from "../../session/useWorkSource.js";
import { Page } from "../../ui/Page.js";
import { NoSuchJob } from "./NoSuchJob.js";
import { quantityWords } from "../../words/quantityWords.js";
import { LogWorkForm } from "../shared/logging/LogWorkForm.js";
import { draftKeyOf, useKeptForm } from "../shared/logging/useLogDraft.js";
import { jobTitle, personWords } from "./benchWords.js";
import { jobPath } from "../shared/paths.js";
import { FinishedJob } from "./FinishedJob.js";
import { TagLink } from "./TagLink.js";
import { useShownJob, type ShownJob } from "./useBench.js";

/** What cards and entries of a machine are made from, as far as it is at hand. */
function cardSource(source: WorkSource): CardFrom {
  const { plate, parts, products, stockMoves } = source;
  const [machine] = source.book.machines;
  return { machine, plate, parts, products, stockMoves, methods: [], onHand: null };
}

/** The entry that a job writes: proposed whole, changed where it is wrong, saved with the job in one change. */
export default function FinishPage(): ReactElement | null {
  const { machineId = "", jobId = "" } = useParams();
  const id = machineId as MachineId;
  const found = useMachineBook(id);
  const work = useWorkSource(id);
  const kept = useKeptForm(draftKeyOf(id, null, jobId));
  const now = useShownJob(id, jobId);
  const shown = useAsBegun(now);
  const proposed = useMemo(() => proposedOf(shown, work), [shown, work]);
  if (found === undefined || work === undefined || kept === undefined || now === undefined) {
    return null;
  }
  if (found === null || work === null || shown === null || proposed === null) {
    if (now?.job.finished) return <FinishedJob shown={now} />;
    return <NoSuchJob title="Finish" />;
  }
  const { job, machine, events } = shown;
  const at = lastToldAt(events);
  const day = at === null ? currentDay() : currentDay(new Date(at));
  const { id: jobName } = job;
  return (
    <Page title={`Finish: ${machine.tag} ${jobTitle(shown)}`}>
      {now?.job.finished ? (
        <TagLink job={now.job} />
      ) : (
        <p className="mb-4 text-quiet">
          This goes into the log. Change what is wrong; nothing is written before you save it.{" "}
          <Link to={jobPath(job)} className="text-clear underline">
            Back to the job
          </Link>
        </p>
      )}
      <LogWorkForm
        {...{ ...found, work, kept, asked: [], closes: [], measures: [] }}
        correcting={null}
        finishing={{ job: jobName, proposed, day, toldAt: at }}
      />
      {!now?.job.finished && <AlsoWritten proposed={proposed} shown={shown} />}
    </Page>
  );
}

/** The job as it was before it was finished: what was proposed stays while it is said what came of it. */
function useAsBegun(now: ShownJob | null | undefined): ShownJob | null {
  const [begun, setBegun] = useState<ShownJob | null>(null);
  const isOnTheGo = now !== undefined && now !== null && !now.job.finished;
  if (isOnTheGo && begun !== now) setBegun(now);
  return begun;
}

function proposedOf(shown: ShownJob | null, work: WorkSource | null | undefined): JobWork | null {
  if (shown === null || work === null || work === undefined) return null;
  const { job, events, people, tasks } = shown;
  const taskName = (id: string): string => tasks.find((task) => task.id === id)?.name ?? id;
  return jobWork(job, events, cardSource(work), { people, taskName });
}

/** What goes with the entry beside what the form shows: torques, cautions with who, what was left out and why. */
function AlsoWritten({
  proposed: { took },
  shown: { people },
}: {
  readonly proposed: JobWork;
  readonly shown: ShownJob;
}): ReactElement {
  const by = (who: string | null | undefined): string =>
    who ? `, ${personWords(who, people)}` : "";
  const lists = [
    [
      "Tightened",
      (took.torques ?? []).map(
        ({ name, torque, by: who }) =>
          `${name}${torque ? `: ${quantityWords(torque)}` : ""}${by(who)}`,
      ),
    ],
    ["Cautions met", (took.met ?? []).map(({ caution, by: who }) => `${caution}${by(who)}`)],
    [
      "Left out",
      (took.left ?? []).map(({ step, reason }) => `${step}${reason ? `: ${reason}` : ""}`),
    ],
    ["Pictures", (took.pictures ?? []).map(({ caption }) => caption ?? "a picture")],
  ] as const;
  return (
    <section className="mt-8 max-w-[76rem] border-t border-rule pt-4">
      <h2 className="text-large font-bold">Also written</h2>
      <div className="grid gap-x-10 sm:grid-cols-2">
        {lists.map(([title, lines]) =>
          lines.length === 0 ? null : (
            <div key={title} className="pt-3">
              <h3 className="font-semibold">{title}</h3>
              <ul>
                {lines.map((line) => (
                  <li key={line} className="border-t border-hairline py-1.5">
                    {line}
                  </li>
                ))}
              </ul>
            </div>
          ),
        )}
      </div>
    </section>
  );
}
