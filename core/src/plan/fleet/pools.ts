import { sortBy } from "es-toolkit";
import type { DayNumber } from "../../calendar/dayNumber.js";
import {
  closuresOf,
  handHours,
  openDays,
  sumOfHours,
  type Hand,
  type Workshop,
} from "../visits/weekHours.js";
import type { WorkDays } from "../visits/spareDays.js";
import type { Pool } from "./fleetProblem.js";

const MINUTES_AN_HOUR = 60;
/** So many sets of people, or of bays, are looked at: where skills make more, the largest are left out. */
const MOST_SETS = 32;

/** Words that some work needs, told apart: of who does it, of where it is done, and those nobody has. */
export interface NeedWords {
  readonly people: readonly string[];
  readonly bays: readonly string[];
  /** Of neither. */
  readonly strange: readonly string[];
}

/** What there is to draw on, and who can do what. */
export class Pools {
  readonly pools: readonly Pool[];
  private readonly staff: Workshop["people"];
  /** Who can do what, as it was asked before. */
  private readonly can = new Map<string, readonly string[]>();

  /** The pools for all work whose needs are `wanted`, one set of words each. */
  constructor(
    private readonly shop: Workshop,
    work: WorkDays,
    today: DayNumber,
    mondays: readonly DayNumber[],
    wanted: readonly NeedWords[],
  ) {
    this.staff = shop.people.filter(({ hasLeft }) => hasLeft !== true);
    const days = mondays.map((monday) => openDays(work, monday, today));
    const pool = (of: Pool["of"], who: readonly string[]): Pool[] => {
      const hands: readonly Hand[] = of === "people" ? this.staff : shop.bays;
      const own = hands.filter(({ id }) => who.includes(id));
      const closures = closuresOf(shop.closures, of === "people" ? "person" : "bay");
      const minutes = days.map((week) =>
        sumOfHours(own.map((hand) => handHours(hand, week, work, closures))),
      );
      // Without hours recorded there is nothing to keep.
      if (minutes.some((one) => one === null)) return [];
      const needs = this.wordsOf(of, who);
      const isWhole = who.length === hands.length;
      const aDay = sumOfHours(own.map((hand) => handHours(hand, [today], work, []))) ?? 0;
      return [
        {
          ...{ of, isWhole, who, needs, aDay: aDay * MINUTES_AN_HOUR },
          minutes: minutes.map((one) => (one ?? 0) * MINUTES_AN_HOUR),
        },
      ];
    };
    this.pools = (["people", "bays"] as const).flatMap((of) =>
      unions([this.whoCan(of, []), ...wanted.map((words) => this.whoCan(of, words[of]))]).flatMap(
        (who) => pool(of, who),
      ),
    );
  }

  /** Those who have all of some words, by id. */
  whoCan(of: Pool["of"], words: readonly string[]): readonly string[] {
    const key = [of, ...words].join("\n");
    const known = this.can.get(key) ?? this.have(of, words);
    this.can.set(key, known);
    return known;
  }

  private have(of: Pool["of"], words: readonly string[]): string[] {
    const has = (own: readonly string[] | undefined): boolean =>
      words.every((word) => own?.includes(word) === true);
    return of === "people"
      ? this.staff.filter(({ skills }) => has(skills)).map(({ id }) => id)
      : this.shop.bays.filter(({ takes }) => has(takes)).map(({ id }) => id);
  }

  /** The pools that work draws on which only some can do: every one in which all of these are. */
  drawnOn(of: Pool["of"], who: readonly string[]): number[] {
    return this.pools.flatMap((pool, at) =>
      pool.of === of && who.every((one) => pool.who.includes(one)) ? [at] : [],
    );
  }

  private wordsOf(of: Pool["of"], who: readonly string[]): string[] {
    const all: readonly { readonly id: string; readonly words: readonly string[] }[] =
      of === "people"
        ? this.staff.map(({ id, skills }) => ({ id, words: skills ?? [] }))
        : this.shop.bays.map(({ id, takes }) => ({ id, words: takes ?? [] }));
    const own = all.filter(({ id }) => who.includes(id));
    const others = all.filter(({ id }) => !who.includes(id));
    if (others.length === 0) return [];
    return [...new Set(own.flatMap(({ words }) => words))].filter(
      (word) =>
        own.every(({ words }) => words.includes(word)) &&
        !others.every(({ words }) => words.includes(word)),
    );
  }
}

/** Words that some work needs, told apart by who has them among the people and the bays there are. */
export function needWords(
  needs: Iterable<string>,
  { people, bays }: Pick<Workshop, "people" | "bays">,
): NeedWords {
  const skills = new Set(
    people.filter(({ hasLeft }) => hasLeft !== true).flatMap((one) => one.skills ?? []),
  );
  const takes = new Set(bays.flatMap((one) => one.takes ?? []));
  const words = [...new Set(needs)];
  return {
    people: words.filter((word) => skills.has(word)),
    bays: words.filter((word) => takes.has(word)),
    strange: words.filter((word) => !skills.has(word) && !takes.has(word)),
  };
}

/**
 * Sets of hands whose hours bind: those given, and the unions of such as share somebody. Work can be given out among
 * them exactly when no such set is asked for more than it has (Hall's condition, hours being divisible).
 */
function unions(sets: readonly (readonly string[])[]): (readonly string[])[] {
  const found = new Map<string, readonly string[]>();
  const add = (set: readonly string[]): void => {
    if (set.length > 0) found.set([...set].sort().join("\n"), set);
  };
  sets.forEach(add);
  const [all = []] = sets;
  for (let before = 0; before !== found.size && found.size < MOST_SETS;) {
    before = found.size;
    const known = [...found.values()];
    for (const [at, one] of known.entries()) {
      for (const other of known.slice(at + 1)) {
        if (!one.some((id) => other.includes(id)) || found.size >= MOST_SETS) continue;
        add(all.filter((id) => one.includes(id) || other.includes(id)));
      }
    }
  }
  return sortBy([...found.values()], [(set) => -set.length]);
}
