import { formatDay } from "@yonderfell/core";
import type { BookStorage } from "../data/bookStorage.js";
import type { BookEntry } from "../data/registry.js";
import { exportFileName } from "../words/exportFileName.js";
import { downloadFile } from "./downloadFile.js";
import { currentDay } from "../data/today.js";

/** A whole book as a file, with the name it gets today. */
export async function bookFile(
  entry: BookEntry,
  now: Date,
): Promise<{ readonly name: string; readonly file: Blob; readonly seq: number }> {
  const { exchange } = await import("../work/exchangeClient.js");
  const { seq, file, isZip } = await exchange().file(entry.database, entry.name);
  return { name: exportFileName(entry.name, formatDay(currentDay(now)), isZip), file, seq };
}

/** Hands the whole book over as a download, and notes when. Answers the name of the file. */
export async function exportBook(
  entry: BookEntry,
  storage: Pick<BookStorage, "noteExport">,
  now: Date,
): Promise<string> {
  const { name, file, seq } = await bookFile(entry, now);
  downloadFile(file, name);
  await storage.noteExport({ seq, at: now.toISOString(), file: name });
  return name;
}
