import { digestOf } from "../book/file/canonical.js";
import { PROGRAM } from "../book/file/program.js";
import type { RecordContent, RecordPicture, ServiceRecord } from "./document.js";

/** What the files of a record are called, in its zip. */
export const RECORD_FILE = "record.json";
export const RECORD_TABLE = "record.csv";

/** What a record says of itself to whoever finds it. */
const ABOUT = {
  what: `The service record of a machine, issued by ${PROGRAM.name}. It is JSON (RFC 8259) in UTF-8.`,
  program: `${PROGRAM.name} ${PROGRAM.version}`,
  format: "Written down in docs/formats/service-record.md of the program's source.",
  digest:
    "The SHA-256 of all but the digest itself: keys sorted, no white space, UTF-8. The same stands on each printed page.",
  check: "yonderfell record verify FILE",
} as const;

/** The digest of a record: the SHA-256 of all it says but the digest itself, in one way only. */
export function recordDigest(record: object): string {
  const { digest: _digest, ...rest } = record as Readonly<Record<string, unknown>>;
  return digestOf(rest);
}

/**
 * A record as it is issued, with its digests.
 *
 * @param tableDigest the SHA-256 of its table as it is handed over.
 */
export function issueRecord(content: RecordContent, tableDigest: string): ServiceRecord {
  const digests = {
    machine: digestOf(content.machine),
    readings: digestOf(content.readings),
    gaps: digestOf(content.gaps),
    lines: content.lines.map(digestOf),
    table: tableDigest,
  };
  const issued = { about: ABOUT, ...content, digests };
  return { ...issued, digest: recordDigest(issued) };
}

/** A record as the text of its file. */
export const recordText = (record: object): string => `${JSON.stringify(record, null, 1)}
`;

/** The pictures that stand beside a record, each once, in the order in which it names them. */
export function picturesOfRecord({ lines }: Pick<RecordContent, "lines">): RecordPicture[] {
  const all = lines.flatMap(({ pictures }) => pictures ?? []);
  return [...new Map(all.map((picture) => [picture.hash, picture])).values()];
}
