import { sortBy } from "es-toolkit";
import type { CommandResult } from "../../book/change/command.js";
import type { TaskId } from "../../book/records/ids.js";
import type { Visit } from "../../book/records/visit.js";
import { joined } from "../../book/change/command.js";
import type { Slice } from "../../book/slice/slice.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { turnKey, type Turn } from "../visits/turn.js";
import {
  acceptVisits,
  settleVisit,
  type TurnName,
  type VISIT_NEEDS,
  type VisitContext,
  type VisitIssue,
} from "../visits/visitChanges.js";
import { blocksOf, type FleetAnswer } from "./fleetAnswer.js";
import type { FleetBlock, FleetMachine, FleetOption, FleetProblem } from "./fleetProblem.js";

/** What taking a fleet plan changes in the book, of one visit. */
export interface FleetChange {
  /** A visit that is only proposed is accepted; one of the book is moved; one stays and takes work in. */
  readonly kind: "accepted" | "moved" | "takes-in";
  readonly machine: FleetMachine["machine"];
  /** The number of the last record of its log; null where it has none. */
  readonly since: number | null;
  /** The visit of the book; null where it is only proposed. */
  readonly held: Visit | null;
  /** The turns it does, and those that are taken into it beside. */
  readonly turns: readonly TurnName[];
  readonly added: readonly TurnName[];
  /** Tasks of a visit of the book that have no turn ahead and are still to be done. */
  readonly others: readonly TaskId[];
  /** Minutes of one's own work; 0 where none is estimated. */
  readonly minutes: number;
  readonly day: DayNumber;
  /** The place of its week. */
  readonly week: number;
  /** The day on which it stands in the book, or those on which the machine by itself would have its work, rising. */
  readonly stood: readonly DayNumber[];
  /** What it costs there more than at its cheapest, in the book's money. */
  readonly more: number;
}

/** What an answer changes against what is accepted, earliest first: visits of the book that stay as they are, are not among it. */
export function fleetChanges({ machines }: FleetProblem, answer: FleetAnswer): FleetChange[] {
  const changes = machines.flatMap((machine, at) => {
    const chosen = answer[at];
    if (chosen === undefined) return [];
    const alone = daysAlone(machine.options[0]);
    return blocksOf(machine, chosen).flatMap((block, index): FleetChange[] => {
      const choice = block.choices[chosen.choices[index] ?? 0];
      if (choice === undefined) return [];
      const kind = kindOf(block, choice.day);
      if (kind === null) return [];
      const least = Math.min(...block.choices.map(({ cost }) => cost));
      const days = block.turns.flatMap((turn) => alone.get(turnKey(turn)) ?? []);
      const stood = block.held === null && days.length > 0 ? sortedUnique(days) : [block.day];
      return [
        {
          ...{ kind, machine: machine.machine, since: machine.since },
          ...{ held: block.held, others: block.others, minutes: block.minutes },
          ...{ turns: block.turns.map(named), added: block.added.map(named) },
          ...{ day: choice.day, week: choice.week, stood },
          more: choice.cost - least,
        },
      ];
    });
  });
  return sortBy(changes, ["day"]);
}

const named = ({ task, number }: Turn): TurnName => ({ task, number });

const sortedUnique = (days: readonly DayNumber[]): DayNumber[] =>
  [...new Set(days)].sort((one, other) => one - other);

/** The days the machine by itself would have each turn on. */
function daysAlone(option: FleetOption | undefined): Map<string, DayNumber> {
  const blocks = option?.blocks ?? [];
  return new Map(
    blocks.flatMap(({ day, turns, added }) =>
      [...turns, ...added].map((turn) => [turnKey(turn), day] as const),
    ),
  );
}

function kindOf({ held, day, added }: FleetBlock, to: DayNumber): FleetChange["kind"] | null {
  if (held === null) return "accepted";
  if (day !== to) return "moved";
  return added.length > 0 ? "takes-in" : null;
}

/** Takes changes of a fleet plan into the book, those of one machine. Refused: a visit that was changed since, a task the machine no longer has. */
export function takeFleetChanges(
  slice: Slice<(typeof VISIT_NEEDS)[number]>,
  changes: readonly FleetChange[],
  context: Omit<VisitContext, "since">,
): CommandResult<VisitIssue> {
  const results = changes.map(({ held, turns, added, day, since }) => {
    const own: VisitContext = { ...context, since };
    if (held !== null) return settleVisit(slice, held, day, added, own);
    return acceptVisits(slice, [{ day, tasks: turns.map(({ task }) => task), turns }], own);
  });
  return joined(results, "take-fleet-plan");
}
