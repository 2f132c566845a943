import type { Entry } from "../../book/records/entry.js";
import type { Finding } from "../../book/records/finding.js";
import type { Fluid } from "../../book/records/fluid.js";
import type { EntryId, FindingId, FluidId, MeterId } from "../../book/records/ids.js";
import type { Job } from "../../book/records/job.js";
import type { Machine, Meter } from "../../book/records/machine.js";
import type { Sample } from "../../book/records/sample.js";
import type { Task } from "../../book/records/task.js";
import { byDate, type CurrentRecord } from "../../book/slice/currentRecords.js";
import { dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { limitsOfKind } from "../../limit/limit.js";
import type { Verdict } from "../../inspect/verdict.js";
import type { MeterReckoning } from "../../meter/reckonMeter.js";
import {
  judgeSamples,
  samplesOf,
  type JudgedSample,
  type SampleAdvice,
} from "../../samples/judgeSample.js";
import { completionLife, isLater, type Completion } from "../../schedule/completion.js";
import { intervalsOn } from "../../schedule/takenInterval.js";
import { limitsInForce } from "../../schedule/taskDue.js";
import { isAbove, isBelow } from "../../sums/nearly.js";
import { intervalAdvice, INTERVAL_STEP, type AsFound, type IntervalAdvice } from "../useSums.js";

/** Something that was seen of a task's turn, with the record it stands in. */
export type Evidence =
  | {
      readonly kind: "measure";
      readonly entry: EntryId;
      readonly name: string;
      readonly verdict: Verdict;
    }
  | {
      readonly kind: "finding";
      readonly finding: FindingId;
      readonly what: string;
      readonly verdict: Verdict | null;
    }
  | { readonly kind: "sample"; readonly sample: Sample; readonly advice: SampleAdvice }
  | { readonly kind: "test"; readonly entry: EntryId; readonly found: string | null };

/** A turn of a task at which something was seen, beside what its interval let expect. */
export interface TurnSeen {
  readonly entry: EntryId;
  readonly day: DayNumber;
  /** What the machine ran since the turn before, in the meter's unit. */
  readonly run: number;
  readonly found: AsFound;
  readonly evidence: readonly Evidence[];
  /**
   * Why it counts for nothing; null where it counts. It was worse, but came so `late` that its interval is not to blame; or it was
   * `before` the interval was last changed by what was learned.
   */
  readonly leftOut: "late" | "before" | null;
}

/** What the turns of a task say of its interval on a meter. */
export interface IntervalSeen {
  readonly task: Task;
  readonly meter: MeterId;
  /** In which it and the runs are counted. */
  readonly unit: Meter["unit"];
  readonly every: number;
  /** What the handbook gives on the meter; null where it gives none. */
  readonly maker: number | null;
  /** The earliest first; those at which nothing was looked at are not among them. */
  readonly turns: readonly TurnSeen[];
  readonly advice: IntervalAdvice;
}

/** Of a machine, what intervals are judged by. */
export interface IntervalSource {
  readonly machine: Machine;
  readonly tasks: readonly Task[];
  readonly entries: readonly CurrentRecord<Entry>[];
  readonly findings: readonly Finding[];
  readonly fluids: readonly Fluid[];
  readonly samples: readonly Sample[];
  readonly jobs: readonly Job[];
  readonly meters: ReadonlyMap<MeterId, MeterReckoning>;
  readonly today: DayNumber;
}

/** The same with what is asked of it turn by turn gathered once. */
interface Gathered extends IntervalSource {
  /** Entries that tested a task. */
  readonly tests: readonly CurrentRecord<Entry>[];
  /** The judged samples of a fluid, the oldest first. */
  readonly judged: (fluid: FluidId) => readonly JudgedSample[];
}

function gathered(source: IntervalSource): Gathered {
  const known = new Map<FluidId, readonly JudgedSample[]>();
  const { entries, samples, machine } = source;
  return {
    ...source,
    tests: entries.filter(({ record }) => (record.lookAgain ?? []).length > 0),
    judged: (fluid) => {
      const found = known.get(fluid) ?? judgeSamples(samplesOf(samples, fluid), machine);
      known.set(fluid, found);
      return found;
    },
  };
}

/** A turn that ran past its interval by more than this share of it (or its grace) is late, one that ran less than the other share is early. */
const LATE = 1.1;
const EARLY = 0.8;

const isBad = (verdict: string | null | undefined): boolean =>
  verdict === "attend" || verdict === "stop";

/** Verdicts that say something of what was looked at. */
const isSaid = (verdict: string | null | undefined): verdict is Verdict =>
  isBad(verdict) || verdict === "sound" || verdict === "watch";

const isAlone = ({ tasks }: Entry): boolean => new Set(tasks).size === 1;

/** What was measured at a task: all where it was done alone, else at the steps of its own in the job that wrote the entry. */
function measuresOf(task: Task, entry: Entry, jobs: readonly Job[]): Evidence[] {
  const steps = jobs.find(({ id }) => id === entry.job)?.steps ?? [];
  const own = steps.filter(({ tasks }) => tasks?.includes(task.id) === true);
  return (entry.measures ?? []).flatMap(({ name, verdict }): Evidence[] => {
    const isOfStep = own.some((step) => name === step.name || name.startsWith(`${step.name}, `));
    return (isAlone(entry) || isOfStep) && isSaid(verdict)
      ? [{ kind: "measure", entry: entry.id, name, verdict }]
      : [];
  });
}

/** What was found by the job of an entry, or closed by it, and is of the task: it was done alone, or where it was found is a system the task uses. */
function findingsOf(task: Task, entry: Entry, { findings, fluids }: IntervalSource): Evidence[] {
  const systems = new Set(
    fluids
      .filter(({ id }) => (task.uses ?? []).some((use) => use.fluid === id))
      .map(({ system }) => system.toLowerCase()),
  );
  return findings
    .filter(({ id, job }) => (job && job === entry.job) || entry.closes?.includes(id) === true)
    .filter(({ where }) => isAlone(entry) || systems.has((where ?? "").toLowerCase()))
    .map(({ id, what, kind, verdict }) => ({
      ...{ kind: "finding", finding: id, verdict: verdict ?? null },
      what: what ?? kind ?? "",
    }));
}

/** The last sample of the task's fluids between two turns. */
function sampleOf(task: Task, { judged }: Gathered, after: DayNumber, upTo: DayNumber): Evidence[] {
  return (task.uses ?? []).flatMap(({ fluid }): Evidence[] => {
    const last = judged(fluid).findLast(({ sample }) => {
      const day = dayOf(sample.date);
      return day > after && day <= upTo;
    });
    return last === undefined ? [] : [{ kind: "sample", sample: last.sample, advice: last.advice }];
  });
}

/** Tests between two turns that found the task sound and put it off. */
function testsOf(task: Task, from: Completion, to: Completion, { tests }: Gathered): Evidence[] {
  return tests
    .filter((one) => isLater(one, from) && isLater(to, one))
    .flatMap(({ record }) =>
      (record.lookAgain ?? [])
        .filter((look) => look.task === task.id)
        .map(({ found }) => ({ kind: "test" as const, entry: record.id, found: found ?? null })),
    );
}

/** What one thing seen says. */
function saysOf(seen: Evidence): AsFound {
  switch (seen.kind) {
    case "measure":
    case "finding":
      return isBad(seen.verdict) ? "worse" : "as expected";
    case "test":
      return "better";
    case "sample":
      return seen.advice === "extend" ? "better" : seen.advice === "keep" ? "as expected" : "worse";
  }
}

/** What all things seen say together: the worst speaks first; better after a run that was cut short says nothing of the interval. */
function togetherOf(evidence: readonly Evidence[], isEarly: boolean): AsFound {
  const says = evidence.map(saysOf);
  if (says.includes("worse")) return "worse";
  return says.includes("better") && !isEarly ? "better" : "as expected";
}

function turnsSeen(
  task: Task,
  { every, grace }: { readonly every: number; readonly grace: number },
  meter: MeterReckoning,
  source: Gathered,
  since: DayNumber | null,
): TurnSeen[] {
  const done = source.entries
    .filter(({ day, record }) => day <= source.today && (record.tasks ?? []).includes(task.id))
    .toSorted(byDate);
  return done.slice(1).flatMap((turn, at): TurnSeen[] => {
    const before = done[at];
    if (before === undefined || turn.record.assumed === true) return [];
    const [from, to] = [completionLife(before, meter), completionLife(turn, meter)];
    if (from === null || to === null || !isAbove(to, from)) return [];
    const evidence = [
      ...measuresOf(task, turn.record, source.jobs),
      ...findingsOf(task, turn.record, source),
      ...sampleOf(task, source, before.day, turn.day),
      ...testsOf(task, before, turn, source),
    ];
    if (evidence.length === 0) return [];
    const run = to - from;
    const found = togetherOf(evidence, isBelow(run, every * EARLY));
    const isLate = found === "worse" && isAbove(run, Math.max(every * LATE, every + grace));
    const isBefore = since !== null && turn.day <= since;
    const leftOut = isBefore ? "before" : isLate ? "late" : null;
    return [{ entry: turn.record.id, day: turn.day, run, found, evidence, leftOut }];
  });
}

/**
 * What the turns of a machine's tasks say of their intervals (sum *interval-advice*): of each task with an interval on a
 * meter in the school that holds, the first of them where it has several, and at least one turn at which anything was
 * seen. Worse: a measure or finding to be attended to or stopped for, or a sample that advises to change sooner. Better: a
 * sample that lets it run longer, a test that put it off. What was seen of several tasks done together counts for the one it names.
 *
 * @param since turns after this day count for the advice, by task; all where it is null.
 */
export function intervalsSeen(
  source: IntervalSource,
  since: (task: Task, meter: MeterId) => DayNumber | null,
): IntervalSeen[] {
  const own = gathered(source);
  return source.tasks.flatMap((task): IntervalSeen[] => {
    const [limit] = limitsOfKind(limitsInForce(task, source.machine).limits, "meter").filter(
      ({ every }) => every !== null,
    );
    const meter = limit === undefined ? undefined : source.meters.get(limit.meter);
    if (limit === undefined || meter === undefined) return [];
    const { every, maker } = intervalsOn(task, source.machine, limit.meter);
    if (every === null) return [];
    const turns = turnsSeen(
      task,
      { every, grace: limit.grace },
      meter,
      own,
      since(task, limit.meter),
    );
    if (turns.length === 0) return [];
    const findings = turns.filter(({ leftOut }) => leftOut === null).map(({ found }) => found);
    const told = intervalAdvice({ interval: every, maker, findings, step: INTERVAL_STEP });
    const advice = { ...told, to: Number(told.to.toPrecision(12)) };
    const { unit } = meter.meter;
    return [{ task, meter: limit.meter, unit, every, maker, turns, advice }];
  });
}
