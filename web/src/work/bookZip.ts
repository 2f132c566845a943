import { failure, success, type Result } from "@yonderfell/core";
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from "fflate";
import type { StoredPicture } from "../data/picture.js";
import { hashOf } from "../data/hashOf.js";

/** Where the book stands in the file. */
const BOOK_NAME = "book.yonderfell.json";
const PICTURE_NAME = /^pictures\/([0-9a-f]{64})\.(jpg|png|webp)$/;
const TYPES = { jpg: "image/jpeg", png: "image/png", webp: "image/webp" } as const;
const ENDINGS: ReadonlyMap<string, string> = new Map(
  Object.entries(TYPES).map(([ending, type]) => [type, ending]),
);
/** More than this unpacked is refused: it would not fit into memory. */
const MOST_UNPACKED = 512 * 1024 * 1024;
/** Files packed in this way begin so. */
const SIGNATURE = [0x50, 0x4b] as const;

/** A book as it comes out of a file: its text, and the pictures beside it. */
export interface UnpackedBook {
  readonly text: string;
  readonly pictures: readonly StoredPicture[];
}

/** Whether bytes begin as a zip file does. */
export function isZip(bytes: Uint8Array): boolean {
  return SIGNATURE.every((byte, index) => bytes[index] === byte);
}

/** A book and its pictures in one zip file. Pictures are stored as they are: they are packed already. */
export function zipOfBook(
  text: string,
  pictures: readonly StoredPicture[],
): Uint8Array<ArrayBuffer> {
  const files: Zippable = { [BOOK_NAME]: [strToU8(text), { level: 6 }] };
  for (const { hash, type, bytes } of pictures) {
    files[`pictures/${hash}.${ENDINGS.get(type) ?? "jpg"}`] = [bytes, { level: 0 }];
  }
  return zipSync(files);
}

/**
 * The book of a zip file with its pictures. Refused: a file that is damaged, one without a book in
 * it, one too large to unpack, and a picture that is not what its name says. Other files in it are
 * passed over.
 */
export function bookOfZip(bytes: Uint8Array, keptAt: string): Result<UnpackedBook, string> {
  let unpacked = 0;
  let files: Readonly<Record<string, Uint8Array>>;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        const isWanted = name === BOOK_NAME || PICTURE_NAME.test(name);
        if (isWanted) unpacked += originalSize;
        return isWanted && unpacked <= MOST_UNPACKED;
      },
    });
  } catch (error) {
    if (!(error instanceof Error)) throw error;
    return failure([`(the file): expected a zip file that is whole (${error.message})`]);
  }
  if (unpacked > MOST_UNPACKED) {
    return failure([
      "(the file): expected at most 512 MB unpacked; unpack it and open the book alone",
    ]);
  }
  const book = Object.hasOwn(files, BOOK_NAME) ? files[BOOK_NAME] : undefined;
  if (book === undefined) return failure([`(the file): expected ${BOOK_NAME} in the zip file`]);
  const pictures: StoredPicture[] = [];
  for (const [name, content] of Object.entries(files)) {
    const [, hash, ending] = PICTURE_NAME.exec(name) ?? [];
    if (hash === undefined) continue;
    const held = new Uint8Array(content);
    if (hashOf(held) !== hash)
      return failure([`${name}: expected a picture whose SHA-256 is its name`]);
    const type = TYPES[ending as keyof typeof TYPES];
    pictures.push({ hash, type, bytes: held, width: 0, height: 0, keptAt });
  }
  return success({ text: strFromU8(book), pictures });
}
