import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { SUMS } from "@yonderfell/core";
import { reckoned } from "./reckoned.js";
import { readFields, sumOf, type Typed } from "./readFields.js";
import { outcomeWords } from "./sumWords.js";
import type { FieldInput, SumForm } from "./sumForm.js";
import { formsFor, SUM_FORMS } from "./sumForms.js";

const FOLDER = join(__dirname, "../../../../../core/test/vectors/sums");

interface Case {
  readonly in: Readonly<Record<string, unknown>>;
  readonly out: Readonly<Record<string, unknown>>;
}

const formOf = (name: string): SumForm => {
  const form = SUM_FORMS.find(({ sum }) => sum === name);
  if (form === undefined) throw new Error(`the Reckoner has no ${name}`);
  return form;
};
const plain = (text: string): string => text.replaceAll("\u00a0", " ").replaceAll("\u202f", " ");

/** A word or a figure as it is typed; a dash for none. */
const word = (value: unknown): string =>
  typeof value === "string"
    ? value
    : value === null || value === undefined
      ? "-"
      : JSON.stringify(value);

/** A line of something as it is typed: its figures and words in the order of the example. */
function lineOf(field: string, one: unknown): string {
  if (Array.isArray(one)) return one.map((part) => lineOf(field, part)).join(" ");
  if (typeof one !== "object" || one === null) return word(one);
  const { warranty, onMark, values, oilLife, source, amount, ...rest } = one as Record<
    string,
    unknown
  >;
  if (values !== undefined) {
    const named = Object.entries(values as object).map((pair) => lineOf(field, pair));
    return [word(oilLife), ...named].join(" ");
  }
  if (source !== undefined) return `${word(amount)} ${word(source)}`;
  if (field === "limits" || field === "lowest") {
    const { watch, stop } = rest as Record<string, unknown>;
    return `${word(watch)} ${word(stop)}`;
  }
  const known = Object.values(rest).filter((value) => value !== null && value !== undefined);
  const first = amount === undefined ? known : field === "fills" ? [amount] : [...known, amount];
  const flag = warranty === true ? "warranty" : onMark === true ? "mark" : "";
  return [...first.map(word), flag].filter((part) => part !== "").join(" ");
}

/** What a person types for a value of a field. */
function textOf(name: string, input: FieldInput, value: unknown): string {
  if (value === null || value === undefined) return "";
  switch (input.kind) {
    case "percent":
    case "glycol":
      return String(Number((Number(value) * 100).toPrecision(15)));
    case "quantities":
    case "figures":
      return (value as number[]).join(" ");
    case "several":
    case "words":
      return (value as string[]).join(",");
    case "lines": {
      if (input.gather === "one") return lineOf(name, value);
      const all: unknown[] = input.gather === "list" ? (value as unknown[]) : Object.entries(value);
      return all.map((one) => lineOf(name, one)).join("\n");
    }
    case "quantity":
    case "number":
    case "choice":
    case "text":
    case "day":
      return word(value);
  }
}

const cases = readdirSync(FOLDER).flatMap((file) => {
  const name = file.replace(".json", "");
  const all = JSON.parse(readFileSync(join(FOLDER, file), "utf8")) as Case[];
  // A label's own table is asked of the command line only.
  return all
    .filter(({ in: given }) => (given["table"] ?? null) === null)
    .map((one, place) => ({ name, place, one }));
});

const typedOf = (form: SumForm, given: Case["in"]): Typed =>
  Object.fromEntries(
    form.fields
      // What is asked beside is none of the case.
      .filter(({ name, isBeside }) => isBeside !== true || name in given)
      .map(({ name, input }) => [name, textOf(name, input, given[name])]),
  );

/** Without what is lost between a share and its per cent. */
const near = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (_, one: unknown) =>
      typeof one === "number" ? Number(one.toPrecision(12)) : one,
    ),
  );

test("there is a form for each sum, and none for anything else", () => {
  expect(SUM_FORMS.map(({ sum }) => sum).sort()).toEqual(SUMS.map(({ name }) => name).sort());
});

test.each(SUM_FORMS.map((form) => [form.sum, form] as const))(
  "%s: its fields are those of the sum, and each that is needed is there",
  (_, form) => {
    const { fields } = sumOf(form);
    const own = form.fields.filter(({ isBeside }) => isBeside !== true).map(({ name }) => name);
    expect(Object.keys(fields)).toEqual(expect.arrayContaining(own));
    expect([...own, "table"]).toEqual(expect.arrayContaining(Object.keys(fields)));
  },
);

test("many worked cases are typed", () => expect(cases.length).toBeGreaterThan(230));

test.each(cases)("$name, worked case $place: typed by hand it asks the same", ({ name, one }) => {
  const form = formOf(name);
  const typed = typedOf(form, one.in);
  const { input, problems } = readFields(form, typed, null);
  expect(problems).toEqual({});
  const asked = sumOf(form).ask(input);
  const expected = sumOf(form).ask(one.in);
  expect(near(asked)).toEqual(near(expected));
  const outcome = reckoned(form, typed, null);
  expect(outcome.kind).toBe("refused" in one.out ? "refused" : "told");
  const words = plain(outcomeWords(outcome));
  expect(words.trim()).not.toBe("");
  expect(words).not.toMatch(/undefined|NaN|null|There is no answer/);
  if (outcome.kind !== "told") return;
  const { more = [], reason, plot, given = [] } = outcome.told;
  expect([...more, reason].join(" ")).not.toMatch(/undefined|NaN|null/);
  for (const { x, y } of [...(plot?.marks ?? []), ...(plot?.bars ?? []), ...(plot?.line ?? [])]) {
    expect([Number.isFinite(x), Number.isFinite(y)]).toEqual([true, true]);
  }
  for (const { quantity } of given) expect(Number.isFinite(quantity.value)).toBe(true);
});

const told = (name: string, typed: Typed): string => {
  const outcome = reckoned(formOf(name), typed, null);
  return plain(outcomeWords(outcome));
};

test("units are typed as everywhere, a share also as the frost it bears", () => {
  const typed = { volume: "21 L", low: "1000 mL", shareNow: "-16", shareWanted: "45 %" };
  expect(told("coolant-correct", typed)).toMatch(/^Drain 3\.4\d L, then fill 4\.4\d L of product$/);
  expect(told("coolant-correct", { ...typed, shareNow: "3 °F" })).toMatch(/^Drain 3\.\d+ L/);
  expect(told("tread", { inner: "3/32 in" })).toBe("Watch it");
});

test.each<[string, Typed, RegExp]>([
  ["coolant-mix", {}, /^Still to fill in: “How much mix” and “Share of glycol wanted”\.$/],
  ["coolant-mix", { volume: "10", share: "50", product: "40" }, /^What is filled is weaker/],
  ["tread", {}, /^Still to fill in/],
  ["battery", { volts: "12.7", rested: "1" }, /^It must rest for four hours/],
  ["battery", { volts: "much", rested: "6" }, /look at the fields/],
  ["passes", { vessel: "9", pass: "12" }, /look at the fields/],
  ["trend", { points: "50000 6\nsoon 4", limit: "2", lifeNow: "1" }, /look at the fields/],
  ["coolant-correct", { volume: "9", shareNow: "-80", shareWanted: "40" }, /look at the fields/],
])("%s of %j: %s", (name, typed, words) => {
  expect(told(name, typed)).toMatch(words);
});

test("a sum is found by its own words and by others for it", () => {
  expect(formsFor("antifreeze winter").map(({ sum }) => sum)).toContain("coolant-correct");
  expect(formsFor("tyre").map(({ sum }) => sum)).toEqual(
    expect.arrayContaining(["tread", "tyre-age"]),
  );
  expect(formsFor("cathedral")).toEqual([]);
});
