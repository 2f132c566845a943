import {
  dayOf,
  type BoardMachine,
  type Entry,
  type MachineId,
  type TaskReckoning,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link, useParams } from "react-router";
import { useMachineBook } from "../../session/useMachineBook.js";
import { useAppSelector } from "../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { Page } from "../../ui/Page.js";
import { NoSuchJob } from "./NoSuchJob.js";
import { dialFigureWithUnit, fullDate } from "../../words/format.js";
import { unitOf } from "../../words/limitWords.js";
import { quantityWords } from "../../words/quantityWords.js";
import { jobTitle } from "./benchWords.js";
import { jobPath } from "../shared/paths.js";
import { useShownJob } from "./useBench.js";

/** What is written on the filter and under the bonnet once a job is finished: day, dial, what went in, what comes next. */
export default function TagPage(): ReactElement | null {
  const { machineId = "", jobId = "" } = useParams();
  const shown = useShownJob(machineId as MachineId, jobId);
  const found = useMachineBook(machineId as MachineId);
  const onBoard = useAppSelector((state) =>
    state.board.machines.find(({ machine }) => machine.id === machineId),
  );
  if (shown === undefined || found === undefined) return null;
  const entry = found?.book.entries.find(({ id }) => id === shown?.job.finished?.entry);
  if (shown === null || entry === undefined) {
    return <NoSuchJob title="Tag" words="There is a tag once the job is finished." />;
  }
  const title = `${shown.machine.tag} ${jobTitle(shown)}`;
  return (
    <Page
      title={`Tag: ${title}`}
      aside={
        <div className="flex gap-3 print:hidden">
          <Link to={jobPath(shown.job)} className={QUIET_BUTTON}>
            The job
          </Link>
          <button type="button" className={PRIMARY_BUTTON} onClick={() => window.print()}>
            Print
          </button>
        </div>
      }
    >
      <div className="flex flex-wrap gap-6">
        <TagOf name="On the filter" entry={entry} shown={shown} onBoard={null} />
        <TagOf name="Under the bonnet" entry={entry} shown={shown} onBoard={onBoard ?? null} />
      </div>
    </Page>
  );
}

/** When a task comes again, by each of its limits: `41 350 km or 30 Nov 2027`. */
function nextWords({ limits }: TaskReckoning, machine: BoardMachine): string {
  const ends = limits.flatMap((limit) => {
    switch (limit.kind) {
      case "calendar":
        return limit.dueOn === null ? [] : [fullDate(limit.dueOn)];
      case "meter":
      case "measured": {
        const unit = unitOf(machine, limit.limit.meter);
        return limit.dialAt === null ? [] : [dialFigureWithUnit(limit.dialAt, unit)];
      }
    }
  });
  return ends.length === 0 ? "not known" : ends.join(" or ");
}

function TagOf({
  name,
  entry,
  shown: { machine, tasks },
  onBoard,
}: {
  readonly name: string;
  readonly entry: Entry;
  readonly shown: NonNullable<ReturnType<typeof useShownJob>>;
  /** The machine with what is due on it; null where the tag does not say. */
  readonly onBoard: BoardMachine | null;
}): ReactElement {
  const done = tasks.filter(({ id }) => (entry.tasks ?? []).includes(id));
  const dials = (machine.meters ?? []).flatMap(({ id, unit }) => {
    const value = entry.meters?.[id];
    return value === undefined ? [] : [dialFigureWithUnit(value, unit)];
  });
  const next = (onBoard?.tasks ?? []).filter(({ task }) => done.some(({ id }) => id === task.id));
  return (
    <article className="w-[22rem] border-2 border-ink bg-raised p-4 break-inside-avoid">
      <h2 className="text-fine text-quiet">{name}</h2>
      <p className="font-mono text-title font-bold">
        {machine.tag} <span className="font-sans text-large">{machine.name}</span>
      </p>
      <p className="text-large font-semibold">{done.map((task) => task.name).join(", ")}</p>
      <p className="font-mono text-large">
        {fullDate(dayOf(entry.date))}
        {dials.length > 0 && ` · ${dials.join(" · ")}`}
      </p>
      {(entry.fluids ?? []).map(({ fluid, in: filled }) =>
        filled ? <p key={fluid}>{quantityWords(filled)} in</p> : null,
      )}
      {next.length > 0 && (
        <>
          <h3 className="mt-2 border-t border-rule pt-2 text-fine text-quiet">Next</h3>
          {next.map((task) => (
            <p key={task.task.id} className="font-semibold">
              {next.length > 1 && `${task.task.name}: `}
              {nextWords(task, onBoard as BoardMachine)}
            </p>
          ))}
        </>
      )}
    </article>
  );
}
