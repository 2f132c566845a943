import {
  dayOf,
  formatNumber,
  isShared,
  type Change,
  type Entry,
  type Finding,
  type JobEvent,
  type Machine,
  type Meter,
  type Order,
  type Reading,
  type RecordChange,
  type Task,
} from "@yonderfell/core";
import { sectionNoun } from "./bookWords.js";
import { findingTitle } from "./findingWords.js";
import { counted, dialFigureWithUnit, fullDate } from "./format.js";
import { figureStyle } from "./writing.js";

const machineOf = ({ before, after }: RecordChange): string => {
  const record = (after ?? before ?? {}) as { readonly machine?: string; readonly id?: string };
  return record.machine ?? record.id ?? "";
};

/** What a machine, its meters and its tasks are called. */
export interface NamedMachine {
  readonly machine: Machine;
  readonly meters: readonly { readonly meter: Meter }[];
  readonly tasks: readonly { readonly task: Task }[];
}

/** The machine that a change is told of by; null where it has none. */
export function changedMachine(change: Change): string | null {
  const last = change.records.at(-1);
  return last === undefined || isShared(last.section) ? null : machineOf(last) || null;
}

/** What a change was, in a few words: `work on 07, 23 Nov 2026: engine oil and filter`. `machine` is the one it is told of by. */
export function changeWords(change: Change, machine: NamedMachine | null): string {
  const last = change.records.at(-1);
  const tag = machine?.machine.tag ?? "a machine";
  if (change.command.endsWith("-visit")) return visitWords(change, tag);
  const words = BY_COMMAND[change.command];
  if (words !== undefined) return words(change, tag);
  switch (change.command) {
    case "log-work":
      return `work on ${tag}${entryWords(last?.after as Entry, machine)}`;
    case "top-up":
      return `top-up of ${tag}, ${fullDate(dayOf((last?.after as Entry).date))}`;
    case "note-finding":
      return `finding on ${tag}${findingWords(change)}`;
    case "edit-finding":
      return `change of a finding on ${tag}${findingWords(change)}`;
    case "read-meter":
      return `reading of ${tag}${readingWords(last?.after as Reading, machine)}`;
    case "correct-entry":
    case "correct-reading":
    case "correct-meter-change":
    case "withdraw-record":
      return CORRECTED[change.command].replace("*", tag);
    case "add-machine":
      return `machine ${nameOf(change.records[0])}`;
    case "add-record":
    case "edit-record":
    case "remove-record":
      return recordChangeWords(change.command, last, machine?.machine.tag ?? "");
    case "assign-machines":
      return `place, person or school of ${counted(change.records.length, "machine")}`;
    case "time-tasks":
      return `minutes of ${counted(change.records.length, "task")}`;
    case "take-out-of-service":
      return `${tag} taken out of service`;
    case "release-for-service":
      return `release of ${tag}`;
    case "apply-plan":
      return `${counted(change.records.length, "task")} for ${tag}`;
    case "write-ladder":
      return `ladder of ${tag}`;
    case "note-reminder":
      return `reminder of ${tag}`;
    case "add-meter":
    case "change-meter":
    case "stop-meter":
    case "believe-meter":
      return `meter of ${tag}`;
    case "read-meters":
      return counted(readingsIn(change), "reading");
    case "hand-over":
      return `hand-over of ${counted(change.records.length, "record")}`;
    case "change-settings":
      return "settings of the book";
    default:
      return `change of ${counted(change.records.length, "record")}`;
  }
}

/** What is done on the Bench, and in taking a machine on, by its command. */
const BY_COMMAND: Readonly<Record<string, (change: Change, tag: string) => string>> = {
  "take-on-machine": (_, tag) => `taking on of ${tag}`,
  "decide-baseline": (_, tag) => `taking on of ${tag}`,
  "finish-baseline": (_, tag) => `taking on of ${tag}`,
  "open-job": (_, tag) => `job on ${tag}`,
  "tap-job": (change, tag) => `${tapWords(change)} on ${tag}`,
  "undo-tap": (_, tag) => `taking back on the job of ${tag}`,
  "take-up-job": (_, tag) => `taking up of the job on ${tag}`,
  "put-down-job": (_, tag) => `putting down of the job on ${tag}`,
  "change-card": (_, tag) => `change of the card of ${tag}`,
  "finish-job": (_, tag) => `finish of the job on ${tag}`,
  "give-up-job": (_, tag) => `giving up of the job on ${tag}`,
  "keep-own-way": (_, tag) => `way of working on ${tag}`,
  "drop-own-way": (_, tag) => `way of working on ${tag}`,
  "keep-method": () => "a way of working",
  "take-in-methods": () => "ways of working",
  "book-work": (_, tag) => `booking for ${tag}`,
  "take-fleet-plan": ({ records }) => `fleet plan, ${counted(records.length, "visit")}`,
  "take-in-closures": ({ records }) => counted(records.length, "closure"),
  "move-stock": () => "what came to a shelf or left it",
  "count-stock": ({ records }) => counted(records.length, "count"),
  "strike-stock-move": () => "striking out of a move of stock",
  "correct-count": ({ records }) => `correction of ${counted(records.length, "count")}`,
  "return-from-kit": () => "what was left of a kit",
  "place-order": ({ records }) => `order from ${sourceOf(records)}`,
  "receive-order": ({ records }) => `what came from ${sourceOf(records)}`,
  "close-order-line": ({ records }) => `closing of a line from ${sourceOf(records)}`,
  "move-waste": () => "waste put in or handed in",
  "strike-waste": () => "striking out of a move of waste",
  "keep-container": ({ records }) => `container ${nameOf(records[0])}`,
};

/** Whom an order of a change is from. */
function sourceOf(records: readonly RecordChange[]): string {
  const order = records.find(({ section }) => section === "orders");
  return ((order?.after ?? order?.before) as Order | null | undefined)?.source ?? "a source";
}

/** What was told of a job: `0.5 L in`, `a step`. */
function tapWords({ records }: Change): string {
  const events = records.map(({ after }) => after as JobEvent | null);
  const poured = events.find((event) => event?.do === "in" || event?.do === "out");
  if (poured?.amount) return `${formatNumber(poured.amount, figureStyle(), 4)} L ${poured.do}`;
  const what = events[0]?.do ?? "";
  return TAPPED[what] ?? "a step";
}

const TAPPED: Readonly<Record<string, string>> = {
  level: "a level",
  reading: "a reading",
  judge: "a verdict",
  skip: "a step left out",
  note: "a note",
  reopen: "a step opened again",
  release: "a release",
  start: "a start",
};

/** How many figures a change reads from dials; those it sets aside do not count. */
export function readingsIn(change: Change): number {
  const read = change.records.filter(({ section, after }) => {
    const reading = after as Reading | null;
    return section === "readings" && (reading?.replaces ?? null) === null && reading?.void !== true;
  });
  return read.length;
}

const CORRECTED = {
  "correct-entry": "correction of an entry on *",
  "correct-reading": "correction of a reading of *",
  "correct-meter-change": "correction of a meter change of *",
  "withdraw-record": "withdrawal of a record of *",
} as const;

const DONE = {
  "add-record": "added",
  "edit-record": "changed",
  "remove-record": "taken out",
} as const;

/** What a record that is edited in place is called. */
function nameOf(change: RecordChange | undefined): string {
  const record = (change?.after ?? change?.before ?? {}) as {
    readonly name?: string;
    readonly system?: string;
    readonly tag?: string;
  };
  return [record.tag, record.name ?? record.system].filter(Boolean).join(" ");
}

function recordChangeWords(
  command: keyof typeof DONE,
  change: RecordChange | undefined,
  tag: string,
): string {
  const noun = change === undefined ? "record" : sectionNoun(change.section);
  const on = tag === "" || change?.section === "machines" ? "" : ` of ${tag}`;
  return `${noun} ${nameOf(change)}${on} ${DONE[command]}`.replace("  ", " ");
}

function entryWords(entry: Entry, machine: NamedMachine | null): string {
  const names = (entry.tasks ?? []).map(
    (id) => machine?.tasks.find(({ task }) => task.id === id)?.task.name.toLowerCase() ?? id,
  );
  const done = names.length === 0 ? "" : `: ${names.join(", ")}`;
  return `, ${fullDate(dayOf(entry.date))}${done}`;
}

/** With a machine that is stopped for it, the finding is not the last that changed. */
function findingWords({ records }: Change): string {
  const finding = records.find(({ section }) => section === "findings")?.after;
  return finding === undefined || finding === null
    ? ""
    : `: ${findingTitle(finding as Finding).toLowerCase()}`;
}

function readingWords(reading: Reading, machine: NamedMachine | null): string {
  const meter = machine?.meters.find((one) => one.meter.id === reading.meter)?.meter;
  return meter === undefined ? "" : `, ${dialFigureWithUnit(reading.value, meter.unit)}`;
}

function visitWords({ command, records }: Change, tag: string): string {
  if (command === "drop-visit") return `dropping of a visit of ${tag}`;
  if (command === "move-visit" && records.length > 1) return `moving of ${records.length} visits`;
  if (command !== "accept-visit") return `change of a visit of ${tag}`;
  return records.length > 1 ? counted(records.length, "visit") : `visit of ${tag}`;
}
