import {
  formatNumber,
  type Container,
  type Part,
  type Product,
  type WorkFollows,
} from "@yonderfell/core";
import { NBSP } from "../../../words/format.js";
import { figureStyle } from "../../../words/writing.js";

/** A line of what follows: what it is of, what is so now, and what to look at, empty where nothing is. */
export interface FollowsLine {
  readonly of: string;
  readonly now: string;
  readonly look: string;
}

const figure = (value: number): string => formatNumber(Number(value.toFixed(2)), figureStyle());
const amount = (value: number, unit: string): string => `${figure(value)}${NBSP}${unit}`;
const share = (value: number): string =>
  `${figure(Math.abs(value * 100) < 0.05 ? 0 : Math.abs(Number((value * 100).toFixed(1))))}${NBSP}%`;

/** What was taken from shelves, and what is there now. */
export function stockLines(
  { stock }: WorkFollows,
  { parts, products }: { readonly parts: readonly Part[]; readonly products: readonly Product[] },
): FollowsLine[] {
  return stock.map(({ item, taken, unit, onHand, short, least }) => {
    const part = "part" in item ? parts.find(({ id }) => id === item.part) : undefined;
    const product = "product" in item ? products.find(({ id }) => id === item.product) : undefined;
    const of = part ? `${part.number} ${part.name}` : (product?.name ?? "");
    const counted = (value: number): string =>
      unit === "piece" ? figure(value) : amount(value, unit);
    const look =
      onHand < 0
        ? "the counts do not agree: count it"
        : short
          ? `below the least, ${counted(least ?? 0)}`
          : "";
    return { of, now: `${counted(taken)} taken, ${counted(onHand)} left`, look };
  });
}

/** What was drained, where it goes, and how full that is. */
export function wasteLines(
  { waste }: WorkFollows,
  containers: readonly Container[],
): FollowsLine[] {
  return waste.map(({ kind, litres, standing, container: id }) => {
    const container = containers.find((one) => one.id === id);
    const holds = container?.holds ?? null;
    const room = holds !== null && typeof holds !== "number" ? holds.value : null;
    const isFull = room !== null && standing > room;
    return {
      of: container ? `${kind}, ${container.name}` : kind,
      now: `${amount(litres, "L")} more, ${amount(standing, "L")} there${room === null ? "" : ` of ${amount(room, "L")}`}`,
      look: isFull ? "full: hand it in" : container ? "" : "no container of its kind is in use",
    };
  });
}

/** What the log now tells of capacities, beside each printed source. */
export function capacityLines({ capacities }: WorkFollows): FollowsLine[] {
  return capacities.flatMap(({ fluid, condition, learned }) => {
    const { fills, median, low, high, printed, disagree } = learned;
    if (median === null) return [];
    const range = low === high ? "" : `, ${figure(low ?? 0)} to ${figure(high ?? 0)}`;
    const sources = printed.map(
      ({ source, off }) =>
        `${source} ${off === null ? "" : Math.abs(off) < 5e-4 ? "says the same" : `says ${share(off)} ${off > 0 ? "more" : "less"}`}`,
    );
    return [
      {
        of: `${fluid.system}, ${condition}`,
        now: [
          `${amount(median, "L")} learned from ${fills} ${fills === 1 ? "fill" : "fills"}${range}`,
          ...sources,
        ].join("; "),
        look: disagree ? "the sources disagree" : "",
      },
    ];
  });
}
