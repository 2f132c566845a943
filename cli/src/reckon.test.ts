import { readFileSync } from "node:fs";
import { join, resolve } from "node:path";
import { dayOf, SUMS } from "@yonderfell/core";
import { run, type Ending } from "./run.js";

const VECTORS = resolve(__dirname, "../../core/test/vectors/sums");
const TODAY = dayOf("2026-11-23");

interface Case {
  readonly in: Readonly<Record<string, unknown>>;
  readonly out: object;
}
const casesOf = (name: string): Case[] =>
  JSON.parse(readFileSync(join(VECTORS, `${name}.json`), "utf8")) as Case[];

const ask = (words: readonly string[], input: unknown): Ending =>
  run(["reckon", ...words], TODAY, () =>
    typeof input === "string" ? input : JSON.stringify(input),
  );

/** What is complained of; nothing is answered beside it. */
function complaintOf(words: readonly string[], input: unknown): string {
  const { status, output, complaint } = ask(words, input);
  expect({ status, output }).toEqual({ status: 2, output: "" });
  expect(complaint).not.toContain("\n");
  return complaint;
}

test.each(SUMS.map(({ name }) => name))(
  "%s: a list is answered in its order, one alone",
  (name) => {
    const cases = casesOf(name);
    const listed = ask(
      [name, "--json"],
      cases.map((one) => one.in),
    );
    const answers = JSON.parse(listed.output) as object[];
    expect(answers.map((answer) => Object.keys(answer))).toEqual(
      cases.map(({ out }) => Object.keys(out)),
    );
    const alone = ask([name, "--json"], cases[0]?.in);
    expect(JSON.parse(alone.output)).toEqual(answers[0]);
    expect(
      ask(
        [name],
        cases.map((one) => one.in),
      ).output,
    ).toContain("case");
  },
);

test("the names are listed, and the fields of one with units and what is usual", () => {
  const { output } = ask([], "");
  for (const { name, about } of SUMS) {
    expect(output).toMatch(new RegExp(`^${name} +${about}$`, "m"));
  }
  expect(output.split("\n")).toHaveLength(SUMS.length + 2);
  const help = ask(["coolant-correct", "--help"], "").output;
  expect(help).toMatch(/^volume +litres of the full system, above 0 +needed$/m);
  expect(help).toMatch(/^low +litres missing now, 0 or more +usually 0$/m);
  expect(ask(["tread", "--help"], "").output).toMatch(/^inner .*may be left out$/m);
});

test("an answer for people has its figures under one another", () => {
  const { output } = ask(["fuel-mix"], { fuel: 5, ratio: 50 });
  expect(output).toMatch(/^oil +0\.1$/m);
  expect(ask(["battery"], { volts: 12.5, system: 12, kind: "lithium", rested: 9 }).output).toMatch(
    /^refused +not-by-voltage$/m,
  );
});

const FUEL = { fuel: 5, ratio: 50 };

test.each<readonly [string, readonly string[], unknown, string]>([
  ["another name", ["oil-mix"], FUEL, 'found "oil-mix"'],
  ["no JSON", ["fuel-mix"], "five", "(standard input): expected one JSON object"],
  ["no object", ["fuel-mix"], 5, "(what is asked): { fuel, ratio }"],
  [
    "a share over 1",
    ["freeze-point"],
    { glycol: "ethylene", share: 2 },
    "share: a share from 0 to 1",
  ],
  ["in a list", ["fuel-mix"], [FUEL, FUEL, { ...FUEL, ratio: 3 }], "cases[2].ratio: parts of fuel"],
  ["another field", ["fuel-mix"], { ...FUEL, oil: 1 }, "oil: no field but fuel, ratio"],
  [
    "a missing field",
    ["fuel-mix"],
    { fuel: 5 },
    "ratio: parts of fuel to one of oil from 10 to 200",
  ],
  [
    "within a list within",
    ["consumption"],
    { from: 0, to: 9, topUps: [{ life: 1, amount: 0 }] },
    "topUps[0].amount: litres, above 0",
  ],
  ["between fields", ["consumption"], { from: 9, to: 9, topUps: [] }, "to: more than the life"],
  [
    "a file that is not there",
    ["fuel-mix", "nowhere.json"],
    "",
    "nowhere.json: (the file): expected",
  ],
  ["two files", ["fuel-mix", "a.json", "b.json"], "", 'found also "b.json"'],
  ["another option", ["fuel-mix", "--on"], FUEL, "Unknown option"],
])("%s is told in one line, with the place and what was expected", (_, words, input, said) => {
  expect(complaintOf(words, input)).toContain(said);
});
