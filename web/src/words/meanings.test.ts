import { readFileSync } from "node:fs";
import { join } from "node:path";
import { MEANINGS, meaningsIn } from "./meanings.js";

const GLOSSARY = readFileSync(join(__dirname, "../../../docs/glossary.md"), "utf8");

test.each(Object.entries(MEANINGS))(
  "the meaning of %s is that of the glossary",
  (word, meaning) => {
    const row = GLOSSARY.split("\n").find((line) => line.startsWith(`| **${word}** | `));
    const written = row?.split("|")[2]?.trim() ?? "";
    // A screen needs no marks of emphasis, and no names of code.
    const plain = written.replaceAll("*", "").replace(/ \(`[^)]*\)$/, "");
    expect(meaning).toBe(plain);
  },
);

test("the words of a text that have a meaning to open are found, whole words only", () => {
  expect(meaningsIn("Last done 3 Apr 2026 (assumed), 12 000 km of grace.")).toEqual([
    "assumed",
    "grace",
  ]);
  expect(meaningsIn("The lifeboat is hardly revisited.")).toEqual([]);
});
