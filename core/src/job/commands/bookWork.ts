import { put } from "../../book/change/change.js";
import type { CommandContext, CommandResult } from "../../book/change/command.js";
import { failure, success } from "../../book/change/result.js";
import type { Booking } from "../../book/records/booking.js";
import type { BookingId, FindingId, TaskId } from "../../book/records/ids.js";
import type { Slice } from "../../book/slice/slice.js";
import { formatDay, type DayNumber } from "../../calendar/dayNumber.js";

/** Work that is given to others. */
export interface WorkToBook {
  readonly tasks: readonly TaskId[];
  readonly findings: readonly FindingId[];
  readonly workshop: string;
  /** When it is to be there; null where that is not agreed. */
  readonly day: DayNumber | null;
  readonly tell: string;
  readonly ask: string;
  readonly quote: number | null;
}

/** What stands in the way of booking work. */
export type BookWorkIssue =
  | { readonly code: "workshop-missing" }
  | { readonly code: "nothing-to-book" }
  | { readonly code: "task-not-found"; readonly task: string }
  | { readonly code: "quote-below-nothing" };

/** Books work with a workshop (records §5): what to tell them, what to ask for back. Refused: no workshop, nothing to be done, a task that is not the machine's, a quote below 0. */
export function bookWork(
  { machines: [machine], tasks }: Slice<"tasks">,
  input: WorkToBook,
  context: CommandContext,
): CommandResult<BookWorkIssue> {
  const workshop = input.workshop.trim();
  if (workshop === "") return failure([{ code: "workshop-missing" }]);
  const isNothing = input.tasks.length === 0 && input.findings.length === 0;
  if (isNothing && input.tell.trim() === "") return failure([{ code: "nothing-to-book" }]);
  const missing = input.tasks.find((task) => tasks.every(({ id }) => id !== task));
  if (missing !== undefined) return failure([{ code: "task-not-found", task: missing }]);
  if ((input.quote ?? 0) < 0) return failure([{ code: "quote-below-nothing" }]);
  const said = (words: string): string | null => (words.trim() === "" ? null : words.trim());
  const booking: Booking = {
    ...{ id: context.newId() as BookingId, seq: context.nextSeq(), machine: machine.id },
    ...{ date: formatDay(context.today), workshop },
    ...{ tasks: [...input.tasks], findings: [...input.findings] },
    ...(input.day === null ? {} : { day: formatDay(input.day) }),
    ...{ tell: said(input.tell), ask: said(input.ask) },
    ...(input.quote === null ? {} : { quote: input.quote }),
  };
  return success({ command: "book-work", records: [put("bookings", booking)] });
}
