import type { Entry, LookAgain } from "@yonderfell/core";
import { counted, figure } from "./format.js";
import { quantityWords } from "./quantityWords.js";

const REMINDER_WORD = { raised: "raised", done: "said to be done", reset: "reset" } as const;

function afterWords({ months, days, amount }: LookAgain): string {
  if ((months ?? null) !== null) return counted(months ?? 0, "month");
  return (days ?? null) === null ? `${figure(amount ?? 0)} more` : counted(days ?? 0, "day");
}

/** What was only topped up, and how much: `topped up 1.6 L`. */
function toppedUpWords({ isTopUp, fluids }: Entry): string[] {
  if (isTopUp !== true) return [];
  const amounts = (fluids ?? []).flatMap(({ in: amount }) => (amount ? quantityWords(amount) : []));
  return [["topped up", ...amounts].join(" ")];
}

/** What an entry says beside the work done: `Brake fluid tested sound, look again in 6 months (moisture 1.1 %)`. */
function saidWords(entry: Entry, nameOf: (task: string) => string): string[] {
  const tests = (entry.lookAgain ?? []).map((one) => {
    const found = (one.found ?? "") === "" ? "" : ` (${one.found})`;
    return `${nameOf(one.task)} tested sound, look again in ${afterWords(one)}${found}`;
  });
  const wanted = (entry.wanted ?? []).map((id) => `${nameOf(id)} wanted at once`);
  const reminders = (entry.reminders ?? []).map(
    ({ code, fact }) => `reminder ${code} ${REMINDER_WORD[fact]}`,
  );
  const closed = entry.closes ?? [];
  const closes = closed.length === 0 ? [] : [`${counted(closed.length, "finding")} closed`];
  return [...toppedUpWords(entry), ...tests, ...wanted, ...reminders, ...closes];
}

/** What an entry of the log records, in a line: the work done and what else it says; empty for a mere note. */
export function entryTitle(entry: Entry, nameOf: (task: string) => string): string {
  const done = (entry.tasks ?? []).map(nameOf).join("; ");
  const assumed = done !== "" && entry.assumed === true ? " (assumed)" : "";
  return [`${done}${assumed}`, ...saidWords(entry, nameOf)]
    .filter((part) => part !== "")
    .join("; ");
}
