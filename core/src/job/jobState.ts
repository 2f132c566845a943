import type { StepVerdict } from "../inspect/verdict.js";
import { isAbove, isAtLeast, isBelow } from "../sums/nearly.js";
import {
  areOfOne,
  isByMark,
  isCloseOf,
  pointsOf,
  systemOf,
  tasksOf,
  type CardStep,
  type JobCard,
  type ToldEvent,
} from "./card.js";
import { cardIssues, type CardIssue } from "./cardIssues.js";
import { fillStepOf } from "./fillStep.js";
import type { Pass } from "./passRuns.js";
import type { RejectedCode } from "./eventCodes.js";
import type { Replay } from "./replay.js";
import { replayed } from "./replayed.js";
import { verdictOfReadings, type StepState } from "./stepState.js";

/** Where a step is. */
type StepStanding = "open" | "held" | "done" | "skipped";

/** Why a job may not be finished yet (job rules §4). */
type UnfinishedCode =
  | ("pass-open" | "unequal-passes" | "drained-not-filled" | "opened-not-closed")
  | ("half-tight" | "not-fitted" | "stop-found");

/** How far a task of a job is. */
type TaskStanding = "no steps" | "given up" | "done" | "not begun" | "partly";

/** All that is derived of a job from its card and its events; amounts in litres (job rules §4). */
export interface JobState {
  readonly cardIssues: readonly CardIssue[];
  readonly steps: readonly {
    readonly id: string;
    readonly state: StepStanding;
    readonly heldBy: readonly string[];
    readonly ticked: readonly string[];
  }[];
  readonly systems: readonly {
    readonly system: string;
    readonly out: number;
    readonly in: number;
    readonly balance: number;
  }[];
  readonly fills: readonly {
    readonly step: string;
    readonly drained: number;
    readonly in: number;
    readonly toExpected: number | null;
    readonly next: number | null;
    readonly warn: string | null;
  }[];
  readonly passes: readonly {
    readonly step: string;
    readonly done: number;
    readonly isOpen: boolean;
    readonly out: number;
    readonly in: number;
    readonly unequal: readonly number[];
    readonly old: number | null;
    readonly toGo: number | null;
  }[];
  readonly measures: readonly {
    readonly step: string;
    readonly point: string | null;
    readonly readings: readonly number[];
    readonly value: number | null;
    readonly verdict: StepVerdict | null;
  }[];
  readonly rejected: readonly { readonly event: string; readonly code: RejectedCode }[];
  readonly outOfOrder: readonly { readonly event: string; readonly code: "held" | "closed" }[];
  readonly next: string | null;
  readonly meanwhile: readonly string[];
  readonly tasks: readonly { readonly task: string; readonly state: TaskStanding }[];
  readonly unfinished: readonly { readonly code: UnfinishedCode; readonly step: string }[];
}

const MS_IN_MINUTE = 60_000;
/** Passes that differ by more than this share of what came out are not equal. */
const UNEQUAL = 0.05;
const MOST_PASSES = 200;

/** What is derived of the steps of a job. */
class Derived {
  readonly heldBy: readonly (readonly StepState[])[];
  private readonly states: readonly StepState[];

  constructor(private readonly replay: Replay) {
    this.states = replay.states;
    this.heldBy = this.states.map((_, place) => replay.heldBy(place));
  }

  standing(place: number): StepStanding {
    const closed = this.states[place]?.closed ?? null;
    return closed ?? ((this.heldBy[place] ?? []).length > 0 ? "held" : "open");
  }

  steps(): JobState["steps"] {
    return this.states.map(({ step, ticked }, place) => ({
      id: step.id,
      state: this.standing(place),
      heldBy: (this.heldBy[place] ?? []).map((holder) => holder.step.id),
      ticked: pointsOf(step).filter((point) => ticked.has(point)),
    }));
  }

  systems(): JobState["systems"] {
    const amounts = new Map<string, { out: number; in: number }>();
    for (const { step, passes, ...told } of this.states) {
      const system = systemOf(step);
      if (system === null || !["drain", "fill", "passes"].includes(step.kind)) continue;
      const sum = amounts.get(system) ?? { out: 0, in: 0 };
      amounts.set(system, {
        out: sum.out + told.out + passes.out,
        in: sum.in + told.in + passes.in,
      });
    }
    return [...amounts].map(([system, one]) => ({ system, ...one, balance: one.in - one.out }));
  }

  fills(): JobState["fills"] {
    return this.states.flatMap((state, place) => {
      const { step, count, level } = state;
      if (step.kind !== "fill") return [];
      const { drained } = count;
      const told = { step: step.id, drained, in: count.in };
      const nothing = { ...told, toExpected: null, next: null, warn: null };
      const expected = step.expected ?? null;
      if (expected === null) return [nothing];
      const isPoured = isAbove(count.in, 0);
      const asked = { expected, drained: isAbove(drained, 0) ? drained : null, level };
      const found = fillStepOf({ ...asked, poured: isPoured ? [count.in] : [] });
      const isAnew = count.number > 1;
      const isHeld = this.standing(place) === "held";
      const isTopped = !isAbove(drained, 0) && this.isFilledOtherwise(place);
      const isNextKnown = state.closed === null && !(isAnew && !isAbove(drained, 0));
      return [
        {
          ...told,
          toExpected: isAnew ? null : found.toExpected,
          next: isHeld || isTopped || !isNextKnown ? null : found.next,
          warn: isAnew || isHeld || isTopped ? null : found.warn,
        },
      ];
    });
  }

  /** Whether the system of a fill has passes, or a fill before it. */
  private isFilledOtherwise(place: number): boolean {
    const own = (this.states[place] as StepState).step;
    return this.states.some(
      ({ step }, at) =>
        areOfOne(step, own) && (step.kind === "passes" || (step.kind === "fill" && at < place)),
    );
  }

  passes(): JobState["passes"] {
    return this.states.flatMap((state) => {
      if (state.step.kind !== "passes") return [];
      const all = state.passes.all();
      const whole = all.filter(({ isOpen }) => !isOpen);
      return [
        {
          step: state.step.id,
          done: whole.length,
          isOpen: whole.length < all.length,
          out: state.passes.out,
          in: state.passes.in,
          unequal: unequalOf(whole),
          ...this.oldAfter(state.step, whole),
        },
      ];
    });
  }

  /** The share of old fluid after passes, and how many more are to go; null where that is not known. */
  private oldAfter(
    { vessel, pass, wanted, ...step }: CardStep,
    whole: readonly Pass[],
  ): { readonly old: number | null; readonly toGo: number | null } {
    if ((vessel ?? null) === null) return { old: null, toGo: null };
    const size = vessel as number;
    const stays = (out: number): number => Math.max(0, 1 - out / size);
    const drained = this.states
      .filter((one) => one.step.kind === "drain" && areOfOne(one.step, step as CardStep))
      .reduce((sum, { out }) => sum + out, 0);
    const old = whole.reduce((share, { out }) => share * stays(out), stays(drained));
    if ((pass ?? null) === null || (wanted ?? null) === null) return { old, toGo: null };
    const isEnough = (share: number): boolean => isAtLeast(1 - share, wanted as number);
    for (let toGo = 0; toGo <= MOST_PASSES; toGo += 1) {
      if (isEnough(old * stays(pass as number) ** toGo)) return { old, toGo };
    }
    return { old, toGo: null };
  }

  measures(): JobState["measures"] {
    return this.states.flatMap(({ step, points }) =>
      step.kind !== "measure"
        ? []
        : [...points].map(([point, { readings }]) => ({
            step: step.id,
            point,
            readings: [...readings],
            ...verdictOfReadings(step, readings),
          })),
    );
  }

  next(): string | null {
    const place = this.states.findIndex((_, at) => this.standing(at) === "open");
    return this.states[place]?.step.id ?? null;
  }

  meanwhile(now: number): string[] {
    const isBusy = this.states.some((state, place) => {
      if (state.step.kind === "drain") return this.standing(place) === "open";
      if (state.step.kind !== "wait" || state.closed !== null || state.startedAt === null) {
        return false;
      }
      return isBelow(now - state.startedAt, (state.step.minutes ?? 0) * MS_IN_MINUTE);
    });
    if (!isBusy) return [];
    const next = this.states.findIndex((_, at) => this.standing(at) === "open");
    return this.states.flatMap(({ step }, place) =>
      step.meanwhile === true && place !== next && this.standing(place) === "open" ? [step.id] : [],
    );
  }

  task(task: string): TaskStanding {
    const own = this.states.filter(({ step }) => tasksOf(step).includes(task));
    if (own.length === 0) return "no steps";
    if (own.every(({ closed }) => closed === "skipped")) return "given up";
    const isDone = own.every(
      ({ closed, step }) =>
        closed === "done" || (closed === "skipped" && step.mayNotApply === true),
    );
    if (isDone) return "done";
    const isBegun = own.some(
      ({ closed, ticked, hasFact }) => closed !== null || ticked.size > 0 || hasFact,
    );
    return isBegun ? "partly" : "not begun";
  }

  unfinished(): JobState["unfinished"] {
    return this.states.flatMap((state, place) =>
      this.unfinishedAt(state, place).map((code) => ({ code, step: state.step.id })),
    );
  }

  private unfinishedAt(state: StepState, place: number): UnfinishedCode[] {
    const { step, closed } = state;
    const codes: UnfinishedCode[] = [];
    const note = (code: UnfinishedCode, isSo: boolean): void => {
      if (isSo) codes.push(code);
    };
    const later = this.states.slice(place + 1).filter((one) => areOfOne(one.step, step));
    const isTouched = this.replay.isTouched(step);
    if (step.kind === "passes") {
      const all = state.passes.all();
      note("pass-open", all.at(-1)?.isOpen === true);
      const isLevelled = later.some(
        (one) => one.step.kind === "fill" && isByMark(one.step) && one.closed === "done",
      );
      const whole = all.filter(({ isOpen }) => !isOpen);
      note("unequal-passes", unequalOf(whole).length > 0 && !isLevelled);
    }
    const isLastFill = step.kind === "fill" && later.every((one) => one.step.kind !== "fill");
    note("drained-not-filled", isLastFill && isTouched && closed !== "done");
    const wasOpened = isTouched || (isCloseOf(step, "fill") && this.replay.hasOpened(step));
    note("opened-not-closed", step.kind === "close" && closed === null && wasOpened);
    note("half-tight", step.kind === "torque" && closed === null && state.ticked.size > 0);
    note("not-fitted", step.kind === "fit" && closed === null && isTouched);
    note("stop-found", state.saysStop());
    return codes;
  }
}

/** The numbers, from 1, of passes that took in another amount than went out. */
function unequalOf(passes: readonly Pass[]): number[] {
  return passes.flatMap((pass, place) =>
    isAbove(Math.abs(pass.in - pass.out), UNEQUAL * pass.out) ? [place + 1] : [],
  );
}

/**
 * Where a job stands after its events, given in any order (job rules §§1–4). `now`, in milliseconds, is for waits that
 * run; the latest time of any event where it is null.
 */
export function jobState(
  job: JobCard,
  events: readonly ToldEvent[],
  now: number | null = null,
): JobState {
  const latest = events.reduce((most, { at }) => Math.max(most, at), 0);
  return stateOf(job, replayed(job, events), now ?? latest);
}

/** Where a job stands after a replay of its events, at a time in milliseconds. */
export function stateOf(job: JobCard, replay: Replay, now: number): JobState {
  const derived = new Derived(replay);
  return {
    cardIssues: cardIssues(job.steps ?? []),
    steps: derived.steps(),
    systems: derived.systems(),
    fills: derived.fills(),
    passes: derived.passes(),
    measures: derived.measures(),
    rejected: replay.rejected,
    outOfOrder: replay.outOfOrder,
    next: derived.next(),
    meanwhile: derived.meanwhile(now),
    tasks: (job.tasks ?? []).map((task) => ({ task, state: derived.task(task) })),
    unfinished: derived.unfinished(),
  };
}
