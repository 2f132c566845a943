import { readFileSync, statSync } from "node:fs";
import { resolve } from "node:path";
import { describeIssue, readBookFile, type BookFile } from "@yonderfell/core";
import { errorCode } from "./errorCode.js";
import { Problem } from "./problem.js";

/** Larger files are refused before they are read: they would not fit into memory as a book. */
const MOST_BYTES = 128 * 1024 * 1024;

/** Issues beyond so many are not counted out: a broken file is not looked through to its end. */
const MOST_COUNTED = 50;

const FILE_PROBLEMS: Readonly<Record<string, string>> = {
  ENOENT: "there is no such file",
  EACCES: "it may not be read",
  EISDIR: "it is a folder",
};

function systemProblem(error: unknown): string {
  const code = errorCode(error);
  return FILE_PROBLEMS[code] ?? `it cannot be read (${code === "" ? "unknown reason" : code})`;
}

/** The folder a person stands in: npm runs scripts from the project's folder and keeps theirs. */
function standingIn(): string {
  return process.env["INIT_CWD"] ?? process.cwd();
}

/** What stands in a file. Refused with a problem that names it where it cannot be read or is too large; `what` is what was expected in it. */
export function bytesOf(file: string, what = "a book"): Uint8Array {
  const path = resolve(standingIn(), file);
  try {
    const { size } = statSync(path);
    if (size > MOST_BYTES) {
      const megabytes = Math.round(size / 1024 / 1024);
      throw new Problem(
        `${file}: (the file): expected ${what} of at most ${MOST_BYTES / 1024 / 1024} MB (it has ${megabytes} MB)`,
      );
    }
    return readFileSync(path);
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(`${file}: (the file): expected ${what} in a file (${systemProblem(error)})`);
  }
}

/** The book of a file. Refused with a problem that names the file, the path in it and what was expected. */
export function openBook(file: string): BookFile {
  const result = readBookFile(bytesOf(file), []);
  if (result.ok) return result.value;
  const [first, ...others] = result.issues;
  const count = others.length > MOST_COUNTED ? "many" : String(others.length);
  const more = others.length === 0 ? "" : ` (and ${count} more)`;
  throw new Problem(
    `${file}: ${first === undefined ? "expected a book" : describeIssue(first)}${more}`,
  );
}
