import type { BookStorage } from "../data/bookStorage.js";
import type { BookEntry } from "../data/registry.js";
import { bookFile } from "./exportBook.js";

/** Whether this browser can write into a folder that the person has chosen. */
export const canExportToFolder = (): boolean => "showDirectoryPicker" in window;

/** What became of an export to the folder. */
export type FolderExport =
  | { readonly code: "written"; readonly name: string }
  /** The browser asks again after it was closed; only a press can answer. */
  | { readonly code: "leave-needed" }
  /** Another tab is at it. */
  | { readonly code: "busy" };

/** Whether the folder may be written to without asking. */
async function isAllowed(folder: FileSystemDirectoryHandle): Promise<boolean> {
  return (await folder.queryPermission({ mode: "readwrite" })) === "granted";
}

/** Asks the person for leave to write to the folder; only in answer to a press. */
export async function askLeave(folder: FileSystemDirectoryHandle): Promise<boolean> {
  return (await folder.requestPermission({ mode: "readwrite" })) === "granted";
}

/**
 * Writes the book into its folder, one file a day, and notes the export. The file takes the place
 * of the day's earlier one only once it is whole.
 */
export async function exportToFolder(
  entry: BookEntry,
  folder: FileSystemDirectoryHandle,
  storage: BookStorage,
  now: Date,
): Promise<FolderExport> {
  if (!(await isAllowed(folder))) return { code: "leave-needed" };
  return navigator.locks.request(
    `yonderfell-export-${entry.id}`,
    { ifAvailable: true },
    async (lock): Promise<FolderExport> => {
      if (lock === null) return { code: "busy" };
      const { name, file, seq } = await bookFile(entry, now);
      const handle = await folder.getFileHandle(name, { create: true });
      const writable = await handle.createWritable();
      await writable.write(file);
      await writable.close();
      await storage.noteExport({ seq, at: now.toISOString(), file: name });
      return { code: "written", name };
    },
  );
}
