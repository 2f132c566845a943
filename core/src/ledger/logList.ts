import type { Book } from "../book/file/book.js";
import type { Entry } from "../book/records/entry.js";
import type { MachineId } from "../book/records/ids.js";
import type { Machine } from "../book/records/machine.js";
import { byDate, type CurrentRecord } from "../book/slice/currentRecords.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { plainQuantity } from "../quantity/formatQuantity.js";
import { entryNames, nameIn, type EntryNames, type Known } from "./entryNames.js";
import { entryCost, minutesWorked, wholeCost } from "./entryCost.js";

/** What the log can be sorted by. */
export const LOG_ORDERS = ["date", "machine", "minutes", "cost"] as const;
export type LogOrder = (typeof LOG_ORDERS)[number];

/** What of the log is asked for; null and empty words ask for all. */
export interface LogAsked {
  readonly from: DayNumber | null;
  readonly to: DayNumber | null;
  readonly machine: MachineId | null;
  /** Words in the name of a task that was done. */
  readonly task: string;
  /** The id of a person, or words. */
  readonly person: string;
  /** Words in the number or name of a part, or the name of a product or fluid system, that was used. */
  readonly used: string;
  readonly order: LogOrder;
  readonly isDescending: boolean;
}

/** What some entries come to together. */
export interface LogSums {
  readonly entries: number;
  readonly minutes: number;
  /** Without what came under warranty, which stands apart. */
  readonly cost: number;
  readonly warranty: number;
  /** Lines without a price. */
  readonly missing: number;
}

/** The entries that were asked for, in the order asked for, and what they come to. */
export interface LogList {
  readonly entries: readonly Entry[];
  readonly sums: LogSums;
}

/** Those of some names that some ids ask for. */
const only = (known: Known, ids: readonly string[]): Known =>
  new Map(ids.flatMap((id) => (known.has(id) ? [[id, nameIn(known, id)] as const] : [])));

/** The names that some entries ask for, and no others. */
function namesFor(entries: readonly Entry[], names: EntryNames): EntryNames {
  const fluids = entries.flatMap((entry) => entry.fluids ?? []);
  return {
    task: only(
      names.task,
      entries.flatMap(({ tasks }) => tasks ?? []),
    ),
    part: only(
      names.part,
      entries.flatMap(({ parts }) => (parts ?? []).map(({ part }) => part)),
    ),
    product: only(
      names.product,
      fluids.flatMap(({ product }) => product ?? []),
    ),
    fluid: only(
      names.fluid,
      fluids.map(({ fluid }) => fluid),
    ),
    person: only(
      names.person,
      entries.flatMap(({ work }) => (work ?? []).map(({ person }) => person)),
    ),
  };
}

/** The ids whose names hold some words, looked up once for all entries. */
function holding(words: string, names: Known): (id: string) => boolean {
  const wanted = words.trim().toLowerCase();
  const known = new Map<string, boolean>();
  return (id) => {
    const before = known.get(id);
    if (before !== undefined) return before;
    const holds = nameIn(names, id).toLowerCase().includes(wanted);
    known.set(id, holds);
    return holds;
  };
}

function matcher(asked: LogAsked, names: EntryNames): (entry: Entry) => boolean {
  const isTask = holding(asked.task, names.task);
  const isPart = holding(asked.used, names.part);
  const isProduct = holding(asked.used, names.product);
  const isFluid = holding(asked.used, names.fluid);
  const [hasTask, hasUsed] = [asked.task.trim() !== "", asked.used.trim() !== ""];
  return (entry) =>
    (!hasTask || (entry.tasks ?? []).some(isTask)) &&
    (asked.person === "" || (entry.work ?? []).some(({ person }) => person === asked.person)) &&
    (!hasUsed ||
      (entry.parts ?? []).some(({ part }) => isPart(part)) ||
      (entry.fluids ?? []).some(
        ({ fluid, product }) => isFluid(fluid) || (product ? isProduct(product) : false),
      ));
}

/** The entries of a book that count, the latest first, with what they are found, sorted and summed by, each at its place. */
interface Logged {
  readonly entries: readonly Entry[];
  readonly days: Int32Array;
  readonly minutes: Float64Array;
  /** Of all its lines, under warranty or not. */
  readonly costs: Float64Array;
  readonly missing: Int32Array;
  /** The place of its machine's number among all. */
  readonly ranks: Int32Array;
}

function standingIn(book: Book): CurrentRecord<Entry>[] {
  const standing: CurrentRecord<Entry>[] = [];
  for (const { entries } of recordsByMachine(book).values()) {
    for (const one of entries) standing.push(one);
  }
  return standing.sort((one, other) => byDate(other, one));
}

function loggedIn(book: Book): Logged {
  const { compare } = new Intl.Collator("en", { numeric: true });
  const byTag = (book.machines ?? []).toSorted((one, other) => compare(one.tag, other.tag));
  const rankOf = new Map(byTag.map(({ id }, rank) => [id, rank]));
  const standing = standingIn(book);
  const entries = standing.map(({ record }) => record);
  const costs = entries.map(entryCost);
  return {
    entries,
    days: Int32Array.from(standing, ({ day }) => day),
    minutes: Float64Array.from(entries, minutesWorked),
    costs: Float64Array.from(costs, wholeCost),
    missing: Int32Array.from(costs, ({ missing }) => missing),
    ranks: Int32Array.from(entries, ({ machine }) => rankOf.get(machine) ?? 0),
  };
}

function sumsOf(places: Uint32Array, { entries, minutes, costs, missing }: Logged): LogSums {
  const sums = { minutes: 0, cost: 0, warranty: 0, missing: 0 };
  for (const place of places) {
    sums.minutes += minutes[place] ?? 0;
    if (entries[place]?.warranty === true) sums.warranty += costs[place] ?? 0;
    else {
      sums.cost += costs[place] ?? 0;
      sums.missing += missing[place] ?? 0;
    }
  }
  return { entries: places.length, ...sums };
}

/** The places of the entries that were asked for, the latest first. */
function placesOf(all: Logged, asked: LogAsked, isAsked: (entry: Entry) => boolean): Uint32Array {
  const { entries, days } = all;
  const { machine } = asked;
  const [from, to] = [asked.from ?? -Infinity, asked.to ?? Infinity];
  const found = new Uint32Array(entries.length);
  let count = 0;
  for (let place = 0; place < entries.length; place += 1) {
    const day = days[place] as number;
    if (day < from || day > to) continue;
    const entry = entries[place] as Entry;
    if ((machine !== null && entry.machine !== machine) || !isAsked(entry)) continue;
    found[count] = place;
    count += 1;
  }
  return found.slice(0, count);
}

const HEADINGS = [
  ...["Date", "Number", "Machine", "Tasks", "Dials", "Fluids", "Parts", "Who", "Minutes"],
  ...["Cost", "Warranty", "Lines without a price", "Note"],
];

const joined = (all: readonly string[], between: string): string =>
  all.filter((one) => one !== "").join(between);

/** What the dials showed with an entry, each by the name its machine has for it. */
function dialsText({ meters }: Entry, machine: Machine | undefined): string {
  const texts = Object.entries(meters ?? {}).map(([id, figure]) => {
    const meter = (machine?.meters ?? []).find((one) => one.id === id);
    return joined([meter?.name ?? "", String(figure), meter?.unit ?? id], " ");
  });
  return texts.join("; ");
}

function rowOf(entry: Entry, machine: Machine | undefined, names: EntryNames): string[] {
  const { missing, ...cost } = entryCost(entry);
  const money = wholeCost({ ...cost, missing }).toFixed(2);
  const isWarranty = entry.warranty === true;
  const fluids = (entry.fluids ?? []).map(({ fluid, product, in: filled }) =>
    joined(
      [
        nameIn(names.fluid, fluid),
        filled ? plainQuantity(filled) : "",
        product ? nameIn(names.product, product) : "",
      ],
      " ",
    ),
  );
  const parts = (entry.parts ?? []).map(
    ({ part, count }) => `${count} × ${nameIn(names.part, part)}`,
  );
  const people = (entry.work ?? []).map(({ person }) => nameIn(names.person, person));
  return [
    ...[entry.date, machine?.tag ?? "", machine?.name ?? entry.machine],
    (entry.tasks ?? []).map((id) => nameIn(names.task, id)).join("; "),
    ...[dialsText(entry, machine), fluids.join("; "), parts.join("; ")],
    ...[[...new Set(people)].join("; "), String(minutesWorked(entry))],
    ...(isWarranty ? ["0.00", money, "0"] : [money, "0.00", String(missing)]),
    entry.note ?? "",
  ];
}

/** The log of a book, made ready once to be asked many times. */
export interface WorkLog {
  /** The entries that count and that were asked for, in the order asked for, and what they come to together. Of what is alike in the order asked for, the latest comes first. */
  readonly ask: (asked: LogAsked) => LogList;
  /** What the ids in some entries stand for. */
  readonly names: (entries: readonly Entry[]) => EntryNames;
  /** Entries as a table: the headings, then a row each; money to two places, all else as it was written. */
  readonly table: (entries: readonly Entry[]) => string[][];
}

/** Makes the log of a book ready. */
export function logOf(book: Book): WorkLog {
  const names = entryNames(book);
  const all = loggedIn(book);
  const machines = new Map((book.machines ?? []).map((machine) => [machine.id, machine]));
  const figures = { machine: all.ranks, minutes: all.minutes, cost: all.costs };
  return {
    ask: (asked) => {
      const places = placesOf(all, asked, matcher(asked, names));
      if (asked.order === "date") {
        if (!asked.isDescending) places.reverse();
      } else {
        const [by, sign] = [figures[asked.order], asked.isDescending ? -1 : 1];
        places.sort(
          (one, other) => sign * ((by[one] as number) - (by[other] as number)) || one - other,
        );
      }
      const entries = Array.from(places, (place) => all.entries[place] as Entry);
      return { entries, sums: sumsOf(places, all) };
    },
    names: (entries) => namesFor(entries, names),
    table: (entries) => [
      HEADINGS,
      ...entries.map((entry) => rowOf(entry, machines.get(entry.machine), names)),
    ],
  };
}
