import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { DueList } from "../src/schedule/dueList.js";

const FOLDERS = ["due", "evidence"].map((name) => join(__dirname, "vectors", name));

const NOTHING_FOUND = { findings: [] };

/** A worked case: a book, a day, and what is due. */
export interface WorkedCase {
  readonly name: string;
  readonly book: string;
  readonly on: string;
  readonly due: DueList;
}

/** All worked cases; those that name no findings have none open. */
export function workedCases(): WorkedCase[] {
  return FOLDERS.flatMap((folder) => {
    const read = (file: string): string => readFileSync(join(folder, file), "utf8");
    const names = readdirSync(folder).filter((file) => file.endsWith(".on"));
    return names
      .map((file) => file.slice(0, -".on".length))
      .map((name) => {
        const due = JSON.parse(read(`${name}.due.json`)) as DueList;
        const machines = due.machines.map((machine) => ({ ...NOTHING_FOUND, ...machine }));
        const on = read(`${name}.on`).trim();
        return { name, book: read(`${name}.book.json`), on, due: { ...due, machines } };
      });
  });
}
