import type { Book } from "./book.js";
import { DATED_SECTIONS, SECTIONS, type DatedSection } from "./sections.js";
import { currentRecords } from "./currentRecords.js";
import type { BookIssue, IssuePath } from "./issue.js";
import { isMeterLimit } from "./limitKind.js";
import type { Machine } from "./machine.js";
import { plateIssues, sharedIssues, stopIssues } from "./plateReferences.js";
import type { Task } from "./task.js";

const quoted = (id: string): string => JSON.stringify(id);

/** Everything a book refers to, by id. */
class Names {
  readonly metersByMachine = new Map<string, ReadonlySet<string>>();
  readonly tasks = new Map<string, Task>();

  constructor(book: Book) {
    for (const machine of book.machines ?? []) {
      this.metersByMachine.set(
        machine.id,
        new Set((machine.meters ?? []).map((meter) => meter.id)),
      );
    }
    for (const task of book.tasks ?? []) this.tasks.set(task.id, task);
  }
}

/**
 * What the schemas cannot see: references to nothing, duplicate ids, an order given by halves,
 * contradictions between records (due rules §1). Issues come in the order of the file's sections.
 */
export function referenceIssues(book: Book): BookIssue[] {
  const issues = ownReferenceIssues(book);
  return issues.length > 0 ? issues : sharedIssues(book);
}

/** The same for a part of a book that lacks what belongs to no one machine. */
export function ownReferenceIssues(book: Book): BookIssue[] {
  const names = new Names(book);
  const issues = [...duplicateIds(book), ...machineIssues(book.machines ?? [])];
  if (issues.length > 0) return issues;
  return [
    ...meterReferences(book, "readings", names),
    ...meterReferences(book, "meterChanges", names),
    ...(book.tasks ?? []).flatMap((task, index) => taskIssues(task, ["tasks", index], names)),
    ...(book.machines ?? []).flatMap((machine, index) => machineTasks(machine, index, names)),
    ...entryIssues(book, names),
    ...DATED_SECTIONS.flatMap((section) => seqIssues(book, section)),
    ...DATED_SECTIONS.flatMap((section) => replacementIssues(book, section)),
    ...changesOnOneDate(book),
    ...(book.machines ?? []).flatMap(stopIssues),
    ...plateIssues(book),
    ...plannedIssues(book, names),
  ];
}

function duplicatesIn(ids: readonly string[], pathOf: (index: number) => IssuePath): BookIssue[] {
  const seen = new Set<string>();
  return ids.flatMap((id, index): BookIssue[] => {
    if (seen.has(id)) {
      return [
        {
          code: "duplicate-id",
          path: pathOf(index),
          expected: `an id of its own (${quoted(id)} is taken)`,
        },
      ];
    }
    seen.add(id);
    return [];
  });
}

function duplicateIds(book: Book): BookIssue[] {
  return SECTIONS.flatMap((section) =>
    duplicatesIn(
      (book[section] ?? []).map((record) => record.id),
      (index) => [section, index, "id"],
    ),
  );
}

function machineIssues(machines: readonly Machine[]): BookIssue[] {
  return machines.flatMap((machine, index) =>
    duplicatesIn(
      (machine.meters ?? []).map((meter) => meter.id),
      (at) => ["machines", index, "meters", at, "id"],
    ),
  );
}

function nothing(path: IssuePath, what: string, id: string): BookIssue {
  return { code: "reference-to-nothing", path, expected: `${what} (there is no ${quoted(id)})` };
}

function meterIssue(machine: string, meter: string, path: IssuePath, names: Names): BookIssue[] {
  return names.metersByMachine.get(machine)?.has(meter) === true
    ? []
    : [nothing(path, `a meter of machine ${quoted(machine)}`, meter)];
}

function machineIssue(machine: string, path: IssuePath, names: Names): BookIssue[] {
  return names.metersByMachine.has(machine) ? [] : [nothing(path, "the id of a machine", machine)];
}

function meterReferences(
  book: Book,
  section: "readings" | "meterChanges",
  names: Names,
): BookIssue[] {
  const issues: BookIssue[] = [];
  (book[section] ?? []).forEach((record, index) => {
    const missing = machineIssue(record.machine, [section, index, "machine"], names);
    issues.push(...missing);
    if (missing.length === 0) {
      issues.push(...meterIssue(record.machine, record.meter, [section, index, "meter"], names));
    }
  });
  return issues;
}

/** The task another one leans on, or the issue that it is not there, not of this machine, or itself. */
function leaningIssues(task: Task, id: string, path: IssuePath, names: Names): BookIssue[] {
  if (id === task.id)
    return [{ code: "contradiction", path, expected: "another task, not itself" }];
  return names.tasks.get(id)?.machine === task.machine
    ? []
    : [nothing(path, `the id of a task of machine ${quoted(task.machine)}`, id)];
}

function taskIssues(task: Task, path: IssuePath, names: Names): BookIssue[] {
  const missing = machineIssue(task.machine, [...path, "machine"], names);
  if (missing.length > 0) return missing;
  const issues: BookIssue[] = [];
  for (const [regime, limits] of Object.entries(task.regimes ?? {})) {
    limits.forEach((limit, at) => {
      if (!isMeterLimit(limit)) return;
      const place = [...path, "regimes", regime, at, "meter"];
      issues.push(...meterIssue(task.machine, limit.meter, place, names));
    });
  }
  return [...issues, ...nthIssues(task, path, names), ...followsIssues(task, path, names)];
}

function nthIssues(task: Task, path: IssuePath, names: Names): BookIssue[] {
  const nth = task.nth ?? null;
  if (nth === null) return [];
  const place = [...path, "nth", "of"];
  const leaning = leaningIssues(task, nth.of, place, names);
  if (leaning.length > 0) return leaning;
  const other = names.tasks.get(nth.of);
  const leans = (other?.nth ?? null) !== null || (other?.follows ?? null) !== null;
  return leans
    ? [
        {
          code: "contradiction",
          path: place,
          expected: "a task with limits of its own, without nth or follows",
        },
      ]
    : [];
}

function followsIssues(task: Task, path: IssuePath, names: Names): BookIssue[] {
  const follows = task.follows ?? null;
  if (follows === null) return [];
  const place = [...path, "follows", "task"];
  const leaning = leaningIssues(task, follows.task, place, names);
  if (leaning.length > 0) return leaning;
  if ((names.tasks.get(follows.task)?.follows ?? null) !== null) {
    return [{ code: "contradiction", path: place, expected: "a task without follows" }];
  }
  const meter = follows.meter ?? null;
  return meter === null
    ? []
    : meterIssue(task.machine, meter, [...path, "follows", "meter"], names);
}

/** Tasks that are not there or are another machine's. */
function ownTasks(
  tasks: readonly string[] | undefined,
  path: IssuePath,
  machine: string,
  names: Names,
): BookIssue[] {
  return (tasks ?? []).flatMap((task, at) => ownTask(task, [...path, at], machine, names));
}

function ownTask(task: string, path: IssuePath, machine: string, names: Names): BookIssue[] {
  return names.tasks.get(task)?.machine === machine
    ? []
    : [nothing(path, `the id of a task of machine ${quoted(machine)}`, task)];
}

function machineTasks(machine: Machine, index: number, names: Names): BookIssue[] {
  const path: IssuePath = ["machines", index];
  return [
    ...(machine.reminders ?? []).flatMap(({ tasks }, at) =>
      ownTasks(tasks, [...path, "reminders", at, "tasks"], machine.id, names),
    ),
    ...ownTasks(machine.baseline?.left, [...path, "baseline", "left"], machine.id, names),
    ...runningInIssues(machine, [...path, "runningIn", "meter"], names),
  ];
}

function runningInIssues({ runningIn, id }: Machine, path: IssuePath, names: Names): BookIssue[] {
  return runningIn ? meterIssue(id, runningIn.meter, path, names) : [];
}

/** Tasks of visits and meters of journeys that are not there or are another machine's. */
function plannedIssues({ visits = [], journeys = [] }: Book, names: Names): BookIssue[] {
  return [
    ...visits.flatMap(({ machine, tasks, turns, without }, index) => [
      ...ownTasks(tasks, ["visits", index, "tasks"], machine, names),
      ...(turns ?? []).flatMap(({ task }, at) =>
        ownTask(task, ["visits", index, "turns", at, "task"], machine, names),
      ),
      ...ownTasks(without, ["visits", index, "without"], machine, names),
    ]),
    ...journeys.flatMap(({ machine, meter }, index) =>
      meter ? meterIssue(machine, meter, ["journeys", index, "meter"], names) : [],
    ),
  ];
}

function entryIssues(book: Book, names: Names): BookIssue[] {
  const issues: BookIssue[] = [];
  (book.entries ?? []).forEach((entry, index) => {
    const path: IssuePath = ["entries", index];
    const missing = machineIssue(entry.machine, [...path, "machine"], names);
    issues.push(...missing);
    if (missing.length > 0) return;
    for (const meter of Object.keys(entry.meters ?? {})) {
      issues.push(...meterIssue(entry.machine, meter, [...path, "meters", meter], names));
    }
    (entry.estimatedMeters ?? []).forEach((meter, at) => {
      issues.push(...meterIssue(entry.machine, meter, [...path, "estimatedMeters", at], names));
    });
    issues.push(
      ...ownTasks(entry.tasks, [...path, "tasks"], entry.machine, names),
      ...ownTasks(entry.wanted, [...path, "wanted"], entry.machine, names),
    );
    (entry.lookAgain ?? []).forEach(({ task, meter }, at) => {
      const place = [...path, "lookAgain", at];
      issues.push(...ownTask(task, [...place, "task"], entry.machine, names));
      if ((meter ?? null) === null) return;
      issues.push(...meterIssue(entry.machine, meter as string, [...place, "meter"], names));
    });
  });
  return issues;
}

function seqIssues(book: Book, section: DatedSection): BookIssue[] {
  const records = book[section] ?? [];
  const lacking = records.findIndex((record) => (record.seq ?? null) === null);
  const having = records.findIndex((record) => (record.seq ?? null) !== null);
  if (lacking < 0 || having < 0) return [];
  const expected = `a whole number, because other ${section} have one (all or none)`;
  return [{ code: "wrong-order", path: [section, lacking, "seq"], expected }];
}

function replacementIssues(book: Book, section: DatedSection): BookIssue[] {
  const records = book[section] ?? [];
  const placeById = new Map<string, number>();
  records.forEach((record, index) => placeById.set(record.id, index));
  const replacedBy = new Map<string, string>();
  const issues: BookIssue[] = [];
  records.forEach((record, index) => {
    const replaced = record.replaces ?? null;
    if (replaced === null) return;
    const path: IssuePath = [section, index, "replaces"];
    const taken = replacedBy.get(replaced);
    if (!placeById.has(replaced))
      issues.push(nothing(path, `the id of another of the ${section}`, replaced));
    else if (taken !== undefined) {
      const expected = `a record not yet replaced (${quoted(taken)} already replaces it)`;
      issues.push({ code: "contradiction", path, expected });
    } else replacedBy.set(replaced, record.id);
  });
  return issues.length > 0 ? issues : ringIssues(section, records, placeById);
}

function ringIssues(
  section: DatedSection,
  records: readonly { readonly replaces?: string | null | undefined }[],
  placeById: ReadonlyMap<string, number>,
): BookIssue[] {
  const settled = new Set<number>();
  for (let start = 0; start < records.length; start += 1) {
    const walked = new Set<number>();
    let place: number | undefined = start;
    while (place !== undefined && !settled.has(place)) {
      if (walked.has(place)) {
        const expected = "a replacement that leads back to a first record, not round in a ring";
        return [{ code: "contradiction", path: [section, place, "replaces"], expected }];
      }
      walked.add(place);
      const earlier: string | null = records[place]?.replaces ?? null;
      place = earlier === null ? undefined : placeById.get(earlier);
    }
    for (const passed of walked) settled.add(passed);
  }
  return [];
}

function changesOnOneDate(book: Book): BookIssue[] {
  const changes = book.meterChanges ?? [];
  const placeById = new Map(changes.map((change, index) => [change.id as string, index]));
  const seen = new Set<string>();
  return currentRecords(changes).flatMap(({ record }): BookIssue[] => {
    const key = JSON.stringify([record.machine, record.meter, record.date]);
    if (!seen.has(key)) {
      seen.add(key);
      return [];
    }
    const path: IssuePath = ["meterChanges", placeById.get(record.id) ?? 0, "date"];
    return [{ code: "contradiction", path, expected: "one change of a meter on one date" }];
  });
}
