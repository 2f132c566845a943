import { readFileSync } from "node:fs";
import { join } from "node:path";
import { rounded } from "../../test/rounded.js";
import { SUMS } from "./registry.js";

interface Case {
  readonly in: Readonly<Record<string, unknown>>;
  readonly out: unknown;
}

const casesOf = (name: string): Case[] =>
  JSON.parse(
    readFileSync(join(__dirname, "../../test/vectors/sums", `${name}.json`), "utf8"),
  ) as Case[];

const all = SUMS.flatMap(({ name, ask }) =>
  casesOf(name).map((one, place) => ({ name, place, ask, one })),
);

test("there are worked cases of each of the 23", () => {
  expect(SUMS).toHaveLength(23);
  expect(all).toHaveLength(23 * 12);
});

test.each(all)("$name, worked case $place", ({ ask, one }) => {
  expect(rounded(ask(one.in))).toEqual({ answer: rounded(one.out) });
});

/** What does not belong where a figure, a text, a list or anything else is expected. */
const WRONG: readonly unknown[] = [{ nobody: 1 }, "nothing of the kind", -1e300, true];

const fields = SUMS.flatMap((sum) =>
  Object.entries(sum.fields).map(([field, { without }]) => ({
    name: sum.name,
    field,
    ask: sum.ask,
    isNeeded: without === undefined,
  })),
);

/** The place that an answer complains of; null where it complains of nothing. */
function wrongAt(asked: ReturnType<(typeof SUMS)[number]["ask"]>): string | null {
  return "wrong" in asked ? asked.wrong.path.join(".") : null;
}

test.each(fields)("$name: what does not belong in $field is refused there", (one) => {
  const [{ in: sound }] = casesOf(one.name) as [Case];
  const refused = WRONG.map((wrong) => wrongAt(one.ask({ ...sound, [one.field]: wrong })));
  const places = refused.filter((place) => place !== null);
  // A figure may well be below 0, and any text a text: of four kinds most do not belong.
  expect(places.length).toBeGreaterThanOrEqual(2);
  for (const place of places) expect(place.split(".")[0]).toBe(one.field);
});

test.each(fields)("$name: $field may be left out or unknown only where it says so", (one) => {
  const [{ in: sound }] = casesOf(one.name) as [Case];
  const { [one.field]: _, ...rest } = sound;
  const asked = [one.ask(rest), one.ask({ ...sound, [one.field]: null })];
  if (one.isNeeded) expect(asked.map(wrongAt)).toEqual([one.field, one.field]);
  else expect(asked[0]).toEqual(asked[1]);
});

test.each(SUMS)("$name: a field that it does not know is refused by its name", ({ name, ask }) => {
  const [{ in: sound }] = casesOf(name) as [Case];
  expect(wrongAt(ask({ ...sound, colour: "red" }))).toBe("colour");
});

test.each(SUMS)("$name: nothing, a list and a word are refused as a whole", ({ ask }) => {
  for (const input of [null, undefined, [], "12", 12]) expect(wrongAt(ask(input))).toBe("");
});
