import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { SUMS, type AnySum, type Mismatch, type SumField } from "@yonderfell/core";
import { bytesOf } from "./bookFile.js";
import { errorCode } from "./errorCode.js";
import { Problem } from "./problem.js";
import { textTable } from "./textTable.js";

/** Gives what comes in by standard input. */
export type ReadInput = () => string;

/** What comes in by standard input; to its end. */
export const standardInput: ReadInput = () => readFileSync(0, "utf8");

function optionsIn(words: readonly string[]) {
  try {
    return parseArgs({
      args: [...words],
      allowPositionals: true,
      options: {
        json: { type: "boolean", default: false },
        help: { type: "boolean", default: false },
      },
    });
  } catch (error) {
    if (!errorCode(error).startsWith("ERR_PARSE_ARGS")) throw error;
    throw new Problem(`reckon: ${(error as Error).message.split(". ")[0]} (see yonderfell help)`);
  }
}

/** Runs `reckon`: the names of the sums, the fields of one, or the answers to what is asked of it. */
export function reckon(words: readonly string[], readInput: ReadInput): string {
  const { values, positionals } = optionsIn(words);
  const [name, file, ...rest] = positionals;
  if (name === undefined) return namesTable();
  const sum = SUMS.find((one) => one.name === name);
  if (sum === undefined) {
    throw new Problem(
      `reckon: expected the name of a sum, such as ${SUMS[0]?.name ?? ""} (found ${JSON.stringify(name)}; yonderfell reckon lists them)`,
    );
  }
  if (rest.length > 0) {
    throw new Problem(`reckon: expected one file (found also ${JSON.stringify(rest[0])})`);
  }
  if (values.help) return helpFor(sum);
  const given = parsed(textFrom(file, readInput), file ?? "(standard input)");
  const isList = Array.isArray(given);
  const cases: readonly unknown[] = isList ? (given as unknown[]) : [given];
  const answers = cases.map((one, place) => answerOf(sum, one, isList ? `cases[${place}]` : ""));
  if (!values.json) return answersTable(answers, isList);
  return JSON.stringify(isList ? answers : answers[0]);
}

const namesTable = (): string =>
  textTable(
    ["sum", "what it is for"],
    SUMS.map(({ name, about }) => [name, about]),
  ).join("\n");

/** What a field is where it is left out. */
function withoutWords({ without }: SumField): string {
  if (without === undefined) return "needed";
  return without === null ? "may be left out" : `usually ${JSON.stringify(without)}`;
}

function helpFor({ name, about, fields }: AnySum): string {
  const rows = Object.entries(fields).map(([key, field]) => [
    key,
    field.expected,
    withoutWords(field),
  ]);
  return [`${name}: ${about}`, "", ...textTable(["field", "what it is", ""], rows)].join("\n");
}

function textFrom(file: string | undefined, readInput: ReadInput): string {
  if (file === undefined) return readInput();
  return new TextDecoder().decode(bytesOf(file, "what is asked"));
}

function parsed(text: string, from: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Problem(`${from}: expected one JSON object, or a list of them`);
  }
}

/** The way to a place: `cases[3].earlier[0].values.iron`. */
function placeWords(start: string, path: Mismatch["path"]): string {
  const whole = path.reduce<string>(
    (way, step) =>
      typeof step === "number" ? `${way}[${step}]` : way === "" ? step : `${way}.${step}`,
    start,
  );
  return whole === "" ? "(what is asked)" : whole;
}

function answerOf(sum: AnySum, input: unknown, place: string): object {
  const asked = sum.ask(input);
  if ("answer" in asked) return asked.answer;
  throw new Problem(`${placeWords(place, asked.wrong.path)}: ${asked.wrong.expected}`);
}

/** A value for people; lists within are told apart by semicolons. */
function cellOf(value: unknown): string {
  if (value === null || value === undefined) return "none";
  if (typeof value === "number") return String(Math.round(value * 10_000) / 10_000);
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "string") return value;
  if (Array.isArray(value)) {
    const isOfObjects = value.some((one) => typeof one === "object" && one !== null);
    return value.map(cellOf).join(isOfObjects ? "; " : ", ");
  }
  return Object.entries(value)
    .map(([key, one]) => `${key} ${cellOf(one)}`)
    .join(", ");
}

/** The answers for people: of one its fields under one another, of several a row each. */
function answersTable(answers: readonly object[], isList: boolean): string {
  const keys = [...new Set(answers.flatMap((answer) => Object.keys(answer)))];
  const cell = (answer: object, key: string): string =>
    key in answer ? cellOf((answer as Readonly<Record<string, unknown>>)[key]) : "";
  if (!isList) {
    const [answer = {}] = answers;
    return textTable(
      ["answer", ""],
      keys.map((key) => [key, cell(answer, key)]),
    ).join("\n");
  }
  const rows = answers.map((answer, place) => [
    String(place),
    ...keys.map((key) => cell(answer, key)),
  ]);
  return textTable(["case", ...keys], rows).join("\n");
}
