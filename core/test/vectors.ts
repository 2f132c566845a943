import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { DueList } from "../src/schedule/dueList.js";

const FOLDER = join(__dirname, "vectors", "due");

/** A worked case: a book, a day, and what is due. */
export interface WorkedCase {
  readonly name: string;
  readonly book: string;
  readonly on: string;
  readonly due: DueList;
}

/** All worked cases. */
export function workedCases(): WorkedCase[] {
  const read = (file: string): string => readFileSync(join(FOLDER, file), "utf8");
  return readdirSync(FOLDER)
    .filter((file) => file.endsWith(".on"))
    .map((file) => file.slice(0, -".on".length))
    .map((name) => ({
      name,
      book: read(`${name}.book.json`),
      on: read(`${name}.on`).trim(),
      due: JSON.parse(read(`${name}.due.json`)) as DueList,
    }));
}
