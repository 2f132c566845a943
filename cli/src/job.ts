import { parseArgs } from "node:util";
import { describeIssue, jobState, readJobFile, type JobState } from "@yonderfell/core";
import { bytesOf } from "./bookFile.js";
import { errorCode } from "./errorCode.js";
import { Problem } from "./problem.js";
import { textTable } from "./textTable.js";

function optionsIn(words: readonly string[]) {
  try {
    return parseArgs({
      args: [...words],
      allowPositionals: true,
      options: { json: { type: "boolean", default: false }, now: { type: "string" } },
    });
  } catch (error) {
    if (!errorCode(error).startsWith("ERR_PARSE_ARGS")) throw error;
    throw new Problem(`job: ${(error as Error).message.split(". ")[0]} (see yonderfell help)`);
  }
}

function nowFrom(text: string | undefined): number | null {
  if (text === undefined) return null;
  const now = Number(text);
  if (text.trim() !== "" && Number.isFinite(now)) return now;
  throw new Problem(`--now: expected milliseconds since 1970 (found ${JSON.stringify(text)})`);
}

function parsed(file: string): unknown {
  const text = new TextDecoder().decode(bytesOf(file, "a job"));
  try {
    return JSON.parse(text);
  } catch {
    throw new Problem(`${file}: expected a job with its events as JSON`);
  }
}

/** Runs `job`: where a job stands after its events (job rules §4). */
export function job(words: readonly string[]): string {
  const { values, positionals } = optionsIn(words);
  const [file, ...rest] = positionals;
  if (file === undefined)
    throw new Problem("job: expected the file of a job (see yonderfell help)");
  if (rest.length > 0) {
    throw new Problem(`job: expected one file (found also ${JSON.stringify(rest[0])})`);
  }
  const now = nowFrom(values.now);
  const read = readJobFile(parsed(file));
  if ("issue" in read) {
    throw new Problem(`${file}: ${describeIssue(read.issue)}`);
  }
  const state = jobState(read.job, read.events, now ?? read.now);
  return values.json ? JSON.stringify(state) : jobTable(state);
}

const rounded = (value: number): string => String(Math.round(value * 100) / 100);

/** Where a job stands, for people. */
function jobTable(state: JobState): string {
  const steps = state.steps.map(({ id, state: standing, heldBy, ticked }) => [
    ...[id, standing, heldBy.join(", "), ticked.join(", ")],
  ]);
  const systems = state.systems.map(({ system, out, in: filled, balance }) => [
    ...[system, rounded(out), rounded(filled), rounded(balance)],
  ]);
  const told = (words: string, list: readonly string[]): string[] =>
    list.length === 0 ? [] : [`${words}: ${list.join(", ")}`];
  return [
    ...textTable(["step", "state", "held by", "ticked"], steps),
    ...(systems.length === 0 ? [] : ["", ...textTable(["system", "out", "in", ""], systems)]),
    "",
    `next: ${state.next ?? "nothing"}`,
    ...told("meanwhile", state.meanwhile),
    ...told("wrong with the card", withStep(state.cardIssues)),
    ...told("not finished", withStep(state.unfinished)),
    ...told(
      "rejected",
      state.rejected.map(({ event, code }) => `${event} ${code}`),
    ),
    ...told(
      "out of order",
      state.outOfOrder.map(({ event, code }) => `${event} ${code}`),
    ),
  ].join("\n");
}

const withStep = (list: readonly { readonly step: string; readonly code: string }[]): string[] =>
  list.map(({ step, code }) => `${step} ${code}`);
