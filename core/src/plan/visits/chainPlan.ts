import { BEFORE, type TurnChain } from "./turnChain.js";

interface Step {
  readonly cost: number;
  /** The place of the next visit; the number of days where there is none. */
  readonly next: number;
}

/** The cheapest visits of one chain by itself. */
export class ChainPlan {
  /** The least that follows a visit on each day, the first of all for before them; and the place of the next. */
  private readonly after: Float64Array;
  private readonly next: Int32Array;
  /** What a visit on each day costs with all that follows it. */
  private readonly withIt: Float64Array;
  /** The least that follows where the last visit was on a day and the next is after another. */
  private readonly known = new Map<number, number>();

  constructor(
    private readonly chain: TurnChain,
    /** What a visit costs it on each day; infinite where it may have none. */
    private readonly paid: readonly number[],
  ) {
    const end = paid.length;
    this.after = new Float64Array(end + 1);
    this.next = new Int32Array(end + 1);
    this.withIt = new Float64Array(end);
    for (let from = end - 1; from >= BEFORE; from -= 1) {
      const { cost, next } = this.cheapestStep(from, from);
      this.after[from + 1] = cost;
      this.next[from + 1] = next;
      if (from >= 0) this.withIt[from] = cost + (paid[from] as number);
    }
  }

  /** The least that follows a visit on `from` where none is up to and with `at`. */
  least(from: number, at: number): number {
    if (at <= from) return this.leastAfter(from);
    const key = (from + 1) * (this.paid.length + 1) + at;
    const known = this.known.get(key) ?? this.cheapestStep(from, at).cost;
    this.known.set(key, known);
    return known;
  }

  /** What all of it costs. */
  get cost(): number {
    return this.leastAfter(BEFORE);
  }

  /** The places of the days of its cheapest visits. */
  visits(): number[] {
    const days: number[] = [];
    const nextAfter = (at: number): number => this.next[at + 1] as number;
    for (let at = nextAfter(BEFORE); at < this.paid.length; at = nextAfter(at)) days.push(at);
    return days;
  }

  private leastAfter(from: number): number {
    return this.after[from + 1] as number;
  }

  private cheapestStep(from: number, at: number): Step {
    const end = this.paid.length;
    let cost = this.chain.between(from, end);
    let next = end;
    const until = Math.min(end - 1, this.chain.mustBy(from));
    for (let day = at + 1; day <= until; day += 1) {
      const rest = this.withIt[day] as number;
      // What is settled before that visit costs nothing at the least.
      if (rest >= cost) continue;
      const sum = this.chain.between(from, day) + rest;
      if (sum < cost) [cost, next] = [sum, day];
    }
    return { cost, next };
  }
}
