import { z } from "zod";
import { digestOf } from "../book/file/canonical.js";
import { hashOf } from "../book/file/hashOf.js";
import { picturesOfRecord, recordDigest, RECORD_TABLE, recordText } from "./recordFile.js";
import type { ServiceRecord } from "./document.js";

/** What was changed in a record since it was issued. */
export type IssuedChange =
  /** A line, by its place from 1; `date` as it stands now. */
  | { readonly code: "line"; readonly at: number; readonly date: string }
  /** There are so many lines where so many were issued. */
  | { readonly code: "lines"; readonly issued: number; readonly found: number }
  | { readonly code: "machine" | "readings" | "gaps" }
  /** The day, the book, the span, or the digests themselves. */
  | { readonly code: "head" }
  /** It says the same, but not as it was written. */
  | { readonly code: "writing" }
  | { readonly code: "table"; readonly isMissing: boolean }
  | { readonly code: "picture"; readonly hash: string; readonly isMissing: boolean }
  /** A file that was not issued with it. */
  | { readonly code: "other-file"; readonly name: string };

/** Whether a record is still as it was issued. */
export interface RecordVerdict {
  readonly record: ServiceRecord;
  /** Of what it says now; the same as on the paper only where it is as issued. */
  readonly digest: string;
  /** Empty where it is as issued. */
  readonly changed: readonly IssuedChange[];
}

/** A file that stands beside a record. */
export interface FileBeside {
  readonly name: string;
  readonly bytes: Uint8Array;
}

const sha = z.string().regex(/^[0-9a-f]{64}$/, "a SHA-256 in hexadecimal");

const recordSchema = z.looseObject({
  format: z.literal("yonderfell-service-record", "yonderfell-service-record"),
  version: z.literal(1, "1"),
  issued: z.string("a date"),
  machine: z.looseObject({ tag: z.string("a number"), name: z.string("a name") }, "a machine"),
  lines: z.array(
    z.looseObject({
      date: z.string("a date"),
      pictures: z.array(z.looseObject({ hash: sha }), "a list of pictures").optional(),
    }),
    "a list of lines",
  ),
  readings: z.array(z.looseObject({}), "a list of readings"),
  gaps: z.array(z.looseObject({}), "a list of gaps"),
  digests: z.looseObject({
    ...{ machine: sha, readings: sha, gaps: sha, table: sha },
    lines: z.array(sha, "a list of digests"),
  }),
  digest: sha,
});

const PICTURE_FILE = /^pictures\/([0-9a-f]{64})\.(jpg|png|webp)$/;

function changedLines({ lines, digests }: ServiceRecord): IssuedChange[] {
  if (lines.length !== digests.lines.length) {
    return [{ code: "lines", issued: digests.lines.length, found: lines.length }];
  }
  return lines.flatMap((line, index): IssuedChange[] =>
    digestOf(line) === digests.lines[index]
      ? []
      : [{ code: "line", at: index + 1, date: line.date }],
  );
}

/** What was changed in what the record says, part by part; `head` where it is none of the parts. */
function changedParts(record: ServiceRecord, digest: string): IssuedChange[] {
  const parts = (["machine", "readings", "gaps"] as const).filter(
    (part) => digestOf(record[part]) !== record.digests[part],
  );
  const changed = [...changedLines(record), ...parts.map((code): IssuedChange => ({ code }))];
  return changed.length === 0 && digest !== record.digest ? [{ code: "head" }] : changed;
}

/** What was changed beside it: its table and its pictures, where it came with them. */
function changedBeside(record: ServiceRecord, beside: readonly FileBeside[]): IssuedChange[] {
  const table = beside.find(({ name }) => name === RECORD_TABLE);
  const pictures = new Map(
    beside.flatMap(({ name, bytes }) => {
      const hash = PICTURE_FILE.exec(name)?.[1];
      return hash === undefined ? [] : [[hash, bytes] as const];
    }),
  );
  const wanted = picturesOfRecord(record);
  const isOther = ({ name }: FileBeside): boolean => {
    const hash = PICTURE_FILE.exec(name)?.[1];
    return name !== RECORD_TABLE && !wanted.some((one) => one.hash === hash);
  };
  const isTable = table !== undefined && hashOf(table.bytes) === record.digests.table;
  return [
    ...(isTable ? [] : [{ code: "table", isMissing: table === undefined } as const]),
    ...wanted.flatMap(({ hash }): IssuedChange[] => {
      const bytes = pictures.get(hash);
      if (bytes !== undefined && hashOf(bytes) === hash) return [];
      return [{ code: "picture", hash, isMissing: bytes === undefined }];
    }),
    ...beside.filter(isOther).map(({ name }): IssuedChange => ({ code: "other-file", name })),
  ];
}

/**
 * Whether a record is still what was issued, and what is not (records §4). A digest proves nothing about who wrote the
 * record: whoever changes all of it can make a new one, so it is compared with that on the paper.
 *
 * @param text the text of `record.json`.
 * @param beside the other files of its zip; null where it came alone.
 * @returns null where the text is no service record.
 */
export function verifyRecord(
  text: string,
  beside: readonly FileBeside[] | null,
): RecordVerdict | null {
  const data = parsedJson(text);
  const read = recordSchema.safeParse(data);
  if (!read.success) return null;
  const record = data as ServiceRecord;
  const digest = recordDigest(record);
  const parts = changedParts(record, digest);
  const isWritten = parts.length > 0 || recordText(record) === text;
  return {
    ...{ record, digest },
    changed: [
      ...parts,
      ...(isWritten ? [] : [{ code: "writing" } as const]),
      ...(beside === null ? [] : changedBeside(record, beside)),
    ],
  };
}

function parsedJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return null;
  }
}
