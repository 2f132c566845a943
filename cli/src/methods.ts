import { parseArgs } from "node:util";
import { libraryMethods, methodsFile } from "@yonderfell/core";
import { openBook } from "./bookFile.js";
import { errorCode } from "./errorCode.js";
import { Problem } from "./problem.js";

function optionsIn(words: readonly string[]) {
  try {
    return parseArgs({
      args: [...words],
      allowPositionals: true,
      options: { library: { type: "boolean", default: false } },
    });
  } catch (error) {
    if (!errorCode(error).startsWith("ERR_PARSE_ARGS")) throw error;
    throw new Problem(`methods: ${(error as Error).message.split(". ")[0]} (see yonderfell help)`);
  }
}

/** Runs `methods`: the methods that a book keeps, or those of the library, as a file by themselves. */
export function methods(words: readonly string[]): string {
  const { values, positionals } = optionsIn(words);
  const [file, ...rest] = positionals;
  if (values.library ? file !== undefined : file === undefined || rest.length > 0) {
    throw new Problem("methods: expected the file of a book, or --library (see yonderfell help)");
  }
  const kept = file === undefined ? libraryMethods() : (openBook(file).book.methods ?? []);
  return JSON.stringify(methodsFile(kept), null, 2);
}
