import { groupBy } from "es-toolkit";
import type { Book } from "../book/file/book.js";
import type { Entry } from "../book/records/entry.js";
import type { FluidId, MachineId, PartId, TaskId } from "../book/records/ids.js";
import type { Machine } from "../book/records/machine.js";
import type { Task } from "../book/records/task.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { dayOf } from "../calendar/dayNumber.js";
import { costLines, type CostLine } from "./entryCost.js";
import { monthOf, yearOf } from "./months.js";
import type { Spent } from "./spending.js";

/** What costs can be told apart by. */
export const COST_GROUPINGS = ["machine", "kind", "place", "task", "month", "year"] as const;
export type CostGrouping = (typeof COST_GROUPINGS)[number];

/** What was spent on what belongs together. */
export interface CostGroup extends Spent {
  /** A machine's or place's id, a kind, a task's name, `YYYY-MM`, a year; empty for none (no place), and see {@link NO_TASK}. */
  readonly key: string;
  /** Of the total: bills of shops. The rest is own work, parts and fluids. */
  readonly shop: number;
  /** So many entries cost something, or may have. */
  readonly entries: number;
}

/** The keys of work that did no task, beside names of tasks: told apart by what else it was. */
export const NO_TASK = {
  topUp: "\u0000top-up",
  found: "\u0000found",
  other: "\u0000other",
} as const;

/** A line of an entry, or a share of it, that goes to one group. */
interface Share {
  readonly key: string;
  readonly entry: Entry;
  readonly line: CostLine;
  /** Above 0 up to 1; the first of several also takes what is missing. */
  readonly part: number;
  readonly isFirst: boolean;
}

/** What of a machine's plan tells which task a line belongs to. */
interface TaskLinks {
  readonly tasks: ReadonlyMap<TaskId, Task>;
  readonly byPart: ReadonlyMap<PartId, ReadonlySet<TaskId>>;
  readonly byFluid: ReadonlyMap<FluidId, ReadonlySet<TaskId>>;
}

function added<Key>(into: Map<Key, Set<TaskId>>, key: Key, tasks: readonly TaskId[]): void {
  const known = into.get(key) ?? new Set<TaskId>();
  for (const task of tasks) known.add(task);
  into.set(key, known);
}

function linksOf(book: Book): ReadonlyMap<MachineId, TaskLinks> {
  const links = new Map<
    MachineId,
    {
      tasks: Map<TaskId, Task>;
      byPart: Map<PartId, Set<TaskId>>;
      byFluid: Map<FluidId, Set<TaskId>>;
    }
  >();
  for (const { id } of book.machines ?? []) {
    links.set(id, { tasks: new Map(), byPart: new Map(), byFluid: new Map() });
  }
  for (const task of book.tasks ?? []) {
    const own = links.get(task.machine);
    own?.tasks.set(task.id, task);
    for (const { fluid } of task.uses ?? []) if (own) added(own.byFluid, fluid, [task.id]);
  }
  for (const { machine, part, tasks } of book.fitments ?? []) {
    const own = links.get(machine);
    if (own) added(own.byPart, part, tasks ?? []);
  }
  return links;
}

/** The tasks of an entry that a line belongs to, each with its share: a part to those it is fitted for, a fluid to those that use it, else all by their minutes. */
function tasksOfLine(
  line: CostLine,
  entry: Entry,
  { tasks, byPart, byFluid }: TaskLinks,
): readonly (readonly [Task, number])[] {
  const done = [...new Set(entry.tasks ?? [])].flatMap((id) => tasks.get(id) ?? []);
  const named =
    line.kind === "parts"
      ? byPart.get(line.what as PartId)
      : line.kind === "fluids"
        ? byFluid.get(entry.fluids?.[line.at]?.fluid as FluidId)
        : undefined;
  const own = done.filter(({ id }) => named?.has(id) === true);
  if (own.length > 0) return own.map((task) => [task, 1 / own.length]);
  const minutes = done.map((task) => task.minutes ?? 0);
  const all = minutes.reduce((sum, one) => sum + one, 0);
  return done.map((task, at) => [task, all === 0 ? 1 / done.length : (minutes[at] ?? 0) / all]);
}

function noTask({ isTopUp, closes }: Entry): string {
  if (isTopUp === true) return NO_TASK.topUp;
  return (closes ?? []).length > 0 ? NO_TASK.found : NO_TASK.other;
}

function byTask(entry: Entry, links: TaskLinks): Share[] {
  return costLines(entry).flatMap((line): Share[] => {
    const tasks = tasksOfLine(line, entry, links).filter(([, part]) => part > 0);
    if (tasks.length === 0) return [{ key: noTask(entry), entry, line, part: 1, isFirst: true }];
    return tasks.map(([{ name }, part], at) => ({
      ...{ key: name, entry, line, part, isFirst: at === 0 },
    }));
  });
}

function keyOf(
  by: Exclude<CostGrouping, "task">,
  { date }: Entry,
  { id, kind, place }: Machine,
): string {
  switch (by) {
    case "machine":
      return id;
    case "kind":
      return kind;
    case "place":
      return place ?? "";
    case "month":
      return monthOf(date);
    case "year":
      return yearOf(date);
  }
}

function spentOn(key: string, shares: readonly Share[]): CostGroup {
  const sum = { parts: 0, fluids: 0, work: 0, other: 0, missing: 0, warranty: 0, shop: 0 };
  for (const { entry, line, part, isFirst } of shares) {
    const amount = line.amount === null ? null : line.amount * part;
    if (entry.warranty === true) sum.warranty += amount ?? 0;
    else if (amount === null) sum.missing += Number(isFirst);
    else {
      sum[line.kind] += amount;
      if (line.kind === "other" && entry.costs?.[line.at]?.kind === "shop") sum.shop += amount;
    }
  }
  const total = sum.parts + sum.fluids + sum.work + sum.other;
  return { key, ...sum, total, entries: new Set(shares.map(({ entry }) => entry.id)).size };
}

/** What is asked for: over which days, told apart by what, of which machine (null for all). */
export interface CostGroupsAsked {
  readonly from: string;
  readonly to: string;
  readonly by: CostGrouping;
  readonly machine?: MachineId | null;
}

/**
 * What was spent from one day to another (`YYYY-MM-DD`, both included), told apart by machine, kind, place, task, month
 * or year; groups of which nothing was written that costs are left out. Together they are what {@link bookCosts} says.
 * Of an entry that did several tasks a part goes to those that it is fitted for, a fluid to those that use it, in equal
 * shares; all else by the tasks' minutes, in equal shares where none has any. Months and years come in order, all others
 * the dearest first.
 */
export function costGroups(
  book: Book,
  { from, to, by, machine: only = null }: CostGroupsAsked,
): CostGroup[] {
  const [first, last] = [dayOf(from), dayOf(to)];
  const links = by === "task" ? linksOf(book) : null;
  const shares: Share[] = [];
  for (const { machine, entries } of recordsByMachine(book).values()) {
    if (only !== null && machine.id !== only) continue;
    const own = links?.get(machine.id);
    for (const { record: entry, day } of entries) {
      if (day < first || day > last) continue;
      if (by !== "task") {
        const key = keyOf(by, entry, machine);
        for (const line of costLines(entry))
          shares.push({ key, entry, line, part: 1, isFirst: true });
      } else if (own !== undefined) shares.push(...byTask(entry, own));
    }
  }
  const groups = Object.entries(groupBy(shares, ({ key }) => key)).map(([key, all]) =>
    spentOn(key, all),
  );
  return by === "month" || by === "year"
    ? groups.toSorted((one, other) => (one.key < other.key ? -1 : 1))
    : groups.toSorted((one, other) => other.total - one.total || (one.key < other.key ? -1 : 1));
}
