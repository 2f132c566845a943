import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { rounded } from "../../test/rounded.js";
import { readBook } from "../book/file/readBook.js";
import { bookCosts, type BookCosts } from "./bookCosts.js";

const FOLDER = join(__dirname, "../../test/vectors/records");
const NAMES = readdirSync(FOLDER)
  .filter((name) => name.endsWith(".book.json"))
  .map((name) => name.replace(".book.json", ""));

const textOf = (name: string): string => readFileSync(join(FOLDER, name), "utf8");

interface Case {
  readonly from: string;
  readonly to: string;
  readonly out: BookCosts;
}

test.each(NAMES)("worked case %s: what its machines cost", (name) => {
  const read = readBook(textOf(`${name}.book.json`));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const { from, to, out } = JSON.parse(textOf(`${name}.costs.json`)) as Case;
  expect(rounded(bookCosts(read.value, from, to))).toEqual(rounded(out));
});
