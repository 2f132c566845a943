import type { TracedEntry } from "../work/tracer.js";
import { tracer } from "../work/traceClient.js";
import { lostNotice, roomWords, STILL_WRITTEN, traceFailureWords } from "../words/traceWords.js";
import { lastFile } from "./lastFile.js";
import { lostBooks } from "./lostBooks.js";
import { notifyFailure } from "./notify.js";

/** A save waits so long for its second trace, which takes some milliseconds, and seconds where a large book is traced for the first time: a guard against a disk that never answers. */
const PATIENCE_MS = 20_000;

const patience = (): Promise<null> =>
  new Promise((resolve) => setTimeout(() => resolve(null), PATIENCE_MS));

/** Brings the second trace of a book up to what was just saved; where that could not be done, that is told in place of *saved*. Answers whether it is done. */
export async function keepTrace(entry: TracedEntry): Promise<boolean> {
  const state = await Promise.race([tracer().keep(entry), patience()]);
  const words = state === null ? STILL_WRITTEN : traceFailureWords(state);
  if (words !== "") notifyFailure(state?.code === "gone" ? `${words} ${lastFile()}` : words);
  return words === "" || state?.code === "kept";
}

/** Begins the second trace of a book that was opened, or goes on with it, and tells where the disk has no room. */
export async function beginTrace(entry: TracedEntry): Promise<void> {
  await tracer().name(entry);
  const words = traceFailureWords(await tracer().keep(entry));
  if (words !== "") notifyFailure(words);
  const lost = await lostBooks();
  if (lost.length > 0) notifyFailure(lostNotice(lost.map(({ name }) => name)));
  const room = roomWords(await tracer().room());
  if (room !== "") notifyFailure(room);
}
