import { groupBy } from "es-toolkit";
import type { Book } from "../../book/file/book.js";
import type { MachineId, TaskId } from "../../book/records/ids.js";
import type { Machine } from "../../book/records/machine.js";
import { planningOf, settingsOf, type Planning } from "../../book/records/settings.js";
import { machineBooksOf } from "../../book/slice/machineBook.js";
import { machinePlatesOf } from "../../book/slice/machinePlate.js";
import type { MachineBook } from "../../book/slice/slice.js";
import { addDays, type DayNumber } from "../../calendar/dayNumber.js";
import { plateNow } from "../../schedule/inside.js";
import type { AheadBook } from "../../stores/needsAhead.js";
import { usualRate } from "../../stores/taskNeeds.js";
import { mondayOf } from "../visits/spareDays.js";
import { machineToPlan, type PlanSource } from "../visits/visitsOfMachine.js";
import type { Workshop } from "../visits/weekHours.js";
import type { FleetBlock, FleetMachine, FleetProblem, Pool, UnmetNeed } from "./fleetProblem.js";
import { MachineOptions, optionKey, type BareBlock, type BareOption } from "./machineOptions.js";
import { needWords, Pools, type NeedWords } from "./pools.js";

const DAYS_A_WEEK = 7;
const MINUTES_AN_HOUR = 60;
/** So many ways are looked for of each machine at the most, that by itself among them. */
const MOST_OPTIONS = 5;
/** From the first week that is too full, so many weeks are closed to new visits: what has piled up goes behind them. */
const LONGER: readonly number[] = [3, 8];

/** What the weeks of a fleet are shared from. */
export type FleetBook = Omit<AheadBook, "stockMoves"> & Pick<Book, "bays">;

/** How far the preparation is: so many of all steps. */
export interface FleetPreparing {
  readonly done: number;
  readonly of: number;
  /** Once, as soon as all machines by themselves are known: the problem of these alone, for a first answer. */
  readonly first: FleetProblem | null;
}

/** A machine as its ways are gathered. */
interface Gathered {
  readonly book: MachineBook;
  readonly ways: MachineOptions;
  readonly options: Map<string, BareOption>;
}

/**
 * The weeks of all machines together as one problem (docs/fleet-plan.md): of each machine the cheapest visits by
 * itself, and others that the exact planner finds with weeks closed to them that hold too much, each with the cheapest day of
 * every week. Step by step, a machine each, so that whoever asks can show how far it is and stop.
 */
export function* prepareFleet(
  book: FleetBook,
  today: DayNumber,
): Generator<FleetPreparing, FleetProblem, undefined> {
  const planning = planningOf(book);
  const shop: Workshop = {
    people: book.people ?? [],
    bays: book.bays ?? [],
    closures: book.closures ?? [],
  };
  const weeks = Array.from({ length: planning.weeks + 1 }, (_, week) =>
    addDays(mondayOf(today), week * DAYS_A_WEEK),
  );
  const books = machineBooksOf(book as Book);
  const steps = 2 * books.length;
  const gathered: Gathered[] = [];
  const from = sourceOf(book, planning);
  for (const [at, one] of books.entries()) {
    const given = from(one, today);
    if (given !== null) {
      const alone = given.alone();
      const options = new Map([[optionKey(alone), alone]]);
      gathered.push({ book: one, ways: given, options });
    }
    yield { done: at + 1, of: steps, first: null };
  }
  const needs = new Needs(book, shop);
  const alone = gathered.flatMap(({ options }) => [...options.values()]);
  const pools = new Pools(shop, planning, today, weeks, needs.wanted(alone));
  const fleet = { today, weeks, work: planning, overMinute: planning.overHour / MINUTES_AN_HOUR };
  const tight = fullWeeks(alone, pools.pools, (block) => needs.uses(block, pools));
  if (tight.length === 0) return problemOf(gathered, needs, pools, fleet);
  yield { done: books.length, of: steps, first: problemOf(gathered, needs, pools, fleet) };
  for (const [at, one] of gathered.entries()) {
    moreOptions(one, tight);
    yield { done: books.length + at + 1, of: steps, first: null };
  }
  return problemOf(gathered, needs, pools, fleet);
}

const named = ({ id, tag, name }: Machine): FleetMachine["machine"] => ({ id, tag, name });

/** The problem of all ways that are gathered so far. */
function problemOf(
  gathered: readonly Gathered[],
  needs: Needs,
  pools: Pools,
  fleet: Pick<FleetProblem, "today" | "weeks" | "work" | "overMinute">,
): FleetProblem {
  const machines = gathered.flatMap(({ book: { machines: own, entries }, options }) => {
    const [machine] = own;
    const numbers = entries.flatMap(({ seq }) => seq ?? []);
    const ways = [...options.values()].map(({ blocks }) => ({
      blocks: blocks.map((block): FleetBlock => ({ ...block, uses: needs.uses(block, pools) })),
    }));
    if (ways.every(({ blocks }) => blocks.length === 0)) return [];
    const since = numbers.length === 0 ? null : Math.max(...numbers);
    return [{ machine: named(machine), since, options: ways }];
  });
  const unmet = gathered.flatMap(({ book: { machines: own }, options }) => {
    const [first] = options.values();
    return (first?.blocks ?? []).flatMap((block) => needs.unmet(block, named(own[0]), pools));
  });
  return { ...fleet, pools: pools.pools, machines, unmet };
}

/** The ways of each machine of a book. */
function sourceOf(
  book: FleetBook,
  planning: Planning,
): (own: MachineBook, today: DayNumber) => MachineOptions | null {
  const plateOf = machinePlatesOf(book);
  const visits = groupBy(book.visits ?? [], ({ machine }) => machine);
  const journeys = groupBy(book.journeys ?? [], ({ machine }) => machine);
  const source: PlanSource = {
    ...{ settings: settingsOf(book), planning },
    ...{ parts: book.parts ?? [], products: book.products ?? [] },
    rate: usualRate(book.people ?? []),
  };
  return (own, today) => {
    const [{ id }] = own.machines;
    const plate = plateNow(plateOf(id), own, today);
    const held = { visits: visits[id] ?? [], journeys: journeys[id] ?? [] };
    const given = machineToPlan(own, plate, held, source, today);
    return given === null ? null : new MachineOptions(given);
  };
}

/** The weeks in which the machines by themselves ask some pool for more than it has. */
function fullWeeks(
  options: readonly BareOption[],
  pools: readonly Pool[],
  usesOf: (block: BareBlock) => FleetBlock["uses"],
): readonly number[] {
  const loads = pools.map(({ minutes }) => minutes.map(() => 0));
  for (const block of options.flatMap(({ blocks }) => blocks)) {
    const week = block.choices.find(({ day }) => day === block.day)?.week;
    if (week === undefined) continue;
    for (const [pool, minutes] of usesOf(block)) {
      const load = loads[pool] as number[];
      load[week] = (load[week] ?? 0) + minutes;
    }
  }
  const isFull = (week: number): boolean =>
    pools.some(({ minutes }, at) => (loads[at]?.[week] ?? 0) > (minutes[week] ?? 0));
  return (pools[0]?.minutes ?? []).flatMap((_, week) => (isFull(week) ? [week] : []));
}

/** More ways for a machine that has work in weeks that are too full: without new visits in some of these. */
function moreOptions({ ways, options }: Gathered, tight: readonly number[]): void {
  const [alone] = options.values();
  const own = new Set(
    (alone?.blocks ?? [])
      .filter(({ held }) => held === null)
      .flatMap(({ choices, day }) => choices.find((one) => one.day === day)?.week ?? []),
  );
  const full = tight.filter((week) => own.has(week));
  const [first] = full;
  if (first === undefined) return;
  const closings = [
    full,
    ...(full.length > 1 ? full.map((week) => [week]) : []),
    ...LONGER.map((count) => Array.from({ length: count }, (_, week) => first + week)),
    tight,
  ];
  for (const weeks of closings) {
    if (options.size >= MOST_OPTIONS) return;
    const found = ways.without(new Set(weeks));
    if (found !== null) options.set(optionKey(found), found);
  }
}

/** What the work of blocks needs, and what it draws on for that. */
class Needs {
  private readonly ofBay: ReadonlyMap<MachineId, readonly string[]>;
  private readonly ofTask: ReadonlyMap<TaskId, readonly string[]>;
  private readonly machineOf: ReadonlyMap<TaskId, MachineId>;
  private readonly minutes: ReadonlyMap<TaskId, number>;
  /** Words of needs, as they were told apart before. */
  private readonly told = new Map<string, NeedWords>();

  constructor(
    { machines = [], tasks = [] }: FleetBook,
    private readonly shop: Workshop,
  ) {
    this.ofBay = new Map(machines.map(({ id, bayNeeds }) => [id, bayNeeds ?? []]));
    this.ofTask = new Map(tasks.map(({ id, needs }) => [id, needs ?? []]));
    this.machineOf = new Map(tasks.map(({ id, machine }) => [id, machine]));
    this.minutes = new Map(tasks.flatMap(({ id, minutes }) => (minutes ? [[id, minutes]] : [])));
  }

  /** Every set of words that some of the work needs together. */
  wanted(options: readonly BareOption[]): NeedWords[] {
    const blocks = options.flatMap(({ blocks: own }) => own);
    const sets = [...this.ofTask.values(), ...blocks.map((block) => this.wordsOf(block))];
    return sets.map((words) => this.words(words));
  }

  /** What a block draws on: each task the hours of those who can do it, all of it those of a bay that takes it. */
  uses(block: BareBlock, pools: Pools): FleetBlock["uses"] {
    const uses = new Map<number, number>();
    const take = (of: Pool["of"], words: NeedWords, minutes: number): void => {
      const can = pools.whoCan(of, words[of]);
      const who = can.length > 0 ? can : pools.whoCan(of, []);
      for (const pool of pools.drawnOn(of, who)) {
        uses.set(pool, (uses.get(pool) ?? 0) + minutes);
      }
    };
    const work = [
      ...[...block.turns, ...block.added].map(({ task, minutes }) => [task, minutes ?? 0] as const),
      ...block.others.map((task) => [task, this.minutes.get(task) ?? 0] as const),
    ];
    for (const [task, minutes] of work) {
      if (minutes > 0) take("people", this.words(this.ofTask.get(task) ?? []), minutes);
    }
    if (block.minutes > 0) take("bays", this.words(this.wordsOf(block)), block.minutes);
    return [...uses];
  }

  /** Where nobody can do some work of a block, or no bay takes it. */
  unmet(block: BareBlock, machine: UnmetNeed["machine"], pools: Pools): UnmetNeed[] {
    const tasks = tasksOf(block);
    const found: UnmetNeed[] = tasks.flatMap((task) => {
      const { people, strange } = this.words(this.ofTask.get(task) ?? []);
      const isShort = people.length > 0 && pools.whoCan("people", people).length === 0;
      const needs = isShort ? [...people, ...strange] : strange;
      return needs.length === 0 ? [] : [{ machine, tasks: [task], of: "people" as const, needs }];
    });
    const { bays } = this.words(this.wordsOf(block));
    const strange = this.words(this.ofBay.get(machine.id) ?? []).strange;
    const isShort = bays.length > 0 && pools.whoCan("bays", bays).length === 0;
    const needs = [...(isShort ? bays : []), ...strange];
    return needs.length === 0 ? found : [...found, { machine, tasks, of: "bays", needs }];
  }

  private words(needs: readonly string[]): NeedWords {
    const key = needs.join("\n");
    const known = this.told.get(key) ?? needWords(needs, this.shop);
    this.told.set(key, known);
    return known;
  }

  private wordsOf(block: BareBlock): string[] {
    const tasks = tasksOf(block);
    const [first] = tasks;
    const machine = first === undefined ? undefined : this.machineOf.get(first);
    const ofBay = machine === undefined ? [] : (this.ofBay.get(machine) ?? []);
    return [...ofBay, ...tasks.flatMap((task) => this.ofTask.get(task) ?? [])];
  }
}

const tasksOf = ({ turns, added, others }: BareBlock): TaskId[] => [
  ...new Set([...[...turns, ...added].map(({ task }) => task), ...others]),
];
