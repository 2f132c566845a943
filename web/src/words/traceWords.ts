import type { Permitted, Room, TraceState } from "../data/trace/traceState.js";
import type { LostBook } from "../data/trace/traces.js";
import { countsWords } from "./bookWords.js";
import { counted, momentWords } from "./format.js";
import { errorWords } from "./errorWords.js";

/** What is told where the database or the second trace of a book did not hold what was saved; empty where both do, or where this browser has no trace. */
export function traceFailureWords(state: TraceState): string {
  switch (state.code) {
    case "kept":
      return state.putBack === 0
        ? ""
        : `The browser’s database had lost the last ${counted(state.putBack, "change")} of this book; its second trace had kept them, and they stand in the book again.`;
    case "none":
      return "";
    case "gone":
      return "This book is not in this browser any more: its storage was cleared, or the browser lost it. Books offers it back if its second trace is left.";
    case "failed":
      return doubtWords(Object.assign(new Error(state.message), { name: state.name }));
  }
}

/** What is told in place of *saved* where the second trace could not be written. */
export const doubtWords = (error: unknown): string =>
  `${IN_DOUBT}: it stands in the book’s database alone, because its second trace could not be written: ${errorWords(error)}. Export the book once there is room.`;

/** What stands in place of *saved* where something was written; why, a notice says. */
export const IN_DOUBT = "Not saved for certain";

/** What is told in place of *saved* where the second trace takes its time. */
export const STILL_WRITTEN =
  "It stands in the book’s database; its second trace is still being written.";

/** What is told where books can be had back. */
export const lostNotice = (names: readonly string[]): string =>
  `What was saved in ${names.join(" and ")} was lost in this browser’s database and is kept in a second trace. Go to Books to have it back.`;

/** How the second trace of the open book stands. */
function traceWords(state: TraceState, bytes: number | null): string {
  if (state.code === "none") {
    return "This browser has no private files for this site: what is saved stands in its database alone. Export it oftener.";
  }
  if (state.code !== "kept") return traceFailureWords(state);
  return `All that is saved stands in this browser twice: in its database, and in a second trace outside it (${sizeWords(bytes ?? 0)}).`;
}

/** Less room than this, in bytes, is told of. */
const LITTLE = 50_000_000;
const KILOBYTE = 1000;

/** A size of storage: `12 kB`, `3.4 MB`. */
function sizeWords(bytes: number): string {
  const kilobytes = Math.max(1, Math.round(bytes / KILOBYTE));
  if (kilobytes < KILOBYTE) return `${kilobytes} kB`;
  const megabytes = kilobytes / KILOBYTE;
  return megabytes < KILOBYTE
    ? `${megabytes.toFixed(1)} MB`
    : `${(megabytes / KILOBYTE).toFixed(1)} GB`;
}

/** What is told where the disk has no room; empty where it has. */
export function roomWords({ isFull, left }: Room): string {
  const free = "Free some space on the device, and export the book to somewhere else meanwhile.";
  if (isFull)
    return `There is hardly any room left on this disk: what you save may not be kept. ${free}`;
  if (left !== null && left < LITTLE)
    return `Only ${sizeWords(left)} are left for this site. ${free}`;
  return "";
}

/** What a browser does with what is stored, and whether that is well. */
export interface StorageLine {
  readonly words: string;
  readonly isWell: boolean;
}

/** Whether a browser has promised to keep what is stored. */
const promiseLine = (isPersisted: boolean): StorageLine => ({
  words: isPersisted
    ? "The browser has promised to keep it until you clear it."
    : "The browser may clear it away when the device runs short of space: it has made no promise.",
  // Usual, and no fault: browsers promise it only to sites that are used much or installed.
  isWell: true,
});

/** What a browser was found to permit before any book is there. */
export function permittedWords({
  refused,
  hasPrivateFiles,
  room,
  isPersisted,
}: Permitted & { readonly isPersisted: boolean }): readonly StorageLine[] {
  if (refused !== null) {
    const why = errorWords(Object.assign(new Error(refused.message), { name: refused.name }));
    return [{ words: `Nothing can be kept here: ${why}.`, isWell: false }];
  }
  const twice = hasPrivateFiles
    ? "What you save will stand in this browser twice: in its database, and in a second trace outside it."
    : "What you save will stand in this browser’s database alone, for it has no private files for this site. Export it oftener.";
  const full = roomWords(room);
  return [
    { words: twice, isWell: hasPrivateFiles },
    promiseLine(isPersisted),
    ...(full === "" ? [] : [{ words: full, isWell: false }]),
  ];
}

/** What this browser was found to do with a book, and whether that is well. */
export function storageWords({
  state,
  bytes,
  room,
  isPersisted,
}: {
  readonly state: TraceState;
  readonly bytes: number | null;
  readonly room: Room;
  readonly isPersisted: boolean;
}): readonly StorageLine[] {
  const full = roomWords(room);
  return [
    { words: traceWords(state, bytes), isWell: state.code === "kept" },
    promiseLine(isPersisted),
    ...(full === "" ? [] : [{ words: full, isWell: false }]),
  ];
}

/** What a lost book holds, when its last change was made, and what it is where the book itself is here. */
export function lostWords({
  counts,
  endedAt,
  isAside,
}: Pick<LostBook, "counts" | "endedAt" | "isAside">): string {
  const { machines, tasks, entries, readings, ...others } = counts;
  const more = Object.values(others).reduce((sum, count) => sum + count, 0);
  const held = countsWords({ machines, tasks, entries, readings } as LostBook["counts"]);
  const rest = more === 0 ? "" : ` and ${counted(more, "other record")}`;
  const ended = endedAt === "" ? "not changed since" : `last changed ${momentWords(endedAt)}`;
  const aside = isAside ? " The book is here too, without what was saved last." : "";
  return `${held}${rest}, ${ended}.${aside}`;
}
