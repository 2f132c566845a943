import { readFileSync } from "node:fs";
import { join } from "node:path";
import { SUMS } from "./registry.js";

interface Case {
  readonly in: Readonly<Record<string, unknown>>;
  readonly out: unknown;
}

const casesOf = (name: string): Case[] =>
  JSON.parse(
    readFileSync(join(__dirname, "../../test/vectors/sums", `${name}.json`), "utf8"),
  ) as Case[];

/** A value with its figures to a millionth. */
function rounded(value: unknown): unknown {
  if (typeof value === "number") return Math.round(value * 1e6) / 1e6 + 0;
  if (Array.isArray(value)) return value.map(rounded);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, rounded(one)]));
}

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
