import { BlobReader, ZipReader, type FileEntry } from "@zip.js/zip.js/index-native.js";
import { failure, hashOf, success, type Result } from "@yonderfell/core";
import { strToU8, zipSync, type Zippable } from "fflate";
import type { StoredPicture } from "../data/picture.js";

/** Where the book stands in the file. */
const BOOK_NAME = "book.yonderfell.json";
const PICTURE_NAME = /^pictures\/([0-9a-f]{64})\.(jpg|png|webp)$/;
const TYPES = { jpg: "image/jpeg", png: "image/png", webp: "image/webp" } as const;
const ENDINGS: ReadonlyMap<string, string> = new Map(
  Object.entries(TYPES).map(([ending, type]) => [type, ending]),
);
const MEGABYTE = 1024 * 1024;
/** A book or a picture unpacked to more is refused, and all of a file to more: it would not fit into memory. */
const MOST_OF_ONE = 128 * MEGABYTE;
const MOST_OF_ALL = 512 * MEGABYTE;
/** Written text packs to a tenth, at times to a fiftieth: what unpacks to more than so many times its size was made to fill memory. */
const MOST_TIMES = 200;
/** So little is no trouble however well it packs. */
const LITTLE = MEGABYTE;
/** Files packed in this way begin so. */
const SIGNATURE = [0x50, 0x4b] as const;

/** A picture as it stands in a file, under the hash of its bytes. */
export type FilePicture = Pick<StoredPicture, "hash" | "type" | "bytes">;

/** A book as it comes out of a file: its bytes, and the pictures beside it. */
export interface UnpackedBook {
  readonly book: Uint8Array;
  readonly pictures: readonly FilePicture[];
}

/** Told as a file is looked through, from 0 to 1. */
export type OnLooked = (share: number) => void;

/** What is wrong with a file, with its place. */
class Damaged extends Error {}

/** Whether bytes begin as a zip file does. */
export function isZip(bytes: Uint8Array): boolean {
  return SIGNATURE.every((byte, index) => bytes[index] === byte);
}

/** Where a picture stands in a zip file. */
export const pictureFileName = ({ hash, type }: Pick<StoredPicture, "hash" | "type">): string =>
  `pictures/${hash}.${ENDINGS.get(type) ?? "jpg"}`;

/** A book and its pictures in one zip file. Pictures are stored as they are: they are packed already. */
export function zipOfBook(text: string, pictures: readonly FilePicture[]): Uint8Array<ArrayBuffer> {
  const files: Zippable = { [BOOK_NAME]: [strToU8(text), { level: 6 }] };
  for (const picture of pictures) files[pictureFileName(picture)] = [picture.bytes, { level: 0 }];
  return zipSync(files);
}

const isWanted = (name: string): boolean => name === BOOK_NAME || PICTURE_NAME.test(name);

/** What a file says that it will unpack to, in bytes; throws where that is more than can be taken. */
function sizeOf(entries: readonly FileEntry[], fileSize: number): number {
  let sum = 0;
  for (const { filename, uncompressedSize, ...entry } of entries) {
    const compressedSize = Math.min(entry.compressedSize, fileSize);
    sum += uncompressedSize;
    if (uncompressedSize > MOST_OF_ONE || sum > MOST_OF_ALL) {
      const most = (uncompressedSize > MOST_OF_ONE ? MOST_OF_ONE : MOST_OF_ALL) / MEGABYTE;
      throw new Damaged(`${filename}: expected at most ${most} MB unpacked`);
    }
    const isPuffed = uncompressedSize > LITTLE && uncompressedSize > compressedSize * MOST_TIMES;
    // Many small ones come to as much.
    if (isPuffed || (sum > LITTLE && sum > fileSize * MOST_TIMES)) {
      const words = "it is not a book, it was made to fill memory";
      throw new Damaged(
        `${filename}: expected to unpack to at most ${MOST_TIMES} times its size (${words})`,
      );
    }
  }
  return sum;
}

/** The bytes of one file in a zip file: as many as it says there are, with the checksum it gives. */
async function unpacked(
  entry: FileEntry,
  onBytes: (count: number) => void,
): Promise<Uint8Array<ArrayBuffer>> {
  const bytes = new Uint8Array(entry.uncompressedSize);
  let length = 0;
  const taking = new WritableStream<Uint8Array>({
    write(chunk) {
      if (length + chunk.length > bytes.length) throw new Damaged("longer than it says it is");
      bytes.set(chunk, length);
      length += chunk.length;
      onBytes(chunk.length);
    },
  });
  try {
    await entry.getData(taking, { checkSignature: true });
  } catch (error) {
    if (!(error instanceof Error)) throw error;
    throw new Damaged(`${entry.filename}: expected to be whole (${error.message})`);
  }
  if (length < bytes.length) {
    throw new Damaged(`${entry.filename}: expected to be whole (shorter than it says it is)`);
  }
  return bytes;
}

function pictureOf(name: string, bytes: Uint8Array<ArrayBuffer>): FilePicture {
  const [, hash = "", ending] = PICTURE_NAME.exec(name) ?? [];
  if (hashOf(bytes) !== hash)
    throw new Damaged(`${name}: expected a picture whose SHA-256 is its name`);
  return { hash, type: TYPES[ending as keyof typeof TYPES], bytes };
}

/** The files in a zip file that belong to a book. */
async function wantedOf(reader: ZipReader<unknown>): Promise<readonly FileEntry[]> {
  try {
    const entries = await reader.getEntries();
    return entries.flatMap((entry) =>
      !entry.directory && isWanted(entry.filename) ? [entry] : [],
    );
  } catch (error) {
    if (!(error instanceof Error)) throw error;
    throw new Damaged(`(the file): expected a zip file that is whole (${error.message})`);
  }
}

function checkNames(entries: readonly FileEntry[]): void {
  const names = new Set<string>();
  for (const { filename } of entries) {
    if (names.has(filename)) throw new Damaged(`${filename}: expected once in the zip file`);
    names.add(filename);
  }
  if (!names.has(BOOK_NAME)) {
    throw new Damaged(`(the file): expected ${BOOK_NAME} in the zip file`);
  }
}

async function unpackedBook(
  reader: ZipReader<unknown>,
  fileSize: number,
  onLooked: OnLooked,
): Promise<UnpackedBook> {
  const entries = await wantedOf(reader);
  checkNames(entries);
  const all = sizeOf(entries, fileSize);
  let [book, done] = [new Uint8Array(), 0];
  const pictures: FilePicture[] = [];
  for (const entry of entries) {
    const bytes = await unpacked(entry, (count) => onLooked((done += count) / all));
    if (entry.filename === BOOK_NAME) book = bytes;
    else pictures.push(pictureOf(entry.filename, bytes));
  }
  return { book, pictures };
}

/**
 * The book of a zip file with its pictures, unpacked piece by piece. Refused, with the place: a file
 * that is damaged (CRC-32 and sizes are checked), one without a book in it, one that would unpack to
 * more than memory takes, and a picture that is not what its name says. Other files in it are passed
 * over.
 */
export async function bookOfZip(
  file: Blob,
  onLooked: OnLooked,
): Promise<Result<UnpackedBook, string>> {
  const reader = new ZipReader(new BlobReader(file), { useWebWorkers: false });
  try {
    return success(await unpackedBook(reader, file.size, onLooked));
  } catch (error) {
    if (error instanceof Damaged) return failure([error.message]);
    throw error;
  } finally {
    await reader.close();
  }
}
