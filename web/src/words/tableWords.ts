import {
  CSV_COLUMNS,
  isDated,
  dayOf,
  type CsvDoubt,
  type CsvItem,
  type CsvKind,
  type DateOrder,
  type DecimalSign,
} from "@yonderfell/core";
import type { ShownFigure, ShownFollowUps, TablePlan } from "@yonderfell/core";
import type { TableRefusal, WrittenRecords } from "../data/takenIn.js";
import { countsWords, SECTION_ORDER } from "./bookWords.js";
import { counted, dialFigureWithUnit, figure, fullDate, listOfWords } from "./format.js";
import { fieldWords, handOverRefusalWords, valueWords } from "./handOverWords.js";
import { doubtWordsFor } from "./readingWords.js";

const KINDS: Readonly<Record<CsvKind, readonly [string, string]>> = {
  machines: ["machine", "machines"],
  readings: ["reading", "readings"],
  tasks: ["task", "tasks"],
  parts: ["part", "parts"],
  entries: ["entry of the log", "entries of the log"],
};

/** So many records of a kind: `412 readings`. */
export function countedKind(count: number, kind: CsvKind): string {
  return counted(count, ...KINDS[kind]);
}

/** The press that brings a table in: how many it writes, and how many figures of a feed it sets aside for good. */
export function bringInWords(count: number, aside: number, kind: CsvKind): string {
  if (aside === 0) return `Bring in ${countedKind(count, kind)}`;
  const put = `set ${figure(aside)} aside`;
  return count === 0 ? `S${put.slice(1)}` : `Bring in ${countedKind(count, kind)}, ${put}`;
}

/** What a table may hold, with what a row of it is. */
export const KIND_CHOICES: readonly (readonly [CsvKind, string])[] = [
  ["machines", "Machines, a row each meter"],
  ["readings", "Readings, a row each"],
  ["tasks", "Tasks, a row each limit"],
  ["parts", "Parts, a row each price"],
  ["entries", "Entries of the log, a row each"],
];

/** How dates may be written. */
export const DATE_CHOICES: readonly (readonly [DateOrder, string])[] = [
  ["ymd", "2026-04-03 is 3 Apr"],
  ["dmy", "3/4/2026 is 3 Apr"],
  ["mdy", "3/4/2026 is 4 Mar"],
];

/** What may stand before decimals. */
export const DECIMAL_CHOICES: readonly (readonly [DecimalSign, string])[] = [
  [".", "1,234.5"],
  [",", "1.234,5"],
];

/** In which unit distances may be. */
export const DISTANCE_CHOICES: readonly (readonly ["" | "km" | "mi", string])[] = [
  ["", "as each meter counts"],
  ["km", "kilometres"],
  ["mi", "miles"],
];

/** What a column may be taken for. */
export function columnChoices(kind: CsvKind): readonly (readonly [string, string])[] {
  return [
    ["", "Leave it out"],
    ...CSV_COLUMNS[kind].map(({ key, title }) => [key, title] as const),
  ];
}

/** What so many items in doubt have in common, and what taking them in does. */
export function doubtGroupWords(code: CsvDoubt["code"], count: number): readonly [string, string] {
  const of = (one: string, many: string): string => `${figure(count)} ${count === 1 ? one : many}`;
  switch (code) {
    case "figure-in-doubt":
      return [
        of("does not", "do not").concat(" agree with the other figures of the meter"),
        "A rise counts as confirmed; a figure that goes back is kept and shown as a fault.",
      ];
    case "read-by-hand":
      return [
        of("is", "are").concat(" of a day on which somebody read the dial, and saw another figure"),
        "It stands beside what was read by hand, and the larger of the day counts. Left out it is set aside, and not asked about again.",
      ];
    case "differs":
      return [
        of("says", "say").concat(" something else than the book"),
        "Each becomes a correction; what stood stays in the history.",
      ];
    case "in-future":
      return [of("is", "are").concat(" of a day after today"), "Each counts from its day on."];
    case "row-short":
      return [
        of("ends", "end").concat(" before the columns do"),
        "What is missing is taken as empty.",
      ];
    case "repeated":
      return [
        of("says", "say").concat(" the same as an earlier row"),
        "It stands in the book twice then.",
      ];
    case "tag-alike":
      return [
        of("fits", "fit").concat(" the number of a machine only without the zeros before it"),
        "It is taken for that machine.",
      ];
    case "work-unknown":
      return [
        of("names", "name").concat(" work that is no task of the machine"),
        "Its name goes into the note.",
      ];
    case "place-unknown":
      return [
        of("names", "name").concat(" a place this book does not have"),
        "The place is added.",
      ];
    case "person-unknown":
      return [
        of("names", "name").concat(" a person this book does not have"),
        "They are added, with their initials.",
      ];
    case "references-missing":
      return [
        of("refers", "refer").concat(" to what this book does not have"),
        "That reference is left out.",
      ];
  }
}

/** Why an item is in doubt. */
export function tableDoubtWords(doubt: CsvDoubt): string {
  switch (doubt.code) {
    case "figure-in-doubt":
      return doubtWordsFor(doubt.doubt, doubt.meter);
    case "read-by-hand":
      return `By hand ${dialFigureWithUnit(doubt.value, doubt.meter.unit)} was read that day.`;
    case "differs":
      return `${differencesWords(doubt.fields)}.`;
    case "in-future":
      return `${fullDate(dayOf(doubt.date))} is after today.`;
    case "row-short":
      return "The row has fewer cells than there are headings.";
    case "repeated":
      return `Row ${figure(doubt.row)} says the same.`;
    case "tag-alike":
      return `${doubt.text} is taken for ${doubt.tag}.`;
    case "work-unknown":
      return `No task of the machine: ${doubt.names.join("; ")}.`;
    case "place-unknown":
      return `New place: ${doubt.name}.`;
    case "person-unknown":
      return `New person: ${doubt.name}.`;
    case "references-missing":
      return `Some of these are not here: ${doubt.fields.map(fieldWords).join(", ")}.`;
  }
}

/** What follows the work of a table of entries. */
export function tableFollowUpsWords({ names, count, machines }: ShownFollowUps): {
  readonly what: string;
  readonly isOne: boolean;
} {
  const on = machines === 1 ? "one machine" : `${figure(machines)} machines`;
  return {
    what: `${listOfWords(names)} followed this work on ${on}.`,
    isOne: count === 1,
  };
}

/** What was written, section by section: `12 machines, 10 readings, 2 entries corrected`. */
export function writtenWords(written: readonly WrittenRecords[]): string {
  const parts = inOrder(written).flatMap(({ section, added, changed }) => {
    const said: string[] = [];
    if (added > 0) said.push(countsWords({ [section]: added }));
    if (changed > 0) {
      said.push(
        `${countsWords({ [section]: changed })} ${isDated(section) ? "corrected" : "changed"}`,
      );
    }
    return said;
  });
  return parts.length === 0 ? "nothing" : parts.join(", ");
}

function inOrder(written: readonly WrittenRecords[]): readonly WrittenRecords[] {
  return written.toSorted(
    (one, other) => SECTION_ORDER.indexOf(one.section) - SECTION_ORDER.indexOf(other.section),
  );
}

/** A reading that comes along with a machine: `reading 84 350 km on 3 Apr 2026`. */
export function alongWords({ meter, value, date }: ShownFigure): string {
  return `reading ${dialFigureWithUnit(value, meter.unit)} on ${fullDate(dayOf(date))}`;
}

/** What would be changed, field by field: `kind: van → lorry`. */
export function differencesWords(fields: CsvItem["fields"]): string {
  const none = new Map<string, string>();
  return fields
    .map(
      ({ name, ours, theirs }) =>
        `${fieldWords(name)}: ${valueWords(ours, none)} → ${valueWords(theirs, none)}`,
    )
    .join(", ");
}

/** What a table holds, in one sentence: how many are new, changed, there already, in doubt, unreadable. */
export function planWords({ kind, counts, groups, isRefused }: TablePlan): string {
  if (isRefused) return "This table cannot be read as it stands.";
  const inDoubt = groups.reduce((sum, { count }) => sum + count, 0);
  const all = counts.new + counts.changed + counts.same + counts.repeated + counts.refused;
  const parts = [
    [counts.new, "new"],
    [counts.changed, "changed"],
    [counts.same, "in the book already"],
    [counts.repeated, "said twice, taken once"],
    [counts.refused, "not readable"],
  ] as const;
  const said = parts.flatMap(([count, words]) => (count > 0 ? [`${figure(count)} ${words}`] : []));
  const doubts = inDoubt > 0 ? ` ${figure(inDoubt)} ${inDoubt === 1 ? "is" : "are"} in doubt.` : "";
  return `${countedKind(all, kind)}: ${said.join(", ")}.${doubts}`;
}

/** Why a table was not brought in, and what to do. */
export function tableRefusalWords(refusal: TableRefusal): string {
  switch (refusal.code) {
    case "follow-ups-not-said":
      return "Say first whether what follows the work was done with it.";
    case "cancelled":
      return "It was stopped; nothing is changed.";
    case "rows-refused":
      return `${counted(refusal.count, "row")} cannot be read; put them right in the file, or leave them out.`;
    case "book-changed":
      return "The book was changed while this was looked through, here or in another tab. Look again at what it would do now.";
    case "changed-elsewhere":
    case "still-needed":
      return handOverRefusalWords(refusal);
  }
}
