import type { Machine } from "../../book/records/machine.js";
import type { CsvCells } from "./csvCells.js";
import { joinWords } from "./csvCells.js";
import { readCsvFigure } from "./csvFormat.js";
import type { CsvDoubt } from "./csvIssue.js";
import {
  datedCells,
  datedFields,
  inMeterUnit,
  machineOfRow,
  meterOfRow,
  yesOrNo,
} from "./csvMachine.js";
import { meterNamed, type CsvNames } from "./csvNames.js";
import { cellsOf, saidOnly, type CsvRows, type CsvSaid, type CsvShape } from "./csvShape.js";
import { LINE_COLUMNS, lineCells, linesOf } from "./entryLines.js";

const NOTHING: CsvSaid = { fields: {}, doubts: [] };
const DIAL = /^(?:(.+?)\s+)?([\d.,']+)\s*(km|mi|h)?$/i;

/** What the dials showed: `41800`, `41800 km`, or `odo 41800; hrs 12.5`; null where nothing is said or it cannot be read. */
function dialsOf(cells: CsvCells, machine: Machine): Record<string, number> | null {
  const hours = cells.word("hours");
  const words = cells.words("meters") ?? [];
  if (words.length === 0 && hours === null) return null;
  const figures = words.map((word) => dialOf(word, cells, machine));
  if (hours !== null) figures.push(hoursOf(cells, machine));
  if (figures.includes(null)) return null;
  return Object.fromEntries(figures.flatMap((figure) => (figure === null ? [] : [figure])));
}

function dialOf(word: string, cells: CsvCells, machine: Machine): readonly [string, number] | null {
  const bare = readCsvFigure(word, cells.format.decimal);
  const [, named, text = "", behind = ""] = DIAL.exec(word) ?? [];
  const name = bare === null ? (named ?? null) : null;
  const read = bare ?? readCsvFigure(`${text} ${behind}`, cells.format.decimal);
  if (read === null) {
    return cells.refuse(
      "meters",
      "figures of at least 0, each behind its meter: odo 41800; hrs 12.5",
    );
  }
  const byUnit = (machine.meters ?? []).find(
    (one) => read.unit !== null && (one.unit === "h") === (read.unit === "h"),
  );
  const meter = name === null && byUnit !== undefined ? byUnit : meterNamed(machine, name);
  if (meter === null) return meterOfRow(cells, "meters", machine, name) as null;
  const inFile = read.unit ?? (meter.unit === "h" ? null : cells.format.distance);
  const value = inMeterUnit(read.value, inFile, meter);
  return value === null
    ? cells.refuse("meters", `a figure in ${meter.unit}, in which ${meter.id} counts`)
    : [meter.id, value];
}

/** What the machine's hour meter showed, by the column of hours. */
function hoursOf(cells: CsvCells, machine: Machine): readonly [string, number] | null {
  const said = cells.measure("hours");
  if (said === null) return null;
  const meter = (machine.meters ?? []).find(({ unit }) => unit === "h");
  if (meter === undefined) return meterOfRow(cells, "hours", machine, "h") as null;
  return said.unit === null || said.unit === "h"
    ? [meter.id, said.value]
    : cells.refuse("hours", "hours, as this column holds them");
}

/** The work a row names, as far as the machine has such tasks; the rest by name. */
function workOf(
  cells: CsvCells,
  machine: Machine,
  names: CsvNames,
): { readonly tasks: string[] | null; readonly unknown: string[] } {
  const unknown: string[] = [];
  const words = cells.words("tasks");
  const tasks = words?.flatMap((word) => {
    const meant = names.task(machine.id, word);
    if (meant.code === "one") return [meant.thing.id];
    if (meant.code === "none") unknown.push(word);
    else cells.refuse("tasks", `the id of one of the tasks of ${machine.tag} called ${word}`);
    return [];
  });
  return { tasks: tasks ?? null, unknown };
}

function read(rows: CsvRows, names: CsvNames): CsvSaid {
  const [cells] = rows;
  const date = cells.needed("date", "a date") === null ? null : cells.date("date");
  const found = machineOfRow(cells, names);
  if (found === null || date === null) return NOTHING;
  const { machine } = found;
  const meters = dialsOf(cells, machine);
  const { tasks, unknown } = workOf(cells, machine, names);
  const estimated = cells.words("estimatedMeters");
  const dated = datedFields(cells);
  const doubts: CsvDoubt[] = [...found.doubts];
  if (unknown.length > 0) doubts.push({ code: "work-unknown", names: unknown });
  const spoken = [...unknown, ...(typeof dated["note"] === "string" ? [dated["note"]] : [])];
  const fields = {
    ...{ machine: machine.id, date, meters, tasks },
    ...{ estimatedMeters: estimated, assumed: cells.yes("assumed") },
    ...{ confirmed: cells.yes("confirmed"), ...dated },
    ...{ isTopUp: cells.yes("isTopUp"), warranty: cells.yes("warranty") },
    ...linesOf(rows, machine, names),
    note: spoken.length === 0 ? null : spoken.join("; "),
  };
  return { fields: saidOnly(fields), doubts };
}

const sortedKeys = (value: unknown): string[] =>
  Array.isArray(value) ? (value as string[]).toSorted() : [];

/** Entries of the log in a table: a row for each line of their longest list, one where there is none. */
export const ENTRY_ROWS: CsvShape<"entries"> = {
  columnOf: { fluids: "fluid", parts: "part", work: "worker", costs: "cost" },
  ofEachRow: new Set(LINE_COLUMNS),
  groupOf: () => null,
  part: {
    key: "id",
    noun: "line of the entry",
    // Also of a row without any line: the same row twice is not two entries.
    of: (cells) => JSON.stringify(LINE_COLUMNS.map((key) => cells.word(key))),
  },
  read,
  likeness: ({ machine, date, tasks, note }) =>
    JSON.stringify([machine, date, sortedKeys(tasks), note ?? null]),
  write: (entry, names) => {
    const machine = names.machineOf(entry.machine);
    const figures = Object.entries(entry.meters ?? {}).map(([meter, value]) => `${meter} ${value}`);
    const tasks = (entry.tasks ?? []).map((id) => names.nameOfTask(entry.machine, id));
    const own = {
      tasks: joinWords(tasks),
      meters: joinWords(figures),
      estimatedMeters: joinWords(entry.estimatedMeters ?? []),
      assumed: yesOrNo(entry.assumed),
      confirmed: yesOrNo(entry.confirmed),
      isTopUp: yesOrNo(entry.isTopUp),
      warranty: yesOrNo(entry.warranty),
      ...datedCells(entry),
    };
    return lineCells(entry, names).map((line, index) =>
      cellsOf({
        ...{ machine: machine?.tag, machineId: entry.machine, id: entry.id, date: entry.date },
        ...(index === 0 ? own : {}),
        ...line,
      }),
    );
  },
};
