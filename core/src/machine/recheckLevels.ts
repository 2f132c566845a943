import type { CommandContext, CommandResult } from "../book/change/command.js";
import type { KeepIssue } from "../book/change/keepRecord.js";
import type { Finding } from "../book/records/finding.js";
import type { Slice } from "../book/slice/slice.js";
import { addDays, formatDay } from "../calendar/dayNumber.js";
import { keepFinding } from "./keepFinding.js";

const KIND = "levels again";

/** The finding by which the levels of a machine are looked at again; null where none is open. */
export const levelsAgain = (findings: readonly Finding[]): Finding | null =>
  findings.find(({ kind, closed }) => kind === KIND && !closed) ?? null;

/**
 * Has all levels of a machine looked at again the next day, cold: what was hot, foaming or just filled shows its true level after a night. It is a
 * finding to be watched. Refused: what {@link keepFinding} refuses.
 */
export function recheckLevels(
  slice: Slice<"findings">,
  context: CommandContext,
): CommandResult<KeepIssue> {
  const { today } = context;
  const finding: Finding = {
    ...{ id: context.newId() as Finding["id"], machine: slice.machines[0].id, kind: KIND },
    ...{ found: formatDay(today), what: "All levels again, cold, after a night" },
    todo: "on level ground, before it is started; what has fallen leaks or is still filling",
    ...{ decision: "watch", lookOn: formatDay(addDays(today, 1)) },
  };
  return keepFinding(slice, null, finding, context);
}
