import type { TraceFolder, TraceRoot } from "./traceFolder.js";

/** Where the name of the book and its kind stand. */
export const BOOK_FILE = "book.json";

export const snapshotName = (generation: number): string => `${generation}.snapshot`;
export const logName = (generation: number): string => `${generation}.log`;
export const pictureName = (hash: string): string => `picture-${hash}`;

/** The generations that are whole, the newest last: a snapshot counts once its log is begun. */
export function generationsIn(names: readonly string[]): readonly number[] {
  const all = new Set(names);
  return names
    .flatMap((name) => (/^\d+\.snapshot$/.test(name) ? parseInt(name, 10) : []))
    .filter((generation) => all.has(logName(generation)))
    .sort((one, other) => one - other);
}

/** A book's folders are its id, and then `id.2`, `id.3`: the last is the one that is written. */
const placeOf = (folder: string): number => Number(folder.split(".")[1] ?? 1);

/** The id of the book whose trace a folder holds. */
export const bookOfFolder = (folder: string): string => folder.split(".")[0] ?? folder;

/** The folders of a book, the one that is written last. */
export async function foldersOf(root: TraceRoot, book: string): Promise<readonly string[]> {
  const own = (await root.folders()).filter((folder) => bookOfFolder(folder) === book);
  return own.sort((one, other) => placeOf(one) - placeOf(other));
}

/** The folder a book's trace is written in. */
export async function folderOf(root: TraceRoot, book: string): Promise<TraceFolder> {
  return root.folder((await foldersOf(root, book)).at(-1) ?? book);
}

/** Begins another folder for a book, of the same name: the one before is left as it is. */
export async function nextFolder(root: TraceRoot, book: string): Promise<void> {
  const last = (await foldersOf(root, book)).at(-1) ?? book;
  const named = await (await root.folder(last)).read(BOOK_FILE);
  const next = await root.folder(`${book}.${placeOf(last) + 1}`);
  if (named !== null) await next.write(BOOK_FILE, named, 0);
}
