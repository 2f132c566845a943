/** Work to be sent, from several sources into several sinks. */
export interface Flow {
  /** How much each source has. */
  readonly supply: readonly number[];
  /** How much each sink holds. */
  readonly room: readonly number[];
  /** What a unit from a source to a sink costs; Infinity where it cannot go. */
  readonly cost: readonly (readonly number[])[];
}

const NEGLIGIBLE = 1e-6;
const FINEST = 1e-9;

/** A way to send more: each step adds to a source's share of a sink, or takes from it. */
interface Path {
  readonly cost: number;
  readonly most: number;
  readonly steps: readonly { readonly from: number; readonly to: number; readonly sign: 1 | -1 }[];
}

/** A flow being built, one cheapest path after the other. */
class LeastFlow {
  private readonly share: number[][];
  private readonly sent: number[];
  private readonly filled: number[];

  constructor(private readonly flow: Flow) {
    this.share = flow.supply.map(() => flow.room.map(() => 0));
    this.sent = flow.supply.map(() => 0);
    this.filled = flow.room.map(() => 0);
  }

  private of(list: readonly number[], at: number): number {
    return list[at] ?? 0;
  }

  private spare(from: number): number {
    return this.of(this.flow.supply, from) - this.of(this.sent, from);
  }

  private left(to: number): number {
    return this.of(this.flow.room, to) - this.of(this.filled, to);
  }

  /** The cheapest path by which more can be sent, by relaxing all edges until none is shorter; null where there is none. */
  cheapest(): Path | null {
    const { supply, room, cost } = this.flow;
    const from = supply.map((_, at) => (this.spare(at) > NEGLIGIBLE ? 0 : Infinity));
    const to = room.map(() => Infinity);
    const into = room.map(() => -1);
    const back = supply.map(() => -1);
    for (let isShorter = true; isShorter;) {
      isShorter = false;
      for (const [i, costs] of cost.entries()) {
        for (const [j, each] of costs.entries()) {
          if (this.of(from, i) + each < this.of(to, j) - FINEST) {
            to[j] = this.of(from, i) + each;
            into[j] = i;
            isShorter = true;
          }
          const isShared = this.of(this.share[i] ?? [], j) > NEGLIGIBLE;
          if (isShared && this.of(to, j) - each < this.of(from, i) - FINEST) {
            from[i] = this.of(to, j) - each;
            back[i] = j;
            isShorter = true;
          }
        }
      }
    }
    const [end] = room
      .map((_, at) => at)
      .filter((at) => this.left(at) > NEGLIGIBLE && this.of(to, at) < Infinity)
      .sort((one, other) => this.of(to, one) - this.of(to, other));
    return end === undefined ? null : this.pathTo(end, this.of(to, end), into, back);
  }

  private pathTo(
    end: number,
    cost: number,
    into: readonly number[],
    back: readonly number[],
  ): Path {
    const steps: { from: number; to: number; sign: 1 | -1 }[] = [];
    let most = this.left(end);
    for (let to = end; ;) {
      const from = this.of(into, to);
      steps.push({ from, to, sign: 1 });
      const earlier = this.of(back, from);
      if (earlier < 0) return { cost, most: Math.min(most, this.spare(from)), steps };
      steps.push({ from, to: earlier, sign: -1 });
      most = Math.min(most, this.of(this.share[from] ?? [], earlier));
      to = earlier;
    }
  }

  send({ steps }: Path, amount: number): void {
    for (const { from, to, sign } of steps) {
      const shares = this.share[from];
      if (shares !== undefined) shares[to] = this.of(shares, to) + sign * amount;
      this.sent[from] = this.of(this.sent, from) + sign * amount;
      this.filled[to] = this.of(this.filled, to) + sign * amount;
    }
  }
}

/** The least cost of sending `wanted`, where everything can be divided: by successive shortest paths. */
export function leastCostOf(flow: Flow, wanted: number): number {
  const building = new LeastFlow(flow);
  let total = 0;
  for (let rest = wanted; rest > NEGLIGIBLE;) {
    const path = building.cheapest();
    if (path === null) return Infinity;
    const amount = Math.min(path.most, rest);
    building.send(path, amount);
    total += amount * path.cost;
    rest -= amount;
  }
  return total;
}
