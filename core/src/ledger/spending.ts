import { groupBy } from "es-toolkit";
import type { Book } from "../book/file/book.js";
import type { Entry } from "../book/records/entry.js";
import type { EntryId, MachineId } from "../book/records/ids.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { dayOf } from "../calendar/dayNumber.js";
import { bookCosts, type BookCosts } from "./bookCosts.js";
import {
  addedCost,
  costLines,
  entryCost,
  NO_COST,
  wholeCost,
  type CostLine,
  type EntryCost,
} from "./entryCost.js";
import { entryNames, nameIn } from "./entryNames.js";
import { monthOf, monthsBetween } from "./months.js";

/** What was spent; what came under warranty apart. */
export interface Spent extends EntryCost {
  readonly total: number;
  readonly warranty: number;
}

/** What was spent in a month. */
export interface MonthSpent extends Spent {
  /** `YYYY-MM` */
  readonly month: string;
}

/** A line of an entry of which nobody knows what it cost. */
export interface UnpricedLine extends Pick<CostLine, "kind" | "at"> {
  /** What the book calls it: a part by number, a product or else its system, a person; words where it knows none. */
  readonly name: string;
  readonly machine: MachineId;
  readonly entry: EntryId;
  readonly date: string;
}

/** What was spent from one day to another, machine by machine and month by month. */
export interface Spending {
  readonly costs: BookCosts;
  /** All of its machines together. */
  readonly sum: Spent;
  /** From the month of the first entry that is in the span to that of its last, with the months between in which nothing was. */
  readonly months: readonly MonthSpent[];
  /** The latest first. Of what came under warranty none is asked for. */
  readonly unpriced: readonly UnpricedLine[];
}

function spentIn(month: string, entries: readonly Entry[]): MonthSpent {
  const costsOf = (under: boolean): EntryCost =>
    entries
      .filter(({ warranty }) => (warranty === true) === under)
      .map(entryCost)
      .reduce(addedCost, NO_COST);
  const spent = costsOf(false);
  return { month, ...spent, total: wholeCost(spent), warranty: wholeCost(costsOf(true)) };
}

function byMonth(entries: readonly Entry[]): MonthSpent[] {
  const months = groupBy(entries, ({ date }) => monthOf(date));
  return monthsBetween(Object.keys(months)).map((month) => spentIn(month, months[month] ?? []));
}

/** What a line of cost is called: a part, a product or else its system, a person; what else was paid for is called as it stands. */
function namesIn(book: Book): (line: Pick<CostLine, "kind" | "what">) => string {
  const { part, product, fluid, person } = entryNames(book);
  return ({ kind, what }) => {
    switch (kind) {
      case "parts":
        return nameIn(part, what);
      case "fluids":
        return product.get(what) ?? nameIn(fluid, what);
      case "work":
        return nameIn(person, what);
      case "other":
        return what;
    }
  };
}

/**
 * What was spent on the machines of a book, or on one of them, from one day to another (`YYYY-MM-DD`, both included):
 * the figures of {@link bookCosts}, the same month by month, and each line without a price (records §1). Money is the
 * book's own, not rounded.
 */
export function spending(
  book: Book,
  { from, to, machine = null }: { from: string; to: string; machine?: MachineId | null },
): Spending {
  const whole = bookCosts(book, from, to);
  const isAsked = ({ id }: { readonly id: MachineId }): boolean =>
    machine === null || id === machine;
  const [first, last] = [dayOf(from), dayOf(to)];
  const entries = [...recordsByMachine(book).values()]
    .filter((records) => isAsked(records.machine))
    .flatMap((records) => records.entries)
    .filter(({ day }) => day >= first && day <= last)
    .map(({ record }) => record);
  const nameOf = namesIn(book);
  const unpriced = entries
    .filter(({ warranty }) => warranty !== true)
    .flatMap((entry) =>
      costLines(entry)
        .filter(({ amount }) => amount === null)
        .map(({ kind, what, at }): UnpricedLine => ({
          ...{
            kind,
            at,
            name: nameOf({ kind, what }),
            machine: entry.machine,
            entry: entry.id,
            date: entry.date,
          },
        })),
    );
  const machines = whole.machines.filter(isAsked);
  const all = machines.reduce<EntryCost>(addedCost, NO_COST);
  const warranty = machines.reduce((sum, cost) => sum + cost.warranty, 0);
  return {
    costs: { ...whole, machines },
    sum: { ...all, total: wholeCost(all), warranty },
    months: byMonth(entries),
    unpriced: unpriced.sort((one, other) => dayOf(other.date) - dayOf(one.date)),
  };
}
