import type { Entry } from "../book/records/entry.js";
import type { Person } from "../book/records/workshop.js";
import type { Task } from "../book/records/task.js";
import type { Quote, Visit } from "../book/records/visit.js";
import type { Container } from "../book/records/waste.js";
import { addedCost, entryCost, NO_COST, wholeCost } from "../ledger/entryCost.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { catalogueOf, type StoreItem } from "./item.js";
import { needsOfVisit, type NeedGap, type NeedsFrom } from "./needs.js";
import { priceOfPart, priceOfProduct } from "./price.js";
import { usualRate } from "./taskNeeds.js";
import { plannedDrains } from "./plannedDrains.js";

/** A line of one's own work. */
export interface OwnLine {
  readonly kind: "part" | "fluid" | "seal" | "work" | "waste";
  /** What it is called: a part by number and name, a product, whose hours, a kind of waste. */
  readonly what: string;
  readonly item: StoreItem | null;
  /** Pieces, litres or kilograms; minutes of work. */
  readonly amount: number | null;
  /** Money; null where its price, rate or fee is not known. */
  readonly cost: number | null;
  /** The line of the quote that says the same, from 0; null where none does. */
  readonly inQuote: number | null;
}

/** A visit as it would be done by oneself, beside what a workshop asks. */
export interface OwnWork {
  readonly lines: readonly OwnLine[];
  /** Of what has a price. */
  readonly total: number;
  /** Lines without a price. */
  readonly missing: number;
  readonly gaps: readonly NeedGap[];
  readonly quote: number | null;
  /** Lines of the quote that none of one's own is the same as, from 0. */
  readonly onlyQuoted: readonly number[];
}

/** What an own work is reckoned from. */
export interface QuoteFrom extends NeedsFrom {
  readonly people: readonly Person[];
  readonly containers: readonly Container[];
}

const MINUTES_AN_HOUR = 60;

/** What a quote comes to: as it says, else the sum of its lines; null where it says neither. */
export function quoteTotal({ lines, total }: Quote): number | null {
  if (total !== null && total !== undefined) return total;
  const amounts = lines.flatMap(({ amount }) => amount ?? []);
  return amounts.length === 0 ? null : amounts.reduce((sum, one) => sum + one, 0);
}

const FILLING = new Set(["and", "the", "of", "with", "for", "new", "a"]);
const wordsIn = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word.length > 2 && !FILLING.has(word));

/** Words of a quote that stand for work. */
const LABOUR = /labou?r|hours?|work|time/i;
const WASTE = /waste|dispos|environment|used oil/i;

/** Whether a line of a quote says what one of one's own work does. */
function says(quoted: string, own: Omit<OwnLine, "inQuote">, kind: string): boolean {
  if (own.kind === "work") return LABOUR.test(quoted);
  if (own.kind === "waste") return WASTE.test(quoted);
  if (LABOUR.test(quoted) || WASTE.test(quoted)) return false;
  const words = new Set(wordsIn(quoted));
  const number = own.what.split(" · ")[0]?.toLowerCase() ?? "";
  if (number !== "" && own.kind !== "fluid" && quoted.toLowerCase().includes(number)) return true;
  const wanted = wordsIn(kind === "" ? own.what : kind);
  return wanted.length > 0 && wanted.every((word) => words.has(word));
}

/**
 * The work of a visit done by oneself: its parts, fluids and seals at their cheapest current source, its minutes at the usual rate,
 * handing its waste in at the container's fee; beside a quote, with what is not in it. Which lines are the same is told by their words and
 * is a guess: a number, or all words of the kind of part or fluid (`oil filter`, `engine oil`).
 */
export function ownWork(
  visit: Pick<Visit, "id" | "tasks" | "quote">,
  day: DayNumber,
  own: readonly Task[],
  from: QuoteFrom,
): OwnWork {
  const { needs, gaps } = needsOfVisit({ day, visit: visit.id, tasks: visit.tasks }, own, from);
  const catalogue = catalogueOf(from);
  const lines: Drafted[] = [];
  for (const { item, amount, of } of needs) {
    if ("part" in item) {
      const part = catalogue.parts.get(item.part);
      const price = part === undefined ? null : priceOfPart(part);
      const what = `${part?.number ?? ""} · ${part?.name ?? ""}`;
      const cost = price === null ? null : price.price * amount;
      const kind = of.code === "seal" ? "seal" : "part";
      lines.push({
        kind,
        what,
        item,
        amount,
        cost,
        called: (part?.name ?? "").split(",")[0] ?? "",
      });
    } else {
      const product = catalogue.products.get(item.product);
      const price = product === undefined ? null : priceOfProduct(product);
      const cost = price === null ? null : price.price * amount;
      const called = product?.kind ?? "";
      lines.push({ kind: "fluid", what: product?.name ?? "", item, amount, cost, called });
    }
  }
  lines.push(...workLines(visit, own, from), ...wasteLines(visit, own, from));
  const quoted = visit.quote?.lines ?? [];
  const found = lines.map(({ called, ...line }): OwnLine => {
    const at = quoted.findIndex(({ what }) => says(what, line, called));
    return { ...line, inQuote: at === -1 ? null : at };
  });
  const used = new Set(found.map(({ inQuote }) => inQuote));
  return {
    ...{ lines: found, gaps },
    total: found.reduce((sum, { cost }) => sum + (cost ?? 0), 0),
    missing: found.filter(({ cost }) => cost === null).length,
    quote: visit.quote ? quoteTotal(visit.quote) : null,
    onlyQuoted: quoted.flatMap((_, at) => (used.has(at) ? [] : [at])),
  };
}

type Drafted = Omit<OwnLine, "inQuote"> & { readonly called: string };

function workLines(
  { tasks }: Pick<Visit, "tasks">,
  own: readonly Task[],
  { people }: QuoteFrom,
): Drafted[] {
  const rate = usualRate(people);
  return tasks.flatMap((id): Drafted[] => {
    const task = own.find((one) => one.id === id);
    if (task === undefined) return [];
    const minutes = task.minutes ?? null;
    const cost = minutes === null || rate === null ? null : (minutes / MINUTES_AN_HOUR) * rate;
    return [{ kind: "work", what: task.name, item: null, amount: minutes, cost, called: "" }];
  });
}

/** What is drained for a task is about what goes in. */
function wasteLines(
  { tasks: ids }: Pick<Visit, "tasks">,
  own: readonly Task[],
  from: QuoteFrom,
): Drafted[] {
  const tasks = own.filter(({ id }) => ids.includes(id));
  return [...plannedDrains(tasks, from.plate.fluids)].map(([kind, amount]): Drafted => {
    const container = from.containers.find((one) => one.kind === kind && one.inUse === true);
    const fee = container?.fee ?? null;
    const cost = fee === null ? null : fee * amount;
    return { kind: "waste", what: kind, item: null, amount, cost, called: kind };
  });
}

/** What a visit was in the end: the entries that did any of its tasks from the day it was decided on; null before there is one. */
export function inTheEnd(
  { machine, tasks, accepted }: Pick<Visit, "machine" | "tasks" | "accepted">,
  entries: readonly Entry[],
): { readonly entries: readonly Entry[]; readonly total: number; readonly missing: number } | null {
  const wanted = new Set<string>(tasks);
  const own = entries.filter(
    (entry) =>
      entry.machine === machine &&
      entry.date >= accepted &&
      (entry.tasks ?? []).some((task) => wanted.has(task)),
  );
  if (own.length === 0) return null;
  const cost = own.map(entryCost).reduce(addedCost, NO_COST);
  return { entries: own, total: wholeCost(cost), missing: cost.missing };
}
