import {
  acceptVisits,
  addToVisit,
  leaveOut,
  moveVisit,
  pinVisit,
  splitVisit,
  type VISIT_NEEDS,
  type CommandContext,
  type CommandResult,
  type DayNumber,
  type NewVisit,
  type Slice,
  type TaskId,
  type Turn,
  type Visit,
  type VisitContext,
  type VisitIssue,
} from "@yonderfell/core";
import type { ListedVisit } from "./visitModel.js";

const tasksOf = ({ turns }: ListedVisit): TaskId[] => [...new Set(turns.map(({ task }) => task))];

/** What is read of a machine to change its visits. */
export type Slices = Slice<(typeof VISIT_NEEDS)[number]>;

/** What is done to the visits of one machine. */
export type OnMachine = (slice: Slices, context: CommandContext) => CommandResult<VisitIssue>;

const contextOf = ({ of }: ListedVisit, { today, newId }: CommandContext): VisitContext => ({
  ...{ today, newId },
  since: of.since,
});

/** A visit as it is written when it is accepted. */
function written(visit: ListedVisit, more: Partial<NewVisit> = {}): NewVisit {
  const { planned, turns } = visit;
  return { day: planned.day, tasks: tasksOf(visit), turns, ...more };
}

/** A visit that is only proposed, accepted: as one, or in parts. */
export const accepted =
  (visit: ListedVisit, ...parts: readonly Partial<NewVisit>[]): OnMachine =>
  (slice, context) =>
    acceptVisits(
      slice,
      parts.map((more) => written(visit, more)),
      contextOf(visit, context),
    );

/** What is done to a visit the book holds, or how one that is only proposed is accepted. */
const heldOr =
  (visit: ListedVisit, proposed: OnMachine, held: (seen: Visit) => OnMachine): OnMachine =>
  (slice, context) => {
    const { visit: seen } = visit.planned;
    return (seen === null ? proposed : held(seen))(slice, context);
  };

/** A visit on another day. */
export const moved = (visit: ListedVisit, day: DayNumber): OnMachine =>
  heldOr(visit, accepted(visit, { day }), (seen) => (slice) => moveVisit(slice, seen, day));

/** Some tasks of a visit in one of their own on another day. */
export function parted(visit: ListedVisit, tasks: readonly TaskId[], day: DayNumber): OnMachine {
  const stays = tasksOf(visit).filter((one) => !tasks.includes(one));
  return heldOr(
    visit,
    accepted(visit, { tasks: stays }, { tasks, day }),
    (seen) => (slice, context) => splitVisit(slice, seen, tasks, day, contextOf(visit, context)),
  );
}

/** A visit with its day settled, or left open again. */
export const pinned = (visit: ListedVisit, isPinned: boolean): OnMachine =>
  heldOr(
    visit,
    accepted(visit, { isPinned }),
    (seen) => (slice) => pinVisit(slice, seen, isPinned),
  );

/** A visit with one more task; the turn is the one meant, null where the task has none ahead. */
export const withTask = (visit: ListedVisit, task: TaskId, turn: Turn | null): OnMachine =>
  heldOr(
    visit,
    accepted(visit, {
      tasks: [...tasksOf(visit), task],
      turns: [...visit.turns, ...(turn === null ? [] : [turn])],
    }),
    (seen) => (slice, context) =>
      addToVisit(slice, seen, task, turn?.number ?? null, contextOf(visit, context)),
  );

/** A visit without a task, which is not proposed for it again. */
export const withoutTask = (visit: ListedVisit, task: TaskId): OnMachine =>
  heldOr(
    visit,
    accepted(visit, { tasks: tasksOf(visit).filter((other) => other !== task), without: [task] }),
    (seen) => (slice) => leaveOut(slice, seen, task),
  );
