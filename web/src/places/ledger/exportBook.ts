import { formatDay } from "@yonderfell/core";
import { currentDay } from "../../app/today.js";
import type { BookStorage } from "../../data/bookStorage.js";

const KEEP_ADDRESS_MS = 60_000;
const UNSAFE = /[^\p{L}\p{N}]+/gu;

/** The name of a book's file: `Skarrow-Vale-2026-11-23.yonderfell.json`. */
export function exportFileName(bookName: string, date: string): string {
  const safe = bookName.replace(UNSAFE, "-").replace(/^-|-$/g, "");
  return `${safe === "" ? "book" : safe}-${date}.yonderfell.json`;
}

/** Hands the whole book over as a file, and notes when. Answers the name of the file. */
export async function exportBook(
  storage: BookStorage,
  bookName: string,
  now: Date,
): Promise<string> {
  const seq = await storage.lastSeq();
  const text = `${JSON.stringify(await storage.everything(), null, 1)}\n`;
  const at = now.toISOString();
  const name = exportFileName(bookName, formatDay(currentDay(now)));
  const address = URL.createObjectURL(new Blob([text], { type: "application/json" }));
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
  // The browser reads the file after this call returns, so its address is given up only later.
  setTimeout(() => URL.revokeObjectURL(address), KEEP_ADDRESS_MS);
  await storage.noteExport({ seq, at });
  return name;
}
