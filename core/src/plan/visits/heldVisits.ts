import type { TaskId } from "../../book/records/ids.js";
import type { ChosenTurn, Visit } from "../../book/records/visit.js";
import { dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import type { MachineState } from "../../schedule/machineState.js";
import { completionsOf } from "../../schedule/taskDue.js";
import type { PlannedVisit } from "./plannedVisit.js";
import { turnKey, turnOn, type Turn } from "./turn.js";

/** How often a task was done since something was decided on. */
function timesDone(
  task: TaskId,
  { accepted, since }: { readonly accepted: string; readonly since?: number | null | undefined },
  state: MachineState,
): number {
  const from = dayOf(accepted);
  const after = since ?? -1;
  return completionsOf(state, task).filter(
    ({ day, order }) => day > from || (day === from && order > after),
  ).length;
}

/** The turn of a task that a visit names, by its number today: 0 or less once it is done; null where it names none. */
function numberNow(visit: Visit, task: TaskId, state: MachineState): number | null {
  const chosen = visit.turns?.find((one) => one.task === task);
  return chosen === undefined
    ? null
    : chosen.number - timesDone(task, decidedOn(visit, chosen), state);
}

function decidedOn(
  { accepted, since }: Visit,
  chosen: ChosenTurn,
): { readonly accepted: string; readonly since?: number | null | undefined } {
  return chosen.accepted ? { ...chosen, accepted: chosen.accepted } : { accepted, since };
}

/** The tasks of a visit whose turns in it are still to be done. */
export function undoneTasks(visit: Visit, state: MachineState): TaskId[] {
  return visit.tasks.filter((task) => {
    const number = numberNow(visit, task, state);
    return number === null ? timesDone(task, visit, state) === 0 : number > 0;
  });
}

/**
 * Visits of the book with the turns they do: each the turn it names, by its number among those of its task;
 * where it names none, the turn of its day ({@link turnOn}) among those that no visit names or an earlier one has taken.
 */
export function heldVisits(
  visits: readonly Visit[],
  state: MachineState,
  turns: readonly Turn[],
): PlannedVisit[] {
  const taken = new Set<string>();
  const take = (turn: Turn | null): Turn[] => {
    if (turn === null || taken.has(turnKey(turn))) return [];
    taken.add(turnKey(turn));
    return [turn];
  };
  const sorted = [...visits].sort((one, other) => one.date.localeCompare(other.date));
  const open = sorted.map((visit) => ({ visit, tasks: undoneTasks(visit, state) }));
  // Turns that are named are taken before any is chosen by its day.
  const named = open.map(({ visit, tasks }) =>
    tasks.flatMap((task) => {
      const number = numberNow(visit, task, state);
      return take(turns.find((turn) => turn.task === task && turn.number === number) ?? null);
    }),
  );
  return open.map(({ visit, tasks }, index) => {
    const day = dayOf(visit.date);
    const byDay = tasks
      .filter((task) => numberNow(visit, task, state) === null)
      .flatMap((task) => {
        const left = turns.filter((turn) => !taken.has(turnKey(turn)));
        return take(turnOn(left, task, day, state.today));
      });
    return heldVisit(visit, day, [...(named[index] ?? []), ...byDay], tasks, state);
  });
}

function heldVisit(
  visit: Visit,
  day: DayNumber,
  turns: readonly Turn[],
  undone: readonly TaskId[],
  state: MachineState,
): PlannedVisit {
  const covered = new Set(turns.map(({ task }) => task));
  return {
    day,
    visit,
    // In the order in which the visit lists them.
    turns: [...turns].sort(
      (one, other) => visit.tasks.indexOf(one.task) - visit.tasks.indexOf(other.task),
    ),
    others: visit.tasks.filter((task) => !covered.has(task)),
    undone: undone.filter((task) => !covered.has(task)),
    fitting: [],
    isOutside: visit.tasks.every((task) => (state.tasks.get(task)?.outside ?? null) !== null),
  };
}
