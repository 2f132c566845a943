import { parseArgs } from "node:util";
import { parseDay, STATUSES, type DayNumber, type Status } from "@yonderfell/core";
import { errorCode } from "./errorCode.js";
import { Problem } from "./problem.js";

const COMMANDS = ["due", "check", "costs", "stock", "waste", "help"] as const;
type Command = (typeof COMMANDS)[number];
/** Those that need the day they are asked for. */
const ON_A_DAY: readonly Command[] = ["due", "stock", "waste"];

/** What the command line was asked to do. */
export interface Options {
  readonly command: Command;
  readonly file: string;
  /** The day to reckon for; null where not given. */
  readonly on: DayNumber | null;
  /** The first and the last day of a span; null where not given. */
  readonly from: DayNumber | null;
  readonly to: DayNumber | null;
  readonly asJson: boolean;
  /** The tag of the one machine to show; null for all. */
  readonly machine: string | null;
  readonly statuses: readonly Status[] | null;
}

/** How the command line is used. */
export const USAGE = [
  "yonderfell due BOOK --on YYYY-MM-DD [--json] [--machine TAG] [--status overdue,due,…]",
  "yonderfell check BOOK [--on YYYY-MM-DD]",
  "yonderfell costs BOOK --from YYYY-MM-DD --to YYYY-MM-DD [--json]",
  "yonderfell stock BOOK --on YYYY-MM-DD [--json]",
  "yonderfell waste BOOK --on YYYY-MM-DD [--json]",
  "yonderfell card BOOK MACHINE TASK… [--json]",
  "yonderfell methods BOOK | --library",
  "yonderfell job FILE [--now MS] [--json]",
  "yonderfell record verify FILE [--json]",
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
      from: { type: "string" },
      to: { type: "string" },
      json: { type: "boolean", default: false },
      machine: { type: "string" },
      status: { type: "string" },
    },
  });
}

function dayFrom(option: string, text: string | undefined): DayNumber | null {
  if (text === undefined) return null;
  const day = parseDay(text);
  if (day === null)
    throw new Problem(
      `${option}: expected a date of the calendar as YYYY-MM-DD (found ${JSON.stringify(text)})`,
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

/** The span of days of a command that needs one. */
function spanFrom(from: DayNumber | null, to: DayNumber | null): void {
  if (from === null) throw new Problem("costs: expected the first day, --from YYYY-MM-DD");
  if (to === null) throw new Problem("costs: expected the last day, --to YYYY-MM-DD");
  if (from > to) throw new Problem("costs: expected --from on or before --to");
}

/** The options in the words of a command line; refused with a problem that says what was expected. */
export function optionsFrom(words: readonly string[]): Options {
  const { values, positionals } = parsed(words);
  const [word = "help", file = "", ...rest] = positionals;
  const command = COMMANDS.find((one) => one === word);
  if (command === undefined) {
    throw new Problem(
      `expected due, check, costs, stock, waste, card, methods, job, record, reckon or help (found ${JSON.stringify(word)})`,
    );
  }
  const on = dayFrom("--on", values.on);
  const [from, to] = [dayFrom("--from", values.from), dayFrom("--to", values.to)];
  if (command !== "help") {
    if (file === "")
      throw new Problem(`${command}: expected the file of a book (see yonderfell help)`);
    if (rest.length > 0)
      throw new Problem(`${command}: expected one file (found also ${JSON.stringify(rest[0])})`);
    if (ON_A_DAY.includes(command) && on === null)
      throw new Problem(`${command}: expected the day, --on YYYY-MM-DD`);
    if (command === "costs") spanFrom(from, to);
  }
  const statuses = statusesFrom(values.status);
  const machine = values.machine ?? null;
  return { command, file, on, from, to, asJson: values.json, machine, statuses };
}
