import type { Book } from "./book.js";
import type { Fluid } from "./fluid.js";
import type { BookIssue, IssuePath } from "./issue.js";
import type { Machine } from "./machine.js";
import { PLANNED_SECTIONS, PLATE_SECTIONS, SECTIONS, SHARED_SECTIONS } from "./sections.js";
import { sharedReferences } from "./sharedReferences.js";

const quoted = (id: string): string => JSON.stringify(id);

function nothing(path: IssuePath, what: string, id: string): BookIssue {
  return { code: "reference-to-nothing", path, expected: `${what} (there is no ${quoted(id)})` };
}

/** The records of a section that belong to each machine, by id. */
function ownIds(
  records: readonly { readonly id: string; readonly machine: string }[] = [],
): ReadonlyMap<string, string> {
  return new Map(records.map((record) => [record.id, record.machine]));
}

/**
 * What is wrong between the records of the machines' plates and of what is planned for them: a machine,
 * a fluid or a task that is not there or is another machine's, and a choice among capacities that are
 * not there.
 */
export function plateIssues(book: Book): BookIssue[] {
  const machines = new Set<string>((book.machines ?? []).map((machine) => machine.id));
  const fluids = ownIds(book.fluids);
  const tasks = ownIds(book.tasks);
  const issues: BookIssue[] = [...PLATE_SECTIONS, ...PLANNED_SECTIONS].flatMap((section) =>
    (book[section] ?? []).flatMap(({ machine }, index): BookIssue[] =>
      machines.has(machine)
        ? []
        : [nothing([section, index, "machine"], "the id of a machine", machine)],
    ),
  );
  (book.fluids ?? []).forEach((fluid, index) => {
    issues.push(...capacityIssues(fluid, ["fluids", index]));
  });
  (book.servicePoints ?? []).forEach(({ fluid, machine }, index) => {
    if ((fluid ?? null) === null || fluids.get(fluid as string) === machine) return;
    const what = `the id of a fluid of machine ${quoted(machine)}`;
    issues.push(nothing(["servicePoints", index, "fluid"], what, fluid as string));
  });
  (book.tasks ?? []).forEach(({ uses, machine }, index) => {
    (uses ?? []).forEach(({ fluid }, at) => {
      if (fluids.get(fluid) === machine) return;
      const what = `the id of a fluid of machine ${quoted(machine)}`;
      issues.push(nothing(["tasks", index, "uses", at, "fluid"], what, fluid));
    });
  });
  (book.fitments ?? []).forEach(({ tasks: named, machine }, index) => {
    (named ?? []).forEach((task, at) => {
      if (tasks.get(task) === machine) return;
      const what = `the id of a task of machine ${quoted(machine)}`;
      issues.push(nothing(["fitments", index, "tasks", at], what, task));
    });
  });
  return issues;
}

function capacityIssues(fluid: Fluid, path: IssuePath): BookIssue[] {
  const issues: BookIssue[] = [];
  const conditions = new Map<string, string>();
  (fluid.capacities ?? []).forEach(({ id, condition }, at) => {
    if (conditions.has(id)) {
      const expected = `an id of its own (${quoted(id)} is taken)`;
      issues.push({ code: "duplicate-id", path: [...path, "capacities", at, "id"], expected });
    }
    conditions.set(id, condition);
  });
  const chosen = new Set<string>();
  (fluid.working ?? []).forEach(({ capacity }, at) => {
    const place = [...path, "working", at, "capacity"];
    const condition = conditions.get(capacity);
    if (condition === undefined) issues.push(nothing(place, "one of its capacities", capacity));
    else if (chosen.has(condition)) {
      const expected = `one choice for ${quoted(condition)}`;
      issues.push({ code: "contradiction", path: place, expected });
    } else chosen.add(condition);
  });
  return issues;
}

/** What is wrong with the times a machine was out of service: one id twice, or two still going on. */
export function stopIssues(machine: Machine, index: number): BookIssue[] {
  const stops = machine.stops ?? [];
  const open = stops.flatMap((stop, at) => ((stop.released ?? null) === null ? [at] : []));
  if (open.length < 2) return [];
  const path = ["machines", index, "stops", open[1] ?? 0, "released"];
  return [{ code: "contradiction", path, expected: "a release, as another one is still going on" }];
}

/** References to shared records that are not in the book. */
export function sharedIssues(book: Book): BookIssue[] {
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
