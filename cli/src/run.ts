import {
  bookCosts,
  dueList,
  formatDay,
  reckonBook,
  stockOn,
  wasteOn,
  type Book,
  type DayNumber,
  type MachineReckoning,
} from "@yonderfell/core";
import { openBook } from "./bookFile.js";
import { checkReport } from "./checkReport.js";
import { costsTable } from "./costsTable.js";
import { dueTable } from "./dueTable.js";
import { card, cardAsked } from "./card.js";
import { job } from "./job.js";
import { methods } from "./methods.js";
import { optionsFrom, USAGE, type Options } from "./options.js";
import { Problem } from "./problem.js";
import { record } from "./record.js";
import { stockTable } from "./stockTable.js";
import { wasteTable } from "./wasteTable.js";
import { reckon, standardInput, type ReadInput } from "./reckon.js";

/** How a run of the command line ended: one of the two outputs is empty. */
export interface Ending {
  readonly status: 0 | 2;
  readonly output: string;
  readonly complaint: string;
}

/** The machines asked for, each with the tasks in the states asked for. */
function chosen(
  machines: readonly MachineReckoning[],
  { machine, statuses }: Options,
): MachineReckoning[] {
  const found = machines.filter((one) => machine === null || one.machine.tag === machine);
  if (machine !== null && found.length === 0) {
    throw new Problem(
      `--machine: expected the number of a machine in the book (found ${JSON.stringify(machine)})`,
    );
  }
  if (statuses === null) return found;
  return found.map((one) => ({
    ...one,
    tasks: one.tasks.filter((task) => statuses.includes(task.status)),
    findings: one.findings.filter(({ status }) => statuses.some((wanted) => wanted === status)),
  }));
}

function due(book: Book, today: DayNumber, options: Options): string {
  const machines = chosen(reckonBook(book, today), options);
  return options.asJson ? JSON.stringify(dueList(machines, today)) : dueTable(machines, today);
}

function costs(book: Book, { from, to, asJson }: Options): string {
  if (from === null || to === null) throw new Error("a span is asked for beforehand");
  const found = bookCosts(book, formatDay(from), formatDay(to));
  return asJson ? JSON.stringify(found) : costsTable(found, book);
}

function output(options: Options, now: DayNumber): string {
  if (options.command === "help") return USAGE;
  const { book, changed } = openBook(options.file);
  const today = options.on ?? now;
  switch (options.command) {
    case "due":
      return due(book, today, options);
    case "check":
      return checkReport(book, reckonBook(book, today), today, changed);
    case "costs":
      return costs(book, options);
    case "waste": {
      const waste = wasteOn(book, today);
      return options.asJson
        ? JSON.stringify({ on: formatDay(today), kinds: waste })
        : wasteTable(waste, today, book);
    }
    case "stock": {
      const stock = stockOn(book, today);
      return options.asJson ? JSON.stringify(stock) : stockTable(stock, book);
    }
  }
}

function cardFor(words: readonly string[], now: DayNumber): string {
  const asked = cardAsked(words);
  return card(asked, openBook(asked.file).book, now);
}

/** Runs the command line. `now` is the day it is, for what is asked without a day. */
export function run(
  words: readonly string[],
  now: DayNumber,
  readInput: ReadInput = standardInput,
): Ending {
  const [command, ...others] = words;
  const answer = (): string => {
    switch (command) {
      case "reckon":
        return reckon(others, readInput);
      case "job":
        return job(others);
      case "card":
        return cardFor(others, now);
      case "methods":
        return methods(others);
      case "record":
        return record(others);
      case undefined:
      default:
        return output(optionsFrom(words), now);
    }
  };
  try {
    return { status: 0, output: answer(), complaint: "" };
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    const complaint = error.message.replaceAll(/[\r\n\u2028\u2029]+/g, " ");
    return { status: 2, output: "", complaint: `yonderfell: ${complaint}` };
  }
}
