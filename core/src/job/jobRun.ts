import type { JobCard, ToldEvent } from "./card.js";
import { stateOf, type JobState } from "./jobState.js";
import { Replay } from "./replay.js";
import type { StepVerdict } from "../inspect/verdict.js";
import type { FillLevel } from "./stepState.js";
import { inOrder, isAfter, standingEvents } from "./told.js";

/** After so many events a replay is laid by, to go on from where one of them is taken out. */
const APART = 128;
/** Of those laid by the last few are kept, and every so many of the others. */
const LAST = 4;
const SPARSE = 8;

/** A replay as it stood after so many of the events that stand. */
interface LaidBy {
  readonly after: number;
  readonly replay: Replay;
}

/**
 * A job that goes on, event by event (job rules §2). One more event that comes last costs the same whatever came before; one
 * that takes out a late one is gone through from where the replay was last laid by, and one that belongs earlier from nothing. It
 * always comes to what {@link jobState} comes to from all of them.
 */
export class JobRun<Told extends ToldEvent = ToldEvent> {
  private replay: Replay;
  private laidBy: LaidBy[] = [];
  /** What stands, in order, with what would take out something that it cannot. */
  private standing: Told[] = [];
  private readonly known = new Map<string, Told>();
  private last: Told | null = null;
  private latest = 0;

  constructor(
    private readonly job: JobCard,
    events: readonly Told[] = [],
  ) {
    this.replay = new Replay(job.steps ?? []);
    for (const event of events) this.note(event);
    this.fromNothing();
  }

  /** One more event; one that is known already changes nothing. */
  add(event: Told): void {
    if (this.known.has(event.id)) return;
    const isLast = this.last === null || isAfter(event, this.last);
    const meant = typeof event.undoes === "string" ? this.known.get(event.undoes) : undefined;
    this.note(event);
    if (!isLast) this.fromNothing();
    else if (event.do !== "undo" || meant === undefined || meant.do === "undo") this.goOn(event);
    else this.takeOut(meant);
  }

  /** Events in any order; those that are known already change nothing. Where some belong before what is known all are gone through anew, once. */
  addAll(events: readonly Told[]): void {
    const unknown = inOrder(events.filter(({ id }) => !this.known.has(id))) as Told[];
    const [first] = unknown;
    if (first === undefined) return;
    if (this.last !== null && isAfter(first, this.last)) {
      for (const event of unknown) this.add(event);
      return;
    }
    for (const event of unknown) this.note(event);
    this.fromNothing();
  }

  /** Where the job stands, at a time in milliseconds; at the latest of any event where it is null. */
  state(now: number | null = null): JobState {
    return stateOf(this.job, this.replay, now ?? this.latest);
  }

  /** When the wait of a step was last started, milliseconds; null where it runs not. */
  startedAt(step: string): number | null {
    const state = this.replay.states.find((one) => one.step.id === step);
    return state === undefined || state.closed !== null ? null : state.startedAt;
  }

  /** The level of a fill as it was last read; `unread` for any other step. */
  levelOf(step: string): FillLevel {
    return this.replay.states.find((one) => one.step.id === step)?.level ?? "unread";
  }

  /** The verdicts of a look since it was last begun, by point; null for a step without points. */
  verdictsOf(step: string): ReadonlyMap<string | null, StepVerdict> {
    const points = this.replay.states.find((one) => one.step.id === step)?.points ?? new Map();
    const judged = [...points].flatMap(([point, { verdict, isJudged }]) =>
      isJudged && verdict !== null ? [[point, verdict] as const] : [],
    );
    return new Map(judged);
  }

  /** What was told and stands, in order: what was taken out is not among it. */
  told(): readonly Told[] {
    return this.standing.filter((event) => event.do !== "undo");
  }

  private note(event: Told): void {
    this.known.set(event.id, event);
    if (this.last === null || isAfter(event, this.last)) this.last = event;
    this.latest = Math.max(this.latest, event.at);
  }

  private fromNothing(): void {
    this.replay = new Replay(this.job.steps ?? []);
    this.standing = [];
    this.laidBy = [];
    for (const event of standingEvents([...this.known.values()]).events) this.goOn(event as Told);
  }

  private goOn(event: Told): void {
    // An undo that stands among the others is one that cannot be.
    if (event.do === "undo") this.replay.refuseUndo(event);
    else this.replay.add(event);
    this.standing.push(event);
    if (this.standing.length % APART !== 0) return;
    this.laidBy.push({ after: this.standing.length, replay: this.replay.copy() });
    const early = this.laidBy.length - LAST;
    this.laidBy = this.laidBy.filter(
      ({ after }, at) => at >= early || after % (APART * SPARSE) === 0,
    );
  }

  private takeOut(event: Told): void {
    const place = this.standing.lastIndexOf(event);
    if (place < 0) return;
    const rest = this.standing.slice(place + 1);
    while ((this.laidBy.at(-1)?.after ?? 0) > place) this.laidBy.pop();
    const from = this.laidBy.at(-1) ?? null;
    const again = this.standing.slice(from?.after ?? 0, place);
    this.replay = from?.replay.copy() ?? new Replay(this.job.steps ?? []);
    this.standing.length = from?.after ?? 0;
    for (const one of [...again, ...rest]) this.goOn(one);
  }
}
