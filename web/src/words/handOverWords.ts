import {
  isDated,
  dayOf,
  describeIssue,
  differingFields,
  type BoardMachine,
  type Conflict,
  type MergePlan,
  type RecordChange,
  type Section,
} from "@yonderfell/core";
import type { HandOverRefusal } from "../data/takenIn.js";
import { countsWords, sectionNoun } from "./bookWords.js";
import { figure, fullDate, sentence } from "./format.js";

const FIELD_WORDS: ReadonlyMap<string, string> = new Map([
  ["inService", "in service"],
  ["regimeReason", "reason for the school"],
  ["oldFinal", "old dial ended at"],
  ["newStart", "new dial began at"],
  ["dueWithinDays", "due within days"],
  ["leadDays", "soon within days"],
  ["staleAfterDays", "stale after days"],
  ["estimatedMeters", "reckoned figures"],
  ["meters", "meters"],
]);

/** What a field of a record is called. */
export function fieldWords(name: string): string {
  return FIELD_WORDS.get(name) ?? name;
}

/** How many records of each kind a list of changes holds. */
export function changeCounts(changes: readonly RecordChange[]): string {
  const counts: Partial<Record<Section, number>> = {};
  for (const { section } of changes) counts[section] = (counts[section] ?? 0) + 1;
  return countsWords(counts);
}

type Names = ReadonlyMap<string, string>;

/** Something with an id that a person knows by another name. */
export interface NamedRecord {
  readonly id: string;
  readonly name?: string | null | undefined;
  readonly tag?: string | null | undefined;
  /** Where a fluid is. */
  readonly system?: string | null | undefined;
  /** By which a part is ordered. */
  readonly number?: string | null | undefined;
  readonly meters?:
    readonly { readonly id: string; readonly name?: string | null | undefined }[] | undefined;
}

/** Names for ids: of what is on the board, of the records of this book that others refer to, and of what comes with the file. */
export function namesOf(
  machines: readonly BoardMachine[],
  plan: MergePlan,
  known: readonly NamedRecord[] = [],
): Names {
  const names = new Map<string, string>();
  const note = (record: NamedRecord): void => {
    const { id, name, tag, system, number, meters } = record;
    const words = [tag, name ?? system, name === number ? "" : number].filter(Boolean).join(" ");
    if (words !== "") names.set(id, words);
    for (const meter of meters ?? []) if (meter.name) names.set(meter.id, meter.name);
  };
  const coming = [...plan.added, ...plan.changed, ...plan.removed];
  for (const { section, after, before } of coming) {
    if (!isDated(section)) note((after ?? before) as NamedRecord);
  }
  for (const conflict of plan.conflicts) {
    if (conflict.code === "changed-apart" && !isDated(conflict.section))
      note(conflict.theirs as NamedRecord);
  }
  for (const record of known) note(record);
  for (const { machine, tasks } of machines) {
    note(machine);
    for (const { task } of tasks) names.set(task.id, task.name);
  }
  return names;
}

const textIn = (fields: Readonly<Record<string, unknown>>, key: string): string =>
  typeof fields[key] === "string" ? fields[key] : "";

/** A record in a line: what it is, of which machine, of which day. */
export function recordWords(section: Section, record: object, names: Names): string {
  const fields = record as Readonly<Record<string, unknown>>;
  const name = isDated(section) ? "" : textIn(fields, "name") || textIn(fields, "system");
  const machine = typeof fields["machine"] === "string" ? fields["machine"] : "";
  const date = typeof fields["date"] === "string" ? fullDate(dayOf(fields["date"])) : "";
  const on = machine === "" ? "" : `on ${names.get(machine) ?? machine}`;
  const tag = section === "machines" ? textIn(fields, "tag") : "";
  const parts = [sentence(sectionNoun(section)), tag, name, on]
    .filter((part) => part !== "")
    .join(" ");
  const details = [date, contentWords(fields, names)].filter((part) => part !== "");
  return [parts, ...details].join(", ");
}

/** What a dated record holds: the work and the note of an entry, the figure of a reading. */
function contentWords(fields: Readonly<Record<string, unknown>>, names: Names): string {
  const tasks = Array.isArray(fields["tasks"]) ? fields["tasks"] : [];
  const done = tasks.map((task) => valueWords(task, names)).join("; ");
  const note = typeof fields["note"] === "string" ? fields["note"] : "";
  const value = typeof fields["value"] === "number" ? figure(fields["value"], 1) : "";
  return [done, note, value].filter((part) => part !== "").join(": ");
}

/** What differs between two versions of a record: `name: Fen pump → Bog pump`. */
export function differenceWords({ before, after }: RecordChange, names: Names): string {
  if (before === null || after === null) return "";
  return differingFields(before, after)
    .map(({ name, ours, theirs }) => {
      const [from, to] = [valueWords(ours, names), valueWords(theirs, names)];
      return `${fieldWords(name)}: ${from} → ${to}`;
    })
    .join(", ");
}

/** A value of a record as a person reads it; ids by the names of what they stand for. */
export function valueWords(value: unknown, names: Names): string {
  if (value === null || value === undefined) return "nothing";
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "string") return names.get(value) ?? (value === "" ? "nothing" : value);
  if (typeof value === "number") return String(value);
  if (Array.isArray(value)) {
    return value.length === 0 ? "none" : value.map((one) => valueWords(one, names)).join("; ");
  }
  return Object.entries(value)
    .filter(([key]) => key !== "revision")
    .map(([key, one]) => `${names.get(key) ?? fieldWords(key)}: ${valueWords(one, names)}`)
    .join(", ");
}

/** Of which machine two records are that cannot both stand; nothing for those of none. */
function onWhich({ ours }: Extract<Conflict, { members: unknown }>, names: Names): string {
  if (!("machine" in ours)) return "";
  const machine = String(ours.machine);
  return ` on ${names.get(machine) ?? machine}`;
}

/** What stands in conflict, and what choosing does. */
export function conflictWords(conflict: Conflict, names: Names): string {
  switch (conflict.code) {
    case "changed-apart":
      return `${recordWords(conflict.section, conflict.ours, names)} differs in the two.`;
    case "both-corrected":
      return `${sentence(sectionNoun(conflict.section))}${onWhich(conflict, names)} was corrected in both. The one you choose stands; the other stays in the history.`;
    case "settled-apart":
      return `Two corrections${onWhich(conflict, names)} were settled differently in the two. The one you choose stands; the other stays in the history.`;
    case "both-changed-meter":
      return `A meter${onWhich(conflict, names)} was changed on ${fullDate(dayOf(conflict.ours.date))} in both. The one you choose stands; the other stays in the history.`;
    case "deleted-apart": {
      const record = conflict.ours ?? conflict.theirs;
      const what = record === null ? "" : recordWords(conflict.section, record, names);
      return `${what} was deleted in one of the two and changed in the other since.`;
    }
    case "field-changed-apart":
      return `The ${fieldWords(conflict.field)} of the book differ.`;
  }
}

/** Why a hand-over was not made, and what to do. */
export function handOverRefusalWords(refusal: HandOverRefusal): string {
  switch (refusal.code) {
    case "not-chosen":
      return "Something is not chosen yet.";
    case "does-not-fit":
      return `The two books do not fit together with these choices: ${describeIssue(refusal.issue)}. Choose otherwise, or put it right in one of them first.`;
    case "changed-elsewhere":
      return "The book was changed while this was looked through, here or in another tab. Choose the file again.";
    case "still-needed":
      return `The book would contradict itself: ${describeIssue(refusal.issue)}.`;
  }
}
