import { groupBy } from "es-toolkit";
import type { Book } from "../book/file/book.js";
import type { Container, WasteKind, WasteMove } from "../book/records/waste.js";
import { WASTE_KINDS } from "../book/records/waste.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { valueIn } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";
import { NO_WASTE, plusWaste, wasteAmountOf, wasteKindOf, type WasteAmount } from "./wasteOn.js";

/** Something that put waste into a container, or took it away. */
interface WasteStep {
  readonly day: DayNumber;
  readonly kind: WasteKind;
  /** The container it went into or came out of; null where none is known. */
  readonly container: string | null;
  readonly amount: WasteAmount;
  /** The move; null for what a job drained. */
  readonly move: WasteMove | null;
}

/** A container and what stands in it. */
export interface ContainerStanding {
  readonly container: Container;
  readonly standing: WasteAmount;
  /** How full it is, from 0; null where it is not said how much it holds. */
  readonly full: number | null;
}

type WasteBook = Pick<Book, "entries" | "fluids" | "wasteMoves" | "containers">;

/** Containers of a kind by when they came into use, the first first; those that are not dated before all others, the one in use last of them. */
function inUseOf(containers: readonly Container[], kind: WasteKind): Container[] {
  const own = containers.filter((one) => one.kind === kind);
  const dated = own.filter(
    ({ since, until, inUse }) => Boolean(since) || Boolean(until) || inUse === true,
  );
  const startOf = ({ since }: Container): string => since ?? "";
  return dated.sort(
    (one, other) =>
      startOf(one).localeCompare(startOf(other)) ||
      Number(one.inUse === true) - Number(other.inUse === true),
  );
}

/** The container of a kind that was in use on a day: the last that came into use by then; null where there is none. What was drained before any was in use is told to the first. */
function usedOn(used: readonly Container[], day: DayNumber): Container | null {
  const by = used.filter(({ since }) => (since ?? null) === null || dayOf(since ?? "") <= day);
  return by.at(-1) ?? used[0] ?? null;
}

/** All that put waste into containers or took it away up to a day, the earliest first: what entries drained (a corrected entry corrects it), and moves. */
function wasteSteps(book: WasteBook, on: DayNumber): WasteStep[] {
  const { containers = [] } = book;
  const kinds = new Map<string, WasteKind>(
    (book.fluids ?? []).map(({ id, kind }) => [id, wasteKindOf(kind)]),
  );
  const used = new Map(WASTE_KINDS.map((kind) => [kind, inUseOf(containers, kind)]));
  const into = (kind: WasteKind, day: DayNumber): string | null =>
    usedOn(used.get(kind) ?? [], day)?.id ?? null;
  const drained = currentRecords(book.entries ?? []).flatMap(({ record, day }) =>
    (record.fluids ?? []).flatMap(({ fluid, out }): WasteStep[] => {
      if (!out || day > on) return [];
      const kind = kinds.get(fluid) ?? "other";
      const amount = wasteAmountOf(out);
      return [{ day, kind, container: into(kind, day), amount, move: null }];
    }),
  );
  const moved = currentRecords(book.wasteMoves ?? []).flatMap(({ record, day }): WasteStep[] => {
    if (day > on) return [];
    const { kind, container, amount, why } = record;
    const whole = wasteAmountOf(amount);
    const signed = why === "filled" ? whole : plusWaste(NO_WASTE, whole, -1);
    return [{ day, kind, container: container ?? into(kind, day), amount: signed, move: record }];
  });
  return [...drained, ...moved].sort((one, other) => one.day - other.day);
}

/** How much of what a container holds an amount is, from 0; null where it holds what is not said, or of another measure. */
export function shareOfContainer({ holds }: Container, amount: WasteAmount): number | null {
  if (!holds) return null;
  const isMass = dimensionOf(holds.unit) === "mass";
  const room = valueIn(holds, isMass ? "kg" : "L");
  const there = isMass ? amount.kilograms : amount.litres;
  return room > 0 ? there / room : null;
}

/** What stands in each container at the end of a day. */
export function containersOn(book: WasteBook, on: DayNumber): ContainerStanding[] {
  const byContainer = groupBy(wasteSteps(book, on), ({ container }) => container ?? "");
  return (book.containers ?? []).map((container) => {
    const standing = (byContainer[container.id] ?? []).reduce(
      (sum, { amount }) => plusWaste(sum, amount),
      NO_WASTE,
    );
    return { container, standing, full: shareOfContainer(container, standing) };
  });
}

/** A kind of waste over a span of days. */
export interface WasteOfSpan {
  readonly kind: WasteKind;
  readonly before: WasteAmount;
  readonly drained: WasteAmount;
  /** Filled in otherwise. */
  readonly filled: WasteAmount;
  readonly handedIn: WasteAmount;
  readonly after: WasteAmount;
  /** What was handed in, each with where and its paper, the earliest first. */
  readonly papers: readonly WasteMove[];
}

/** What came together and was handed in from one day to another, both included, by kind; kinds of which there was nothing are left out. */
export function wasteOfSpan(book: WasteBook, from: DayNumber, to: DayNumber): WasteOfSpan[] {
  const byKind = groupBy(wasteSteps(book, to), ({ kind }) => kind);
  return WASTE_KINDS.flatMap((kind): WasteOfSpan[] => {
    const steps = byKind[kind] ?? [];
    if (steps.length === 0) return [];
    const sum = (of: (step: WasteStep) => boolean): WasteAmount =>
      steps.filter(of).reduce((total, { amount }) => plusWaste(total, amount), NO_WASTE);
    const within = ({ day }: WasteStep): boolean => day >= from;
    const whyOf = ({ move }: WasteStep): string => move?.why ?? "drained";
    const handed = steps.filter((step) => within(step) && whyOf(step) === "handed-in");
    return [
      {
        kind,
        before: sum((step) => !within(step)),
        drained: sum((step) => within(step) && whyOf(step) === "drained"),
        filled: sum((step) => within(step) && whyOf(step) === "filled"),
        handedIn: plusWaste(
          NO_WASTE,
          sum((step) => handed.includes(step)),
          -1,
        ),
        after: sum(() => true),
        papers: handed.flatMap(({ move }) => move ?? []),
      },
    ];
  });
}
