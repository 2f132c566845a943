import {
  aboveNone,
  fieldsOf,
  listOf,
  noneOrMore,
  orUnknown,
  usually,
  whole,
} from "../sums/field.js";
import { isAbove, isAtLeast, isBelow, isSame } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";

/** A millilitre short is none. */
export const SHORT = 0.001;
/** Amounts are told apart to this part of a litre. */
const FINE = 1e9;

/** A pack that can be bought: litres or pieces in it, what it costs, how many there are; null for as many as one likes. */
export interface Pack {
  readonly size: number;
  readonly price: number;
  readonly available: number | null;
}

/** A set of packs: how many of each. */
interface Bought {
  readonly amount: number;
  readonly cost: number;
  readonly containers: number;
  readonly counts: readonly number[];
}

const NOTHING: Bought = { amount: 0, cost: 0, containers: 0, counts: [] };

/** Whether one of two sets is to be had rather than the other: cheaper, then with less left, then fewer containers, then more of what is listed first. */
function isBetter(one: Bought, other: Bought): boolean {
  if (!isSame(one.cost, other.cost)) return one.cost < other.cost;
  if (!isSame(one.amount, other.amount)) return one.amount < other.amount;
  if (one.containers !== other.containers) return one.containers < other.containers;
  for (const [place, count] of one.counts.entries()) {
    const own = other.counts[place] ?? 0;
    if (count !== own) return count > own;
  }
  return false;
}

const withOne = (set: Bought, { size, price }: Pack, place: number): Bought => ({
  amount: set.amount + size,
  cost: set.cost + price,
  containers: set.containers + 1,
  counts: set.counts.map((count, at) => (at === place ? count + 1 : count)),
});

/** The best set of each amount, and the best of those that cover what is missing. */
class Sets {
  private best: Bought | null = null;
  private readonly byAmount = new Map<number, Bought>();

  constructor(
    private readonly missing: number,
    start: Bought,
  ) {
    this.add(start);
  }

  /** The sets that do not cover what is missing yet, the smallest amount first. */
  open(): Bought[] {
    return [...this.byAmount.values()].sort((one, other) => one.amount - other.amount);
  }

  get cheapest(): Bought | null {
    return this.best;
  }

  /** The set that stands for an amount now. */
  at(amount: number): Bought | undefined {
    return this.byAmount.get(Math.round(amount * FINE));
  }

  /** Takes a set in; answers whether it is a new best of its amount that more can be added to. */
  add(set: Bought): boolean {
    if (isAtLeast(set.amount, this.missing)) {
      if (this.best === null || isBetter(set, this.best)) this.best = set;
      return false;
    }
    // What costs more already than a set that covers all is no way to the best.
    if (this.best !== null && isAbove(set.cost, this.best.cost)) return false;
    const there = this.at(set.amount);
    if (there !== undefined && !isBetter(set, there)) return false;
    this.byAmount.set(Math.round(set.amount * FINE), set);
    return true;
  }

  /** Leaves out what costs more than another set of at least its amount: whatever is added to it, the other is cheaper with the same. */
  prune(): void {
    let least = Number.POSITIVE_INFINITY;
    for (const set of this.open().reverse()) {
      if (isBelow(least, set.cost)) this.byAmount.delete(Math.round(set.amount * FINE));
      least = Math.min(least, set.cost);
    }
  }
}

/** Adds any number of a pack: the best set of each amount goes on, whatever it is made of. */
function addAny(sets: Sets, pack: Pack, place: number): void {
  const before = sets.open();
  // Those that are made rise as those they are made from do.
  const made: Bought[] = [];
  let [next, nextMade] = [0, 0];
  for (;;) {
    const [old, fresh] = [before[next], made[nextMade]];
    const isOld = fresh === undefined || (old !== undefined && old.amount <= fresh.amount);
    const set = isOld ? old : fresh;
    if (set === undefined) return;
    if (isOld) next += 1;
    else nextMade += 1;
    if (sets.at(set.amount) !== set) continue;
    const more = withOne(set, pack, place);
    if (sets.add(more)) made.push(more);
  }
}

/** Adds as many of a pack as there are. */
function addUpTo(sets: Sets, most: number, pack: Pack, place: number): void {
  for (const set of sets.open()) {
    let more = set;
    for (let count = 1; count <= most; count += 1) {
      more = withOne(more, pack, place);
      sets.add(more);
    }
  }
}

/** The cheapest set of packs that covers what is missing; null where there are not enough. */
function cheapest(missing: number, packs: readonly Pack[]): Bought | null {
  const sets = new Sets(missing, { ...NOTHING, counts: packs.map(() => 0) });
  for (const [place, pack] of packs.entries()) {
    const enough = Math.ceil(missing / pack.size);
    if (pack.available === null || pack.available >= enough) addAny(sets, pack, place);
    else addUpTo(sets, pack.available, pack, place);
    sets.prune();
  }
  return sets.cheapest;
}

/** What to buy of some packs: how many of each, in their order, what they cost, and what is left over. */
export interface PacksBought {
  readonly counts: readonly number[];
  readonly cost: number;
  readonly left: number;
}

/** The cheapest packs that cover a need beyond what is in stock (sum *packs*), all in one unit; null where there are not enough. */
export function packsFor(need: number, stock: number, packs: readonly Pack[]): PacksBought | null {
  const set = cheapest(need - stock - SHORT, packs);
  if (set === null) return null;
  return { counts: set.counts, cost: set.cost, left: set.amount + stock - need };
}

/** What to buy so that a need is covered, litres or pieces: the cheapest set of packs. */
export const PACKS = asked({
  name: "packs",
  about: "Which packs cover a need at the least cost.",
  fields: {
    need: noneOrMore("how much is needed"),
    stock: usually(noneOrMore("how much is there"), 0),
    packs: listOf(
      fieldsOf({
        size: aboveNone("how much is in one"),
        price: noneOrMore("what one costs"),
        available: orUnknown(whole("how many there are", 0)),
      }),
    ),
  },
  reckon: ({ need, stock, packs }) => {
    const bought = packsFor(need, stock, packs);
    if (bought === null) return { refused: "not-to-be-had" };
    const { counts, cost, left } = bought;
    return {
      buy: packs.flatMap(({ size }, place) => {
        const count = counts[place] ?? 0;
        return count === 0 ? [] : [{ size, count }];
      }),
      cost,
      left,
    };
  },
});
