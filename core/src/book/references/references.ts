import type { Book } from "../file/book.js";
import { currentRecords } from "../slice/currentRecords.js";
import type { BookIssue, IssuePath } from "../file/issue.js";
import type { Machine } from "../records/machine.js";
import { measureIssues } from "./measureIssues.js";
import { ownerOf } from "./ownerOf.js";
import { capacityIssues, stopIssues } from "./recordIssues.js";
import type { RecordOf } from "../records/recordSchemas.js";
import { REFERRED_SECTIONS, type ReferredTo } from "./refers.js";
import { ownReferences, sharedReferences, type FoundReference } from "./referencesIn.js";
import {
  DATED_SECTIONS,
  OWNED_SECTIONS,
  SECTIONS,
  SHARED_SECTIONS,
  type DatedSection,
  type OwnedSection,
} from "../records/sections.js";
import { SECTION_WORDS } from "../records/sectionWords.js";
import type { Task } from "../records/task.js";

type RecordOwner = OwnedSection | "machines";

interface Owned {
  readonly id: string;
  readonly machine: string;
}

const OF_MACHINES: readonly RecordOwner[] = ["machines", ...OWNED_SECTIONS];
/** The sections whose records others of the same machine refer to. */
const REFERRED = OWNED_SECTIONS.filter((section) => REFERRED_SECTIONS.includes(section));

const quoted = (id: string): string => JSON.stringify(id);

/** What the records of machines may refer to: each thing with the machine it is of. */
class Names {
  readonly tasks: ReadonlyMap<string, Task>;
  private readonly meters: ReadonlyMap<string, ReadonlySet<string>>;
  private readonly owners: ReadonlyMap<OwnedSection, ReadonlyMap<string, string>>;

  constructor({ machines = [], tasks = [], ...rest }: Book) {
    const book: Partial<Book> = { ...rest, tasks };
    this.tasks = new Map(tasks.map((task) => [task.id, task]));
    this.meters = new Map(
      machines.map((machine) => [
        machine.id,
        new Set((machine.meters ?? []).map((meter) => meter.id)),
      ]),
    );
    const owners = new Map<OwnedSection, ReadonlyMap<string, string>>();
    for (const section of REFERRED) {
      const records = (book[section] ?? []) as readonly Owned[];
      owners.set(section, new Map(records.map(({ id, machine }) => [id, machine])));
    }
    this.owners = owners;
  }

  hasMachine(id: string): boolean {
    return this.meters.has(id);
  }

  /** Whether something of a machine is there. */
  has({ to, id }: FoundReference, machine: string): boolean {
    if (to === "machines") return this.hasMachine(id);
    if (to === "meters") return this.meters.get(machine)?.has(id) === true;
    return this.owners.get(to as OwnedSection)?.get(id) === machine;
  }
}

/**
 * What the schemas cannot see: references to nothing, duplicate ids, an order given by halves,
 * contradictions between records (due rules §1). Issues come in the order of the file's sections.
 */
export function referenceIssues(book: Book): BookIssue[] {
  const issues = ownReferenceIssues(book);
  if (issues.length > 0) return issues;
  const shared = sharedIssues(book);
  return shared.length > 0 ? shared : measureIssues(book);
}

/** The same for a part of a book that lacks what belongs to no one machine. */
export function ownReferenceIssues(book: Book): BookIssue[] {
  const names = new Names(book);
  const issues = [...duplicateIds(book), ...machineIssues(book.machines ?? [])];
  if (issues.length > 0) return issues;
  return [
    ...OF_MACHINES.flatMap((section) => namedIssues(book, section, names)),
    ...(book.tasks ?? []).flatMap((task, index) => leaningIssues(task, ["tasks", index], names)),
    ...DATED_SECTIONS.flatMap((section) => seqIssues(book, section)),
    ...DATED_SECTIONS.flatMap((section) => replacementIssues(book, section)),
    ...changesOnOneDate(book),
    ...(book.machines ?? []).flatMap(stopIssues),
    ...(book.fluids ?? []).flatMap(capacityIssues),
  ];
}

function nothing(path: IssuePath, what: string, id: string): BookIssue {
  return { code: "reference-to-nothing", path, expected: `${what} (there is no ${quoted(id)})` };
}

/** References of one section to what is not there or is another machine's. */
function namedIssues(book: Book, section: RecordOwner, names: Names): BookIssue[] {
  const records = (book[section] ?? []) as readonly RecordOf[RecordOwner][];
  return records.flatMap((record, index): BookIssue[] => {
    const owner = ownerOf(section, record);
    if (owner === null || !names.hasMachine(owner)) {
      return [nothing([section, index, "machine"], "the id of a machine", owner ?? "")];
    }
    return ownReferences(section, record)
      .filter((reference) => !names.has(reference, owner))
      .map(({ to, id, path }) => nothing([section, index, ...path], ofMachine(to, owner), id));
  });
}

/** What an id should be the id of: `the id of a task of machine "bus"`. */
function ofMachine(to: ReferredTo, machine: string): string {
  const of = `of machine ${quoted(machine)}`;
  if (to === "pictures") return "a picture";
  return to === "meters" ? `a meter ${of}` : `the id of a ${SECTION_WORDS[to][0]} ${of}`;
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

/** What is wrong with how a task leans on another that is there. */
function leaningIssues(task: Task, path: IssuePath, names: Names): BookIssue[] {
  const wrong = (on: string | undefined, place: string[], wanted: Wanted): BookIssue[] => {
    if (on === undefined) return [];
    const expected = on === task.id ? "another task, not itself" : wanted(names.tasks.get(on));
    return expected === null
      ? []
      : [{ code: "contradiction", path: [...path, ...place], expected }];
  };
  return [
    ...wrong(task.nth?.of, ["nth", "of"], withLimitsOfItsOwn),
    ...wrong(task.follows?.task, ["follows", "task"], withoutFollows),
  ];
}

/** What a task that is leant on should be; null where it is. */
type Wanted = (other: Task | undefined) => string | null;

const leans = (what: object | null | undefined): boolean => (what ?? null) !== null;
const withLimitsOfItsOwn: Wanted = (other) =>
  leans(other?.nth) || leans(other?.follows)
    ? "a task with limits of its own, without nth or follows"
    : null;
const withoutFollows: Wanted = (other) => (leans(other?.follows) ? "a task without follows" : null);

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

/** References to shared records that are not in the book. */
function sharedIssues(book: Book): BookIssue[] {
  const known = new Map(
    SHARED_SECTIONS.map((section) => [
      section as string,
      new Set<string>((book[section] ?? []).map((record) => record.id)),
    ]),
  );
  return SECTIONS.flatMap((section) =>
    (book[section] ?? []).flatMap((record, index) =>
      sharedReferences(section, record).flatMap((reference): BookIssue[] =>
        known.get(reference.section)?.has(reference.id) === true
          ? []
          : [
              nothing(
                [section, index, ...reference.path],
                `the id of one of the ${reference.section}`,
                reference.id,
              ),
            ],
      ),
    ),
  );
}
