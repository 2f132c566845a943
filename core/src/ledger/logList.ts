import type { Book } from "../book/file/book.js";
import type { Entry } from "../book/records/entry.js";
import type { MachineId } from "../book/records/ids.js";
import { byDate, type CurrentRecord } from "../book/slice/currentRecords.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { plainQuantity } from "../quantity/formatQuantity.js";
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

type Names = (id: string) => string;

function namesOf(all: readonly (readonly [string, string])[]): Names {
  const known = new Map(all);
  return (id) => known.get(id) ?? id;
}

/** What the ids of entries stand for, and the tags of machines. */
interface LogNames {
  readonly task: Names;
  readonly used: Names;
  readonly person: Names;
  readonly tag: Names;
  readonly machine: Names;
}

function logNames({ tasks, parts, products, fluids, people, machines }: Book): LogNames {
  return {
    task: namesOf((tasks ?? []).map(({ id, name }) => [id, name] as const)),
    used: namesOf([
      ...(parts ?? []).map(({ id, number, name }) => [id, `${number} ${name}`] as const),
      ...(products ?? []).map(({ id, name }) => [id, name] as const),
      ...(fluids ?? []).map(({ id, system }) => [id, system] as const),
    ]),
    person: namesOf((people ?? []).map(({ id, name }) => [id, name] as const)),
    tag: namesOf((machines ?? []).map(({ id, tag }) => [id, tag] as const)),
    machine: namesOf((machines ?? []).map(({ id, name }) => [id, name] as const)),
  };
}

/** The ids whose names hold some words, looked up once for all entries. */
function holding(words: string, names: Names): (id: string) => boolean {
  const wanted = words.trim().toLowerCase();
  const known = new Map<string, boolean>();
  return (id) => {
    const before = known.get(id);
    if (before !== undefined) return before;
    const holds = names(id).toLowerCase().includes(wanted);
    known.set(id, holds);
    return holds;
  };
}

function matcher(asked: LogAsked, names: LogNames): (entry: Entry) => boolean {
  const isTask = holding(asked.task, names.task);
  const isUsed = holding(asked.used, names.used);
  const [hasTask, hasUsed] = [asked.task.trim() !== "", asked.used.trim() !== ""];
  return (entry) =>
    (!hasTask || (entry.tasks ?? []).some(isTask)) &&
    (asked.person === "" || (entry.work ?? []).some(({ person }) => person === asked.person)) &&
    (!hasUsed ||
      (entry.parts ?? []).some(({ part }) => isUsed(part)) ||
      (entry.fluids ?? []).some(
        ({ fluid, product }) => isUsed(fluid) || (product ? isUsed(product) : false),
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

function loggedIn(book: Book, tag: Names): Logged {
  const tags = (book.machines ?? []).map(({ id }) => id);
  const { compare } = new Intl.Collator("en", { numeric: true });
  tags.sort((one, other) => compare(tag(one), tag(other)));
  const rankOf = new Map(tags.map((id, rank) => [id, rank]));
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

/**
 * The log of a book, made ready once to be asked many times: the entries that count and that were asked for, in the order
 * asked for, and what they come to together. Of what is alike in the order asked for, the latest comes first.
 */
export function logOf(book: Book): (asked: LogAsked) => LogList {
  const names = logNames(book);
  const all = loggedIn(book, names.tag);
  const figures = { machine: all.ranks, minutes: all.minutes, cost: all.costs };
  return (asked) => {
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
  };
}

const HEADINGS = [
  ...["Date", "Number", "Machine", "Tasks", "Dials", "Fluids", "Parts", "Who", "Minutes"],
  ...["Cost", "Warranty", "Lines without a price", "Note"],
];

/** Entries as a table: the headings, then a row each; money to two places, all else as it was written. */
export function logTable(book: Book, entries: readonly Entry[]): string[][] {
  const names = logNames(book);
  const meters = namesOf(
    (book.machines ?? []).flatMap(({ meters: own }) =>
      (own ?? []).map(({ id, name, unit }) => [id, name ?? unit] as const),
    ),
  );
  return [
    HEADINGS,
    ...entries.map((entry) => {
      const cost = entryCost(entry);
      const money = wholeCost(cost).toFixed(2);
      const isWarranty = entry.warranty === true;
      return [
        ...[entry.date, names.tag(entry.machine), names.machine(entry.machine)],
        (entry.tasks ?? []).map(names.task).join("; "),
        Object.entries(entry.meters ?? {})
          .map(([meter, figure]) => `${meters(meter)} ${figure}`)
          .join("; "),
        (entry.fluids ?? [])
          .map(({ fluid, product, in: filled }) =>
            [
              names.used(fluid),
              filled ? plainQuantity(filled) : "",
              product ? names.used(product) : "",
            ]
              .filter((words) => words !== "")
              .join(" "),
          )
          .join("; "),
        (entry.parts ?? []).map(({ part, count }) => `${count} × ${names.used(part)}`).join("; "),
        [...new Set((entry.work ?? []).map(({ person }) => names.person(person)))].join("; "),
        String(minutesWorked(entry)),
        ...[isWarranty ? "0.00" : money, isWarranty ? money : "0.00"],
        ...[String(isWarranty ? 0 : cost.missing), entry.note ?? ""],
      ];
    }),
  ];
}
