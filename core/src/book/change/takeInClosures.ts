import type { Closure } from "../records/booking.js";
import type { ClosureId } from "../records/ids.js";
import type { CommandContext, CommandResult } from "./command.js";
import { success } from "./result.js";

/** Days on which the workshop is closed, as a calendar names them: ISO days, the last one included. */
export interface CalendarDays {
  readonly from: string;
  readonly to: string;
  readonly reason: string | null;
}

/** Those of some days that no closure of the whole workshop has yet: same first and last day. */
export function newClosures(
  held: readonly Closure[],
  days: readonly CalendarDays[],
): readonly CalendarDays[] {
  const known = new Set(
    held.filter(({ what }) => what === "workshop").map(({ from, to }) => `${from} ${to}`),
  );
  return days.filter(({ from, to }) => {
    const key = `${from} ${to}`;
    if (known.has(key)) return false;
    known.add(key);
    return true;
  });
}

/** Closes the workshop on some days, but for those on which it is already: nothing is doubled by bringing a calendar in twice. */
export function takeInClosures(
  { closures }: { readonly closures: readonly Closure[] },
  days: readonly CalendarDays[],
  { newId }: Pick<CommandContext, "newId">,
): CommandResult<never> {
  const records = newClosures(closures, days).map(({ from, to, reason }) => {
    const id = newId() as ClosureId;
    const after: Closure = {
      id,
      from,
      to,
      what: "workshop",
      ...(reason === null ? {} : { reason }),
    };
    return { section: "closures" as const, id, before: null, after };
  });
  return success({ command: "take-in-closures", records });
}
