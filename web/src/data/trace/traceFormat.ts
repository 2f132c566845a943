import type { Book, Change } from "@yonderfell/core";
import { gunzipSync, gzipSync, strFromU8, strToU8 } from "fflate";
import { hashOf } from "@yonderfell/core";

const FORMAT = "yonderfell-trace";
const VERSION = 1;
const LINE_END = 10;

/** How far a book had come at one moment. */
export interface Moment {
  /** Which copy of the book it is. */
  readonly copy: string;
  /** The number of its last change, and when that was made (an ISO instant); 0 and empty before the first. */
  readonly seq: number;
  readonly at: string;
}

/** A change as a trace keeps it. */
export interface TracedChange {
  readonly seq: number;
  readonly at: string;
  readonly change: Change;
}

/** A book as it stood at one moment. */
export interface Snapshot {
  readonly moment: Moment;
  readonly book: Book;
  /** The sum of what it holds, from which the sums of its log go on. */
  readonly sum: string;
}

interface Head extends Moment {
  readonly format: typeof FORMAT;
  readonly version: number;
  readonly sum: string;
}

/** A snapshot as the bytes of its file: a line that says what it is and its sum (SHA-256), then the book as JSON, packed (gzip). */
export function snapshotBytes(
  book: Book,
  moment: Moment,
): { readonly bytes: Uint8Array; readonly sum: string } {
  const packed = gzipSync(strToU8(JSON.stringify(book)), { level: 6 });
  const sum = hashOf(packed);
  const head: Head = { format: FORMAT, version: VERSION, ...moment, sum };
  const line = strToU8(`${JSON.stringify(head)}\n`);
  const bytes = new Uint8Array(line.length + packed.length);
  bytes.set(line);
  bytes.set(packed, line.length);
  return { bytes, sum };
}

function headIn(line: string): Head | null {
  try {
    const head = JSON.parse(line) as Head;
    return head.format === FORMAT && head.version === VERSION ? head : null;
  } catch (error) {
    if (error instanceof SyntaxError) return null;
    throw error;
  }
}

/** The moment and the sum of a snapshot, and where its book begins; null where it is not whole. */
function checkedHead(bytes: Uint8Array): { readonly head: Head; readonly from: number } | null {
  const end = bytes.indexOf(LINE_END);
  const head = end < 0 ? null : headIn(strFromU8(bytes.subarray(0, end)));
  if (head === null || hashOf(bytes.subarray(end + 1)) !== head.sum) return null;
  return { head, from: end + 1 };
}

/** A snapshot without its book; null where the file is not whole. */
export function momentOf(bytes: Uint8Array): Omit<Snapshot, "book"> | null {
  const found = checkedHead(bytes);
  if (found === null) return null;
  const { copy, seq, at, sum } = found.head;
  return { moment: { copy, seq, at }, sum };
}

/** The snapshot of a file; null where it is not whole. */
export function readSnapshot(bytes: Uint8Array): Snapshot | null {
  const found = checkedHead(bytes);
  const known = momentOf(bytes);
  if (found === null || known === null) return null;
  const book = JSON.parse(strFromU8(gunzipSync(bytes.subarray(found.from)))) as Book;
  return { ...known, book };
}

/** A change as a line of a log: its sum, which goes on from that of the line before, and itself as JSON. */
export function logLine(
  { seq, at, change }: TracedChange,
  sumBefore: string,
): { readonly text: string; readonly sum: string } {
  const json = JSON.stringify({ seq, at, change });
  const sum = hashOf(strToU8(`${sumBefore} ${json}`));
  return { text: `${sum} ${json}\n`, sum };
}

/** What of a log is whole. */
export interface ReadLog {
  readonly lines: readonly TracedChange[];
  /** The sum of the last line. */
  readonly sum: string;
  /** How many bytes the whole lines take; what stands after them was cut short. */
  readonly length: number;
}

/** The lines of a log as far as their sums go on from that of its snapshot. */
export function readLog(bytes: Uint8Array, sumBefore: string): ReadLog {
  const lines: TracedChange[] = [];
  let [sum, from] = [sumBefore, 0];
  for (;;) {
    const end = bytes.indexOf(LINE_END, from);
    if (end < 0) break;
    const line = strFromU8(bytes.subarray(from, end));
    const space = line.indexOf(" ");
    const [own, json] = [line.slice(0, space), line.slice(space + 1)];
    if (hashOf(strToU8(`${sum} ${json}`)) !== own) break;
    lines.push(JSON.parse(json) as TracedChange);
    [sum, from] = [own, end + 1];
  }
  return { lines, sum, length: from };
}
