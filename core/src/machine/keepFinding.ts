import type { CommandContext, CommandResult } from "../book/change/command.js";
import { keepRecord, type KeepIssue } from "../book/change/keepRecord.js";
import { success } from "../book/change/result.js";
import type { Finding } from "../book/records/finding.js";
import type { Slice } from "../book/slice/slice.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { currentStop } from "./outOfService.js";

/** A finding as edited, with the decision that stood before among its earlier ones where another was made (records §3). */
export function decidedAgain(before: Finding | null, after: Finding, today: DayNumber): Finding {
  if (before === null || before.decision === after.decision) return after;
  const { decision, reason, decided, decidedBy, found, decisions } = before;
  const earlier = {
    ...{ on: decided ?? found, decision },
    ...(decidedBy ? { by: decidedBy } : {}),
    ...(reason ? { reason } : {}),
  };
  return { ...after, decided: formatDay(today), decisions: [...(decisions ?? []), earlier] };
}

/**
 * Keeps what was found on a machine as edited (`before`, as the person saw it, null for a new one). A decision that is
 * changed keeps the earlier one; where the verdict has become *stop*, the machine is taken out of service from the day it
 * was found, until a named person releases it (records §3, due rules §15). Refused: what {@link keepRecord} refuses.
 */
export function keepFinding(
  { machines: [machine], findings }: Slice<"findings">,
  before: Finding | null,
  after: Finding,
  context: CommandContext,
): CommandResult<KeepIssue> {
  const finding = decidedAgain(before, after, context.today);
  const kept = keepRecord(findings, "findings", before, finding);
  if (!kept.ok) return kept;
  const hasStopped = finding.verdict === "stop" && before?.verdict !== "stop" && !finding.closed;
  const change = { ...kept.value, command: before === null ? "note-finding" : "edit-finding" };
  if (!hasStopped || currentStop(machine) !== null) return success(change);
  const reason = [finding.what, finding.where].filter(Boolean).join(", ");
  const stop = {
    ...{ id: context.newId(), since: finding.found },
    ...{ reason: reason === "" ? (finding.kind ?? "something found") : reason },
    ...(finding.by ? { by: finding.by } : {}),
  };
  const stopped = { ...machine, stops: [...(machine.stops ?? []), stop] };
  const records = [
    ...kept.value.records,
    { section: "machines" as const, id: machine.id, before: machine, after: stopped },
  ];
  return success({ ...change, records });
}
