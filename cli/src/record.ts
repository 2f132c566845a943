import { parseArgs } from "node:util";
import {
  RECORD_FILE,
  verifyRecord,
  type FileBeside,
  type IssuedChange,
  type RecordVerdict,
} from "@yonderfell/core";
import { strFromU8, unzipSync, type Unzipped } from "fflate";
import { bytesOf } from "./bookFile.js";
import { errorCode } from "./errorCode.js";
import { Problem } from "./problem.js";

const SIGNATURE = [0x50, 0x4b] as const;
/** A file of a record unpacked to more is refused: it would not fit into memory. */
const MOST_OF_ONE = 128 * 1024 * 1024;

const EXPECTED = "expected a service record, as its zip or its record.json";

function unzipped(file: string, bytes: Uint8Array): Unzipped {
  try {
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (originalSize <= MOST_OF_ONE) return true;
        throw new Problem(`${file}: ${name}: ${EXPECTED} (it unpacks to too much)`);
      },
    });
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(`${file}: (the file): ${EXPECTED} (its zip is damaged)`);
  }
}

/** The text of a record, and the files beside it; null where it came alone. */
function partsOf(file: string): { text: string; beside: readonly FileBeside[] | null } {
  const bytes = bytesOf(file, "a service record");
  if (!SIGNATURE.every((byte, index) => bytes[index] === byte)) {
    return { text: new TextDecoder().decode(bytes), beside: null };
  }
  const { [RECORD_FILE]: record, ...others } = unzipped(file, bytes);
  if (record === undefined) throw new Problem(`${file}: (the file): ${EXPECTED}`);
  const beside = Object.entries(others).map(([name, own]) => ({ name, bytes: own }));
  return { text: strFromU8(record), beside };
}

function changeWords(change: IssuedChange): string {
  switch (change.code) {
    case "line":
      return `line ${change.at}, of ${change.date}`;
    case "lines":
      return `${change.found} lines, where ${change.issued} were issued`;
    case "machine":
      return "what it says of the machine";
    case "readings":
      return "the readings";
    case "gaps":
      return "the gaps";
    case "head":
      return "the day of issue, the book, the span or the digests";
    case "writing":
      return "how it is written; what it says is the same";
    case "table":
      return `record.csv${change.isMissing ? ", which is missing" : ""}`;
    case "picture":
      return `the picture ${change.hash}${change.isMissing ? ", which is missing" : ""}`;
    case "other-file":
      return `${change.name}, which was not issued with it`;
  }
}

function verdictWords({ record, digest, changed }: RecordVerdict): string {
  const { machine, issued, lines } = record;
  const head = `Service record of ${machine.tag} ${machine.name}, issued ${issued}, ${lines.length} lines`;
  if (changed.length === 0) {
    const paper = "The paper is of this record where the same stands at the foot of each page.";
    return [head, "As issued.", `SHA-256 ${digest}`, paper].join("\n");
  }
  const what = changed.map((change) => `  ${changeWords(change)}`);
  return [head, "Changed since it was issued:", ...what].join("\n");
}

function asked(words: readonly string[]): { readonly file: string; readonly asJson: boolean } {
  try {
    const { values, positionals } = parseArgs({
      args: [...words],
      allowPositionals: true,
      options: { json: { type: "boolean", default: false } },
    });
    const [what, file, ...rest] = positionals;
    if (what !== "verify" || file === undefined || rest.length > 0) {
      throw new Problem("record: expected verify and one file (see yonderfell help)");
    }
    return { file, asJson: values.json };
  } catch (error) {
    if (!errorCode(error).startsWith("ERR_PARSE_ARGS")) throw error;
    throw new Problem(`${(error as Error).message.split(". ")[0]} (see yonderfell help)`);
  }
}

/** Whether a service record is still what was issued: `yonderfell record verify FILE`. */
export function record(words: readonly string[]): string {
  const { file, asJson } = asked(words);
  const { text, beside } = partsOf(file);
  const verdict = verifyRecord(text, beside);
  if (verdict === null) throw new Problem(`${file}: (the file): ${EXPECTED}`);
  if (!asJson) return verdictWords(verdict);
  const { digest, changed } = verdict;
  return JSON.stringify({ asIssued: changed.length === 0, digest, changed });
}
