import { failure, success, type Book, type Result } from "@yonderfell/core";
import type { StoredPicture } from "../data/picture.js";
import { errorWords } from "../words/errorWords.js";
import type { FilePicture } from "./bookZip.js";
import { plainJpegSize } from "./plainJpeg.js";
import { LONGEST_SIDE, MOST_PICTURE_BYTES, type ShrunkPicture } from "./shrinkPicture.js";

/** A book with the pictures that came beside it. */
export interface BookWithPictures {
  readonly book: Book;
  readonly pictures: readonly StoredPicture[];
}

/** Makes a picture small and plain; throws with what to do where the file is none. */
export type Shrink = (file: Blob) => Promise<ShrunkPicture>;

/** A picture as this program writes them itself; null where it has to be written anew. */
function asItIs({ hash, bytes }: FilePicture): ShrunkPicture | null {
  const size = bytes.length < MOST_PICTURE_BYTES ? plainJpegSize(bytes) : null;
  if (size === null || Math.max(size.width, size.height) > LONGEST_SIDE) return null;
  return { hash, type: "image/jpeg", bytes, ...size };
}

/** A plain value in which some texts are replaced by others. */
function replaced(value: unknown, by: ReadonlyMap<string, string>): unknown {
  if (typeof value === "string") return by.get(value) ?? value;
  if (Array.isArray(value)) return value.map((each) => replaced(each, by));
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, replaced(each, by)]));
}

/**
 * The pictures of a file as they may be kept: those in this program's own form as they are, byte for
 * byte; others are written anew, without what else stands in them (where and with what they were
 * taken), and what refers to them follows. Refused, with its place: a file that is no picture.
 */
export async function takenPictures(
  book: Book,
  given: readonly FilePicture[],
  keptAt: string,
  shrink: Shrink,
): Promise<Result<BookWithPictures, string>> {
  const pictures = new Map<string, StoredPicture>();
  const anew = new Map<string, string>();
  for (const picture of given) {
    const { hash, type, bytes } = picture;
    try {
      const taken = asItIs(picture) ?? (await shrink(new Blob([bytes], { type })));
      pictures.set(taken.hash, { ...taken, keptAt });
      if (taken.hash !== hash) anew.set(hash, taken.hash);
    } catch (error) {
      return failure([`pictures/${hash}: expected a picture (${errorWords(error)})`]);
    }
  }
  const now = anew.size === 0 ? book : (replaced(book, anew) as Book);
  return success({ book: now, pictures: [...pictures.values()] });
}
