import {
  JobRun,
  openJobs,
  type Finding,
  type Job,
  type JobEvent,
  type Machine,
  type MachineBook,
  type MachineId,
  type Person,
  type Task,
} from "@yonderfell/core";
import { useCallback, useMemo, useRef } from "react";
import { useLiveOf } from "../../data/useLiveOf.js";
import type { BookStorage } from "../../data/bookStorage.js";
import { useBook } from "../../session/openBook.js";
import { useMachineBook } from "../../session/useMachineBook.js";

/** A job with all that is shown of it. */
export interface ShownJob {
  readonly job: Job;
  readonly events: readonly JobEvent[];
  readonly machine: Machine;
  readonly tasks: readonly Task[];
  readonly findings: readonly Finding[];
  readonly people: readonly Person[];
  readonly run: JobRun<JobEvent>;
}

/** How many jobs that are finished stand on the Bench. */
const LATEST = 5;

type RunOf = (job: Job, events: readonly JobEvent[]) => JobRun<JobEvent>;

function shownOf(
  job: Job,
  events: readonly JobEvent[],
  book: MachineBook,
  people: readonly Person[],
  runOf: RunOf,
): ShownJob {
  const [machine] = book.machines;
  const tasks = book.tasks.filter(({ id }) => (job.tasks ?? []).includes(id));
  const findings = book.findings.filter(({ id }) => (job.findings ?? []).includes(id));
  return { job, events, machine, tasks, findings, people, run: runOf(job, events) };
}

async function jobsOfMachine(
  storage: BookStorage,
  machine: MachineId,
  people: readonly Person[],
  isWanted: (job: Job) => boolean,
  runOf: RunOf,
): Promise<ShownJob[]> {
  const [found, book] = await Promise.all([
    storage.ofMachine(machine, ["jobs", "jobEvents"]),
    storage.machineBook(machine),
  ]);
  if (book === null) return [];
  return found.jobs.filter(isWanted).map((job) => {
    const events = found.jobEvents.filter((event) => event.job === job.id);
    return shownOf(job, events, book, people, runOf);
  });
}

/** The jobs on the go, those put down last, then the latest that were finished; undefined until read. */
export function useBench():
  { readonly onTheGo: readonly ShownJob[]; readonly finished: readonly ShownJob[] } | undefined {
  const { storage } = useBook();
  const read = async () => {
    const [jobs, people] = await Promise.all([storage.list("jobs"), storage.list("people")]);
    const latest = jobs
      .filter(({ finished }) => finished)
      .sort((one, other) => ((one.finished?.on ?? "") < (other.finished?.on ?? "") ? 1 : -1))
      .slice(0, LATEST);
    const wanted = new Set([...openJobs(jobs), ...latest].map(({ id }) => id));
    const machines = [
      ...new Set(jobs.filter(({ id }) => wanted.has(id)).map(({ machine }) => machine)),
    ];
    const shown = await Promise.all(
      machines.map((machine) =>
        jobsOfMachine(
          storage,
          machine,
          people,
          ({ id }) => wanted.has(id),
          (job, events) => new JobRun(job, events),
        ),
      ),
    );
    const all = shown.flat();
    const onTheGo = all
      .filter(({ job }) => !job.finished)
      .sort((one, other) => Number(Boolean(one.job.down)) - Number(Boolean(other.job.down)));
    const finished = latest.flatMap(({ id }) => all.find(({ job }) => job.id === id) ?? []);
    return { onTheGo, finished };
  };
  return useLiveOf("bench", read, [storage]);
}

/** One job, current as it goes on: undefined until read, null where there is none. What is known of it already is not gone through again. */
export function useShownJob(machine: MachineId, id: string): ShownJob | null | undefined {
  const { storage } = useBook();
  const book = useMachineBook(machine);
  const people = useLiveOf("people", () => storage.list("people"), [storage]);
  const told = useLiveOf(
    `${machine} ${id}`,
    () => storage.ofMachine(machine, ["jobs", "jobEvents"]),
    [storage],
  );
  const runOf = useGoingOn();
  return useMemo(() => {
    if (book === undefined || people === undefined || told === undefined) return undefined;
    const job = told.jobs.find((one) => one.id === id);
    if (book === null || job === undefined) return null;
    const events = told.jobEvents.filter((event) => event.job === id);
    return shownOf(job, events, book.book, people, runOf);
  }, [book, people, told, id, runOf]);
}

/** The replay of the job in hand: of more events only those that are new are gone through. */
function useGoingOn(): RunOf {
  const going = useRef<{ readonly job: string; readonly run: JobRun<JobEvent> } | null>(null);
  return useCallback((job, events) => {
    const card = JSON.stringify([job.id, job.steps, job.tasks]);
    if (going.current?.job !== card) going.current = { job: card, run: new JobRun(job) };
    going.current.run.addAll(events);
    return going.current.run;
  }, []);
}
