import type { TraceFolder, TraceRoot } from "./traceFolder.js";
import { foldersOf } from "./traceNames.js";

/** The folder that holds all traces, in the origin's private file system. */
const ROOT = "yonderfell-traces";

/** A file that is written in place: workers have it, the library of the page does not know it. */
interface InPlace {
  readonly write: (bytes: Uint8Array, options: { readonly at: number }) => number;
  readonly truncate: (size: number) => void;
  readonly flush: () => void;
  readonly close: () => void;
}

type InPlaceFile = FileSystemFileHandle & {
  readonly createSyncAccessHandle?: () => Promise<InPlace>;
};

/** Whether an error says that something is not there. */
const isMissing = (error: unknown): boolean =>
  error instanceof DOMException && error.name === "NotFoundError";

async function orNull<Value>(run: () => Promise<Value>): Promise<Value | null> {
  try {
    return await run();
  } catch (error) {
    if (isMissing(error)) return null;
    throw error;
  }
}

/** Writes bytes from a place of a file on and ends it after them; settles once they are on the disk. Throws where not all of them could be written. */
async function writeInPlace(handle: InPlaceFile, bytes: Uint8Array, from: number): Promise<void> {
  if (handle.createSyncAccessHandle === undefined) throw new Error("files cannot be written here");
  const file = await handle.createSyncAccessHandle();
  try {
    const written = file.write(bytes, { at: from });
    if (written < bytes.length) throw new DOMException("the disk is full", "QuotaExceededError");
    file.truncate(from + bytes.length);
    file.flush();
  } finally {
    file.close();
  }
}

function filesOf(directory: FileSystemDirectoryHandle): TraceFolder {
  const file = (name: string): Promise<File | null> =>
    orNull(async () => (await directory.getFileHandle(name)).getFile());
  return {
    names: () => namesIn(directory, "file"),
    read: async (name) => {
      const found = await file(name);
      return found === null ? null : new Uint8Array(await found.arrayBuffer());
    },
    size: async (name) => (await file(name))?.size ?? null,
    write: async (name, bytes, from) =>
      writeInPlace(await directory.getFileHandle(name, { create: true }), bytes, from),
    remove: async (name) => void (await orNull(() => directory.removeEntry(name))),
  };
}

async function namesIn(
  directory: FileSystemDirectoryHandle,
  kind: FileSystemHandleKind,
): Promise<string[]> {
  const names: string[] = [];
  for await (const [name, handle] of directory.entries())
    if (handle.kind === kind) names.push(name);
  return names;
}

/** Whether files can be written in place here: in workers of browsers that have a private file system for this origin. */
export const canWriteInPlace = (): boolean =>
  "createSyncAccessHandle" in (globalThis.FileSystemFileHandle?.prototype ?? {});

/** The folders of all traces in the private file system of this origin; null where the browser has none. Files can be written only where {@link canWriteInPlace}. */
export async function privateFiles(): Promise<TraceRoot | null> {
  const storage = (globalThis as { readonly navigator?: Partial<Navigator> }).navigator?.storage;
  if (storage === undefined || !("getDirectory" in storage)) return null;
  const origin = await storage.getDirectory();
  const root = await origin.getDirectoryHandle(ROOT, { create: true });
  return {
    folders: () => namesIn(root, "directory"),
    folder: async (name) => filesOf(await root.getDirectoryHandle(name, { create: true })),
    drop: async (name) => void (await orNull(() => root.removeEntry(name, { recursive: true }))),
  };
}

/** Drops all traces of a book that a person has deleted. */
export async function dropTraces(book: string): Promise<void> {
  const root = await privateFiles();
  if (root === null) return;
  for (const folder of await foldersOf(root, book)) await root.drop(folder);
}

/** The file in which it is tried whether anything can be written, and how much is, in bytes. */
const TRIAL = "trial";
const TRIAL_BYTES = 2_000_000;

/** Whether there is room on the disk: a trial is written, and deleted at once. */
export async function canWrite(): Promise<boolean> {
  const origin = await navigator.storage.getDirectory();
  const root = await origin.getDirectoryHandle(ROOT, { create: true });
  try {
    const file = await root.getFileHandle(TRIAL, { create: true });
    await writeInPlace(file, new Uint8Array(TRIAL_BYTES), 0);
    return true;
  } catch (error) {
    if (error instanceof DOMException) return false;
    throw error;
  } finally {
    await orNull(() => root.removeEntry(TRIAL)).catch(() => undefined);
  }
}
