/** A pass of an exchange: what went out and came in, in litres. */
export interface Pass {
  readonly out: number;
  /** Without a top-up. */
  readonly in: number;
  readonly isOpen: boolean;
}

interface Growing {
  out: number;
  in: number;
  /** Whether an amount of the second sort belongs to it. */
  isWhole: boolean;
}

type Sort = "out" | "in";

/**
 * The passes that the amounts of an exchange make, in order (job rules §2). A run of the first sort begins one, a run of
 * the second makes it whole; a late amount out belongs to the last pass at that moment and neither ends nor begins a run.
 */
export class PassRuns {
  private passes: Growing[] = [];
  /** Of an exchange that is filled first: what came in after a whole pass, which is a top-up until an amount goes out. */
  private topUp: number | null = null;
  private run: Sort | null = null;
  /** All that went out and came in. */
  out = 0;
  in = 0;

  constructor(private readonly isInFirst: boolean) {}

  /** Takes over what another has come to; only its last pass still changes. */
  takeOver(other: PassRuns): void {
    this.passes = other.passes.slice();
    const last = this.passes.pop();
    if (last !== undefined) this.passes.push({ ...last });
    this.topUp = other.topUp;
    this.run = other.run;
    this.out = other.out;
    this.in = other.in;
  }

  add(sort: Sort, amount: number): void {
    this[sort] += amount;
    const isFirst = sort === (this.isInFirst ? "in" : "out");
    const last = this.passes.at(-1);
    if (!isFirst) {
      this.addSecond(sort, amount);
    } else if (this.isInFirst && last?.isWhole === true && !this.isInRunOfFirst(last)) {
      this.topUp = (this.topUp ?? 0) + amount;
    } else if (last === undefined || (last.isWhole && this.run !== sort)) {
      this.begin(sort, amount);
    } else {
      last[sort] += amount;
    }
    this.run = sort;
  }

  /** What went out was measured late. */
  addLate(amount: number): void {
    this.out += amount;
    const last = this.passes.at(-1);
    if (last === undefined) {
      this.passes.push({ out: amount, in: 0, isWhole: this.isInFirst });
      return;
    }
    last.out += amount;
    if (this.isInFirst) last.isWhole = true;
  }

  all(): readonly Pass[] {
    return this.passes.map((pass) => ({ out: pass.out, in: pass.in, isOpen: !pass.isWhole }));
  }

  private addSecond(sort: Sort, amount: number): void {
    if (this.topUp !== null) {
      this.passes.push({ out: 0, in: this.topUp, isWhole: true });
      this.topUp = null;
    } else if (this.passes.length === 0) {
      this.passes.push({ out: 0, in: 0, isWhole: true });
    }
    const last = this.passes.at(-1) as Growing;
    last[sort] += amount;
    last.isWhole = true;
  }

  /** Whether the last run, of the first sort, is that of the last pass itself: one that a late amount has made whole. */
  private isInRunOfFirst(last: Growing): boolean {
    return this.topUp === null && this.run === "in" && last.in > 0;
  }

  private begin(sort: Sort, amount: number): void {
    const pass = { out: 0, in: 0, isWhole: false };
    pass[sort] = amount;
    this.passes.push(pass);
  }
}
