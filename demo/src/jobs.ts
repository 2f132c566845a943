import {
  applyChange,
  cardFrom,
  finishJob,
  jobWork,
  keepMethod,
  keepOwnWay,
  machineBookOf,
  makeCard,
  openJob,
  putDownJob,
  tapJob,
  type Book,
  type Change,
  type DayNumber,
  type Job,
  type JobEvent,
  type JobStep,
  type Machine,
  type Result,
  type Tap,
  type TapContext,
  type Task,
} from "@yonderfell/core";

const MS_IN_MINUTE = 60_000;
const MS_IN_DAY = 24 * 60 * MS_IN_MINUTE;

/** A job of the demonstration: for which tasks, by whom and when it was begun. */
interface Begun {
  readonly id: string;
  readonly tasks: readonly string[];
  readonly by: string;
  readonly daysAgo: number;
  /** Hours after midnight, in UTC. */
  readonly hour: number;
}

/** The book while work on it goes on. */
class AtWork {
  private count = 0;

  constructor(
    public book: Book,
    private readonly today: DayNumber,
  ) {}

  /** Does what is kept of ways, so that the cards that follow go by it. */
  keepWays(): void {
    const oil = this.task("t-gen-oil");
    const steps = this.card([oil]).map((step) =>
      step.kind === "drain"
        ? { ...step, name: "Pump the sump out by its own hose, set level, until it sucks air" }
        : step,
    );
    this.apply(keepOwnWay({ machines: this.machinesOf(oil), tasks: [oil] }, oil.id, steps));
    const grease = this.task("t-mower-grease");
    const input = { task: grease, kind: "mower", uses: ["grease gun", "rags"] };
    this.apply(
      keepMethod(
        { methods: this.book.methods ?? [] },
        { ...input, steps: this.card([grease]) },
        this.around(0),
      ),
    );
  }

  /** Opens a job and goes on with it as far as `tell` says, step by step, so many minutes apart. */
  work(begun: Begun, tell: (step: JobStep) => readonly Tap[] | "stop", minutesApart: number): Job {
    const tasks = begun.tasks.map((id) => this.task(id));
    const start = (this.today - begun.daysAgo) * MS_IN_DAY + begun.hour * 60 * MS_IN_MINUTE;
    const steps = this.card(tasks);
    const slice = { machines: this.machinesOf(tasks[0] as Task), tasks, jobs: [] };
    const input = { name: "", tasks: tasks.map(({ id }) => id), findings: [], visit: null };
    const around = { ...this.around(start, begun.daysAgo), newId: () => begun.id };
    this.apply(openJob(slice, { ...input, steps, by: begun.by }, around));
    const job = (this.book.jobs ?? []).at(-1) as Job;
    let at = start;
    for (const step of steps) {
      const taps = tell(step);
      if (taps === "stop") break;
      for (const tap of taps) {
        at += minutesApart * MS_IN_MINUTE;
        const told = { by: begun.by, step: step.id, ...tap };
        this.apply(tapJob(this.slice(job), job.id, [told], this.around(at, begun.daysAgo)));
      }
    }
    return job;
  }

  putDown(job: Job, why: string): void {
    const at = Math.max(...this.eventsOf(job).map((event) => event.at)) + MS_IN_MINUTE;
    const by = job.by ?? "";
    this.apply(putDownJob(this.slice(job), job.id, { by, why }, this.around(at, 1)));
  }

  /** Finishes a job on the day. */
  finish(job: Job): void {
    const machine = this.machine(job.machine);
    const own = machineBookOf(this.book, machine.id);
    if (own === null) return;
    const taskName = (id: string): string => this.task(id).name;
    const { people = [] } = this.book;
    const proposed = jobWork(job, this.eventsOf(job), cardFrom(this.book, machine, this.today), {
      people,
      taskName,
    });
    const input = { ...proposed, day: this.today, figures: [], followUpsDone: false };
    const context = this.around(Math.max(...this.eventsOf(job).map((event) => event.at)));
    this.apply(finishJob({ ...own, ...this.slice(job) }, job.id, input, context));
  }

  private apply(result: Result<Change, unknown>): void {
    if (!result.ok) throw new Error(`the demonstration: ${JSON.stringify(result.issues)}`);
    this.book = applyChange(this.book, result.value);
  }

  private around(at: number, daysAgo = 0): TapContext {
    let seq = this.lastSeq();
    return {
      today: (this.today - daysAgo) as DayNumber,
      at,
      newId: () => `jb-${String((this.count += 1)).padStart(3, "0")}`,
      nextSeq: () => (seq += 1),
    };
  }

  private lastSeq(): number {
    const { entries = [], readings = [], stockMoves = [] } = this.book;
    const seqs = [entries, readings, stockMoves].flatMap((list) => list.map(({ seq }) => seq ?? 0));
    return seqs.reduce((most, seq) => Math.max(most, seq), 0);
  }

  private task(id: string): Task {
    const task = (this.book.tasks ?? []).find((one) => one.id === id);
    if (task === undefined) throw new Error(`the demonstration has no task ${id}`);
    return task;
  }

  private machine(id: string): Machine {
    const machine = (this.book.machines ?? []).find((one) => one.id === id);
    if (machine === undefined) throw new Error(`the demonstration has no machine ${id}`);
    return machine;
  }

  private machinesOf(task: Task): readonly [Machine] {
    return [this.machine(task.machine)];
  }

  private card(tasks: readonly Task[]): readonly JobStep[] {
    const machine = this.machine((tasks[0] as Task).machine);
    return makeCard(tasks, cardFrom(this.book, machine, this.today)).steps;
  }

  private eventsOf({ id }: Job): readonly JobEvent[] {
    return (this.book.jobEvents ?? []).filter(({ job }) => job === id);
  }

  private slice(job: Job) {
    const jobs = (this.book.jobs ?? []).filter(({ id }) => id === job.id);
    return { machines: [this.machine(job.machine)] as const, jobs, jobEvents: this.eventsOf(job) };
  }
}

/** What is told of a step that is done as it should be, point by point. */
function asItShould({ kind, points, unit }: JobStep): readonly Tap[] {
  const each = (points ?? []).length === 0 ? [{}] : (points ?? []).map((point) => ({ point }));
  const ticks = each.map((point): Tap => ({ do: "tick", ...point }));
  if (kind === "look") {
    return [
      ...each.map((point): Tap => ({ do: "judge", verdict: "sound", ...point })),
      { do: "tick" },
    ];
  }
  if (kind === "measure") {
    const value = unit === "mm" ? 12 : 1;
    return [...each.map((point): Tap => ({ do: "reading", value, ...point })), { do: "tick" }];
  }
  return ticks;
}

/** The library bus: all its oil is out, three litres are in. */
function halfDone(step: JobStep): readonly Tap[] | "stop" {
  if (step.kind === "drain") return [{ do: "out", amount: 11.9, typed: "11.9" }, { do: "tick" }];
  if (step.kind === "fill") return [{ do: "in", amount: 3, typed: "3" }];
  return asItShould(step);
}

/** Puts jobs into the demonstration: one half done, one that waits for a part, one finished this morning; and ways that are kept by machine and by kind. */
export function withJobs(book: Book, today: DayNumber): Book {
  const going = new AtWork(book, today);
  going.keepWays();
  const bus = {
    id: "j-bus",
    tasks: ["t-bus-oil", "t-bus-fuel"],
    by: "pe-thwaite",
    daysAgo: 1,
    hour: 12,
  };
  let isFilled = false;
  const onTheBus = (step: JobStep): readonly Tap[] | "stop" => {
    if (isFilled) return "stop";
    isFilled = step.kind === "fill";
    const isOfFuel = (step.tasks ?? []).every((task) => task === "t-bus-fuel");
    return isOfFuel && step.kind !== "caution" ? [] : halfDone(step);
  };
  going.work(bus, onTheBus, 3);
  const belts = { id: "j-belts", tasks: ["t-mower-belt"], by: "pe-rigg", daysAgo: 2, hour: 11 };
  const waiting = going.work(belts, (step) => (step.kind === "fit" ? "stop" : asItShould(step)), 4);
  going.putDown(waiting, "the matched set of belts, on order at Corrie Factors");
  const bearing = { id: "j-bearing", tasks: ["t-tow-bearing"], by: "pe-rigg", daysAgo: 0, hour: 6 };
  const finished = going.work(bearing, asItShould, 5);
  // The tow is laid up: its dial shows what it showed.
  going.finish(finished);
  return going.book;
}
