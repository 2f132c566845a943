import type { StepVerdict } from "../inspect/verdict.js";
import {
  areOfOne,
  isCloseOf,
  pointsOf,
  systemOf,
  tasksOf,
  TICKED_BY_POINT,
  type CardStep,
  type ToldEvent,
} from "./card.js";
import { placesById } from "./cardIssues.js";
import {
  ACTS,
  factCode,
  hasReason,
  pointIn,
  TAKES,
  tickCode,
  type RejectedCode,
} from "./eventCodes.js";
import { holdersOf } from "./holds.js";
import { StepState, type FillLevel } from "./stepState.js";

/** A job while its events are gone through, one after the other. */
export class Replay {
  readonly states: readonly StepState[];
  readonly rejected: { readonly event: string; readonly code: RejectedCode }[] = [];
  readonly outOfOrder: { readonly event: string; readonly code: "held" | "closed" }[] = [];
  readonly touched = new Set<string>();
  private readonly placeOf: ReadonlyMap<string, number>;
  /** The places of steps that hold each step while they are not closed, in card order. */
  private readonly holders: readonly (readonly number[])[];
  private order = 0;

  constructor(
    readonly steps: readonly CardStep[],
    from: Replay | null = null,
  ) {
    this.states = steps.map((step, at) => from?.states[at]?.copy() ?? new StepState(step));
    this.placeOf = from?.placeOf ?? placesById(steps);
    this.holders = from?.holders ?? holdersOf(steps, this.placeOf);
    if (from === null) return;
    this.order = from.order;
    this.rejected.push(...from.rejected);
    this.outOfOrder.push(...from.outOfOrder);
    for (const system of from.touched) this.touched.add(system);
  }

  /** A copy that goes on by itself. */
  copy(): Replay {
    return new Replay(this.steps, this);
  }

  /** An event that would take out what it cannot. */
  refuseUndo(event: ToldEvent): void {
    this.rejected.push({ event: event.id, code: "cannot-undo" });
  }

  /** One more event, which comes after all before it. */
  add(event: ToldEvent): void {
    this.order += 1;
    const code = this.codeOf(event);
    if (code !== null) this.rejected.push({ event: event.id, code });
  }

  /** Whether anything of a system was let out, or a drain of it was ever done. */
  isTouched(step: CardStep): boolean {
    return this.touched.has(systemOf(step) ?? "");
  }

  /** The steps that hold one which is not closed, in card order (job rules §3). */
  heldBy(place: number): readonly StepState[] {
    const own = this.states[place] as StepState;
    if (own.closed !== null) return [];
    const mayHold = this.holders[place] ?? [];
    if (own.step.kind !== "run") {
      return mayHold.flatMap((at) => {
        const holder = this.states[at] as StepState;
        return holder.closed === null ? [holder] : [];
      });
    }
    return this.states.filter((holder, at) => {
      if (holder.closed === null && mayHold.includes(at)) return true;
      return at !== place && this.holdsARun(holder, place);
    });
  }

  /** Whether an `open` of a system was done. */
  hasOpened(step: CardStep): boolean {
    return this.states.some(
      (one) => one.step.kind === "open" && areOfOne(one.step, step) && one.closed === "done",
    );
  }

  /** Takes an event in; why it was not, null where it was. */
  private codeOf(event: ToldEvent): RejectedCode | null {
    if (event.do === "take") {
      for (const state of this.states) {
        if (state.step.kind === "caution" && state.step.again === true) this.reset(state);
      }
      return null;
    }
    const isNote = event.do === "note";
    const isFact = Object.hasOwn(TAKES, event.do);
    if (!isNote && !isFact && !ACTS.includes(event.do)) return "no-such-event";
    if (isNote && (event.step ?? null) === null) return null;
    const place = typeof event.step === "string" ? this.placeOf.get(event.step) : undefined;
    if (place === undefined) return "no-such-step";
    if (isNote) return null;
    return isFact ? this.fact(event, place) : this.act(event, place);
  }

  private fact(event: ToldEvent, place: number): RejectedCode | null {
    const state = this.states[place] as StepState;
    const code = factCode(event, state.step);
    if (code !== null) return code;
    state.hasFact = true;
    const isLate = event.do === "out" && event.late === true;
    if (!isLate) this.openUp(event, place);
    switch (event.do) {
      case "out":
        this.tellOut(place, event.amount as number, isLate);
        break;
      case "in":
        this.tellIn(place, event.amount as number);
        break;
      case "level":
        state.level = event.level as FillLevel;
        break;
      case "reading":
        state.read(pointIn(event), event.value as number, this.order);
        break;
      case "judge":
        state.judge(pointIn(event), event.verdict as StepVerdict, this.order);
        break;
      default:
        state.startedAt = event.at;
    }
    return null;
  }

  /** Lists a fact that came out of order, and reopens the step it is of. */
  private openUp({ id }: ToldEvent, place: number): void {
    const state = this.states[place] as StepState;
    if (state.closed !== null) {
      this.outOfOrder.push({ event: id, code: "closed" });
      this.reopen(place);
    } else if (this.heldBy(place).length > 0) {
      this.outOfOrder.push({ event: id, code: "held" });
    }
  }

  private tellOut(place: number, amount: number, isLate: boolean): void {
    const state = this.states[place] as StepState;
    const { step } = state;
    state.hasOut = true;
    if (step.kind === "fill") {
      state.out += amount;
      if (!isLate || state.count.number === 1) state.count.in -= amount;
      if (!isLate) state.level = "unread";
      return;
    }
    if (step.kind === "passes") {
      if (isLate) state.passes.addLate(amount);
      else {
        state.passes.add("out", amount);
        this.resetFillsAfter(place);
      }
    } else {
      state.out += amount;
      if (!isLate) this.resetAfterDrain(place);
      const fill = this.fillOf(place);
      if (fill !== null && (!isLate || fill.count.number === 1)) fill.count.drained += amount;
    }
    this.touch(step);
  }

  private tellIn(place: number, amount: number): void {
    const state = this.states[place] as StepState;
    if (state.step.kind === "passes") {
      state.passes.add("in", amount);
      this.resetFillsAfter(place);
      return;
    }
    state.in += amount;
    state.count.in += amount;
    state.count.hasIn = true;
    state.level = "unread";
  }

  private act(event: ToldEvent, place: number): RejectedCode | null {
    const state = this.states[place] as StepState;
    if (event.do === "reopen") {
      if (state.closed === null) return "not-closed";
      this.reopen(place);
      return null;
    }
    if (event.do === "release") {
      if (state.step.kind !== "measure" && state.step.kind !== "look") return "not-for-this-step";
      if (!state.saysStop()) return "nothing-to-release";
      if (!hasReason(event)) return "no-reason";
      state.releasedAt = this.order;
      return null;
    }
    if (state.closed !== null) return "already-closed";
    return event.do === "skip" ? this.skip(event, state) : this.tick(event, place);
  }

  private skip(event: ToldEvent, state: StepState): RejectedCode | null {
    if (state.step.mayNotApply !== true && !this.maySkip(state.step)) return "cannot-skip";
    if (!hasReason(event)) return "no-reason";
    state.closed = "skipped";
    return null;
  }

  private maySkip(step: CardStep): boolean {
    const isOfOpening = ["open", "close", "fill"].includes(step.kind);
    if (isOfOpening && this.isTouched(step)) return false;
    if (isCloseOf(step, "fill") && this.hasOpened(step)) return false;
    if (step.kind !== "caution") return true;
    const own = tasksOf(step);
    const concerned = this.states.filter(
      (one) =>
        one.step.kind !== "caution" &&
        tasksOf(one.step).length > 0 &&
        tasksOf(one.step).every((task) => own.includes(task)),
    );
    return (
      own.length > 0 &&
      concerned.length > 0 &&
      concerned.every(({ closed }) => closed === "skipped")
    );
  }

  private tick(event: ToldEvent, place: number): RejectedCode | null {
    const state = this.states[place] as StepState;
    if (this.heldBy(place).length > 0) return "held";
    const { step } = state;
    const points = pointsOf(step);
    if (TICKED_BY_POINT.has(step.kind) && points.length > 0) {
      const point = pointIn(event);
      if (point === null) return "which-point";
      if (!points.includes(point)) return "no-such-point";
      if (state.ticked.has(point)) return "already-ticked";
      state.ticked.add(point);
      if (points.every((one) => state.ticked.has(one))) this.done(state);
      return null;
    }
    const code = tickCode(event, state);
    if (code === null) this.done(state);
    return code;
  }

  private done(state: StepState): void {
    state.closed = "done";
    state.wasDone = true;
    if (state.step.kind === "drain") this.touch(state.step);
    if (state.step.kind === "open") this.resetSkipped(state.step);
  }

  private reopen(place: number): void {
    const state = this.states[place] as StepState;
    this.reset(state);
    if (state.step.kind === "drain") this.resetAfterDrain(place);
  }

  /** A step begins anew; what was shut after a fill is shut anew as well. */
  private reset(state: StepState): void {
    const wasClosed = state.closed !== null;
    state.begin();
    if (!wasClosed || state.step.kind !== "fill") return;
    const place = this.states.indexOf(state);
    for (const one of this.after(place)) if (isCloseOf(one.step, "fill")) this.reset(one);
  }

  /** The later steps of the system of one. */
  private after(place: number): StepState[] {
    const own = this.steps[place] as CardStep;
    return this.states.slice(place + 1).filter(({ step }) => areOfOne(step, own));
  }

  private resetAfterDrain(place: number): void {
    for (const one of this.after(place)) {
      const { step } = one;
      if (step.kind === "fill" && one.count.hasIn) one.beginCount();
      if (step.kind === "fill" || step.kind === "close") this.reset(one);
    }
    for (const one of this.states.slice(place + 1)) if (one.step.kind === "run") this.reset(one);
  }

  private resetFillsAfter(place: number): void {
    for (const one of this.after(place)) {
      if (one.step.kind === "fill" || isCloseOf(one.step, "fill")) this.reset(one);
    }
  }

  private touch(step: CardStep): void {
    const system = systemOf(step);
    if (system === null || this.touched.has(system)) return;
    this.touched.add(system);
    this.resetSkipped(step);
  }

  /** What was skipped of a system that is opened now is to be done after all. */
  private resetSkipped(step: CardStep): void {
    for (const one of this.states) {
      const isOfOpening = ["open", "close", "fill"].includes(one.step.kind);
      const isSkipped = one.closed === "skipped" && one.step.mayNotApply !== true;
      if (isOfOpening && isSkipped && areOfOne(one.step, step)) this.reset(one);
    }
  }

  /** The first fill of its system after a drain; null without one. */
  private fillOf(place: number): StepState | null {
    return this.after(place).find(({ step }) => step.kind === "fill") ?? null;
  }

  /** Whether a step holds a `run` wherever it stands. */
  private holdsARun(holder: StepState, place: number): boolean {
    const { step } = holder;
    if (step.kind === "measure" || step.kind === "look") return holder.saysStop();
    const isOfFilling = isCloseOf(step, "drain") || step.kind === "fill" || step.kind === "passes";
    if (!isOfFilling || holder.closed !== null || !this.isTouched(step)) return false;
    const own = this.states.flatMap((one, at) => (areOfOne(one.step, step) ? [{ one, at }] : []));
    const isFilled = own.some(({ one, at }) => {
      const fills = one.step.kind === "fill" || one.step.kind === "passes";
      if (!fills || at >= place || one.closed !== "done") return false;
      return own.every(({ one: later, at: then }) => {
        const drains = later.step.kind === "drain" || later.step.kind === "passes";
        return then <= at || !drains || !(later.hasOut || later.closed === "done");
      });
    });
    return !isFilled;
  }
}
