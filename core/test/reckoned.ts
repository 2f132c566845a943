import { bookOf, done, read, type BookParts } from "./books.js";
import { dayOf, formatDay } from "../src/calendar/dayNumber.js";
import type { LimitReckoning } from "../src/schedule/limitReckoning.js";
import { reckonBook } from "../src/schedule/reckonBook.js";
import type { TaskReckoning } from "../src/schedule/reckonTask.js";

/** A task of the van as reckoned on a day. */
export function reckon(parts: BookParts, id = "t", on = "2026-11-23"): TaskReckoning {
  const machine = reckonBook(bookOf(parts), dayOf(on))[0];
  const found = machine?.tasks.find((candidate) => candidate.task.id === id);
  if (found === undefined) throw new Error(`no task ${id}`);
  return found;
}

/** Where a limit counts from and is due, as a person would write it. */
export function fromAndDue(limit: LimitReckoning | undefined): string {
  if (limit === undefined) return "no limit";
  if (limit.kind !== "calendar") return `${limit.from} → ${limit.dueAt}`;
  const words = [limit.from, limit.dueOn].map((day) => (day === null ? "null" : formatDay(day)));
  return words.join(" → ");
}

/** A reading of so much life. */
export const at = (life: number): readonly object[] => [read("2026-11-20", life)];
/** The task done at so much life. */
export const doneAt = (life: number, date = "2026-06-01"): readonly object[] => [
  done("e", date, ["t"], { meters: { odo: life } }),
];
