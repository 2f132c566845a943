import {
  dayOf,
  standingFor,
  type BoardMachine,
  type Entry,
  type MachineId,
  type TaskReckoning,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link, useParams } from "react-router";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
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
import { useSystemNames } from "./useSystemNames.js";

/** What is written on the filter and under the bonnet once a job is finished: day, dial, what went in, what comes next. */
export default function TagPage(): ReactElement | null {
  const { machineId = "", jobId = "" } = useParams();
  const shown = useShownJob(machineId as MachineId, jobId);
  const found = useMachineBook(machineId as MachineId);
  const { storage } = useBook();
  const products = useLiveOf("products", () => storage.list("products"), [storage]);
  const systemOf = useSystemNames(machineId as MachineId);
  const onBoard = useAppSelector((state) =>
    state.board.machines.find(({ machine }) => machine.id === machineId),
  );
  if (shown === undefined || found === undefined || products === undefined) return null;
  const written = shown?.job.finished?.entry;
  const entry = written ? standingFor(found?.book.entries ?? [], written) : null;
  if (shown === null || entry === null) {
    const words = written
      ? "What the job wrote has been struck out of the log: there is nothing to tag."
      : "There is a tag once the job is finished.";
    return <NoSuchJob title="Tag" words={words} />;
  }
  const filled = (entry.fluids ?? []).flatMap(({ fluid, product, in: amount }) => {
    if (!amount) return [];
    const name = products.find(({ id }) => id === product)?.name ?? "";
    return [[systemOf(fluid), quantityWords(amount), name].filter(Boolean).join(" ")];
  });
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
        <TagOf name="On the filter" {...{ entry, filled, shown }} onBoard={null} />
        <TagOf name="Under the bonnet" {...{ entry, filled, shown }} onBoard={onBoard ?? null} />
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
  filled,
  shown: { machine, tasks },
  onBoard,
}: {
  readonly name: string;
  readonly entry: Entry;
  /** What went in, each as one line. */
  readonly filled: readonly string[];
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
      {filled.map((line) => (
        <p key={line}>{line}</p>
      ))}
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
