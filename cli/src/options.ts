import { parseArgs } from "node:util";
import { parseDay, STATUSES, type DayNumber, type Status } from "@yonderfell/core";
import { errorCode } from "./errorCode.js";
import { Problem } from "./problem.js";

/** What the command line was asked to do. */
export interface Options {
  readonly command: "due" | "check" | "help";
  readonly file: string;
  /** The day to reckon for; null where not given. */
  readonly on: DayNumber | null;
  readonly asJson: boolean;
  /** The tag of the one machine to show; null for all. */
  readonly machine: string | null;
  readonly statuses: readonly Status[] | null;
}

/** How the command line is used. */
export const USAGE = [
  "yonderfell due BOOK --on YYYY-MM-DD [--json] [--machine TAG] [--status overdue,due,…]",
  "yonderfell check BOOK [--on YYYY-MM-DD]",
  "yonderfell reckon [NAME [FILE] [--json]]",
  "yonderfell reckon NAME --help",
].join("\n");

function parsed(words: readonly string[]): ReturnType<typeof parse> {
  try {
    return parse(words);
  } catch (error) {
    if (!errorCode(error).startsWith("ERR_PARSE_ARGS")) throw error;
    throw new Problem(`${(error as Error).message.split(". ")[0]} (see yonderfell help)`);
  }
}

function parse(words: readonly string[]) {
  return parseArgs({
    args: [...words],
    allowPositionals: true,
    options: {
      on: { type: "string" },
      json: { type: "boolean", default: false },
      machine: { type: "string" },
      status: { type: "string" },
    },
  });
}

function dayFrom(text: string | undefined): DayNumber | null {
  if (text === undefined) return null;
  const day = parseDay(text);
  if (day === null)
    throw new Problem(
      `--on: expected a date of the calendar as YYYY-MM-DD (found ${JSON.stringify(text)})`,
    );
  return day;
}

function statusesFrom(text: string | undefined): Status[] | null {
  if (text === undefined) return null;
  return text.split(",").map((word) => {
    const status = STATUSES.find((candidate) => candidate === word.trim());
    if (status === undefined)
      throw new Problem(
        `--status: expected ${STATUSES.join(", ")} (found ${JSON.stringify(word)})`,
      );
    return status;
  });
}

/** The options in the words of a command line; refused with a problem that says what was expected. */
export function optionsFrom(words: readonly string[]): Options {
  const { values, positionals } = parsed(words);
  const [command = "help", file = "", ...rest] = positionals;
  if (command !== "due" && command !== "check" && command !== "help") {
    throw new Problem(`expected due, check, reckon or help (found ${JSON.stringify(command)})`);
  }
  const on = dayFrom(values.on);
  if (command !== "help") {
    if (file === "")
      throw new Problem(`${command}: expected the file of a book (see yonderfell help)`);
    if (rest.length > 0)
      throw new Problem(`${command}: expected one file (found also ${JSON.stringify(rest[0])})`);
    if (command === "due" && on === null)
      throw new Problem("due: expected the day, --on YYYY-MM-DD");
  }
  const statuses = statusesFrom(values.status);
  return { command, file, on, asJson: values.json, machine: values.machine ?? null, statuses };
}
