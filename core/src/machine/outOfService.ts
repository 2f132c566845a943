import type { Change } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import type { Machine } from "../book/records/machine.js";
import type { Slice } from "../book/slice/slice.js";
import { failure, success } from "../book/change/result.js";
import type { Stop } from "../book/records/service.js";
import { dayOf, formatDay, type DayNumber } from "../calendar/dayNumber.js";

/** What stands in the way of taking a machine out of service or releasing it. */
export type ServiceIssue =
  | { readonly code: "reason-missing" }
  | { readonly code: "name-missing" }
  | { readonly code: "done-missing" }
  | { readonly code: "day-in-future" }
  | { readonly code: "before-it-stopped"; readonly since: DayNumber }
  | { readonly code: "out-of-service-already" }
  | { readonly code: "in-service-already" };

/** The stop that keeps a machine out of service, or null where it is in service. */
export function currentStop(machine: Machine): Stop | null {
  return (machine.stops ?? []).find((stop) => (stop.released ?? null) === null) ?? null;
}

function edited(machine: Machine, stops: readonly Stop[], command: string): Change {
  const after = { ...machine, stops: [...stops] };
  return { command, records: [{ section: "machines", id: machine.id, before: machine, after }] };
}

/** Takes a machine out of service from a day on. Refused: no reason, no name, a day to come, and where it is out of service already. */
export function takeOutOfService(
  { machines: [machine] }: Slice,
  input: { readonly since: DayNumber; readonly reason: string; readonly by: string },
  context: CommandContext,
): CommandResult<ServiceIssue> {
  const reason = input.reason.trim();
  const by = input.by.trim();
  if (currentStop(machine) !== null) return failure([{ code: "out-of-service-already" }]);
  if (reason === "") return failure([{ code: "reason-missing" }]);
  if (by === "") return failure([{ code: "name-missing" }]);
  if (input.since > context.today) return failure([{ code: "day-in-future" }]);
  const stop = { id: context.newId(), since: formatDay(input.since), reason, by };
  return success(edited(machine, [...(machine.stops ?? []), stop], "take-out-of-service"));
}

/** Releases a machine for service. Refused: no name, nothing said of what was done, a day to come or before it stopped, and where it is in service. */
export function releaseForService(
  { machines: [machine] }: Slice,
  input: { readonly on: DayNumber; readonly by: string; readonly done: string },
  context: CommandContext,
): CommandResult<ServiceIssue> {
  const current = currentStop(machine);
  if (current === null) return failure([{ code: "in-service-already" }]);
  const by = input.by.trim();
  const done = input.done.trim();
  if (by === "") return failure([{ code: "name-missing" }]);
  if (done === "") return failure([{ code: "done-missing" }]);
  if (input.on > context.today) return failure([{ code: "day-in-future" }]);
  const since = dayOf(current.since);
  if (input.on < since) return failure([{ code: "before-it-stopped", since }]);
  const released = { on: formatDay(input.on), by, done };
  const stops = (machine.stops ?? []).map((stop) =>
    stop.id === current.id ? { ...stop, released } : stop,
  );
  return success(edited(machine, stops, "release-for-service"));
}
