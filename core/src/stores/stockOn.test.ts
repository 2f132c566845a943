import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { rounded } from "../../test/rounded.js";
import { readBook } from "../book/file/readBook.js";
import { dayOf } from "../calendar/dayNumber.js";
import { stockOn, type StockList } from "./stockOn.js";

const FOLDER = join(__dirname, "../../test/vectors/records");
const NAMES = readdirSync(FOLDER)
  .filter((name) => name.endsWith(".stock.json"))
  .map((name) => name.replace(".stock.json", ""));

const textOf = (name: string): string => readFileSync(join(FOLDER, name), "utf8");

test.each(NAMES)("worked case %s: what there is on the shelves", (name) => {
  const read = readBook(textOf(`${name}.book.json`));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const { on, out } = JSON.parse(textOf(`${name}.stock.json`)) as { on: string; out: StockList };
  expect(rounded(stockOn(read.value, dayOf(on)))).toEqual(rounded(out));
});
