import type { Visit } from "../../book/records/visit.js";
import { daysBetween, type DayNumber } from "../../calendar/dayNumber.js";
import {
  costOfVisiting,
  groupByDay,
  placeTurns,
  type PlacedTurns,
  type ToPlan,
} from "../visits/planMachine.js";
import type { PlannedVisit } from "../visits/plannedVisit.js";
import { closedOn, mondayOf } from "../visits/spareDays.js";
import { isAllowed, turnKey, type Turn } from "../visits/turn.js";
import { visitCostOn } from "../visits/visitCost.js";
import type { FleetBlock, FleetOption, WeekChoice } from "./fleetProblem.js";

const DAYS_A_WEEK = 7;

/** A block before it is known what it draws on. */
export type BareBlock = Omit<FleetBlock, "uses">;
/** A way of bringing work together, before it is known what it draws on. */
export interface BareOption {
  readonly blocks: readonly BareBlock[];
}

/** The ways of bringing the work of one machine together, each found once. */
export class MachineOptions {
  private readonly whole: PlacedTurns;
  /** The turns with the days they may be done on, by name. */
  private readonly windows: ReadonlyMap<string, Turn>;
  private readonly first: DayNumber;
  /** The turns that are done. */
  private readonly all: string;

  constructor(private readonly given: ToPlan) {
    this.whole = placeTurns(given);
    this.windows = new Map(
      this.whole.fitted.flatMap(({ turn, fitted }) =>
        fitted === null ? [] : [[turnKey(turn), fitted] as const],
      ),
    );
    this.first = mondayOf(given.state.today);
    this.all = turnsIn(this.alone());
  }

  /** The cheapest way for the machine by itself. */
  alone(): BareOption {
    return this.optionOf(this.whole);
  }

  /** The cheapest way with nothing new proposed in some weeks; null where work is then left over, or comes on a day it may not. */
  without(weeks: ReadonlySet<number>): BareOption | null {
    const found = placeTurns(this.given, (day) => !weeks.has(this.weekOf(day)));
    const isKept = found.placed.every(({ turn, day, visit }) => {
      const window = this.windows.get(turnKey(turn));
      return visit !== null || (window !== undefined && isAllowed(window, day));
    });
    const option = isKept ? this.optionOf(found) : null;
    return option !== null && turnsIn(option) === this.all ? option : null;
  }

  private weekOf(day: DayNumber): number {
    return Math.floor(daysBetween(this.first, day) / DAYS_A_WEEK);
  }

  /** Work for others takes none of one's own hours, and is not shared out; nor is what is accepted for later than is looked at. */
  private optionOf({ held, placed }: PlacedTurns): BareOption {
    const { until } = this.given;
    const own = held.filter(({ isOutside, day }) => !isOutside && day <= until);
    const fresh = groupByDay(placed.filter(({ visit }) => visit === null));
    return {
      blocks: [
        ...own.map((one) =>
          this.heldBlock(
            one,
            placed.flatMap(({ turn, visit }) => (visit === one ? [turn] : [])),
          ),
        ),
        ...fresh.filter(({ isOutside }) => !isOutside).map((one) => this.freshBlock(one)),
      ],
    };
  }

  private freshBlock({ day, turns }: PlannedVisit): BareBlock {
    const windows = turns.map((turn) => this.windows.get(turnKey(turn)) ?? turn);
    const choices = this.choices(turns, windows, day, "stays");
    const minutes = minutesOf(turns);
    return { held: null, turns, added: [], others: [], day, minutes, choices };
  }

  /** What is accepted is moved only where hours ask for it: elsewhere it costs at least what it costs where it stands. */
  private heldBlock(
    { day, visit, turns, undone }: PlannedVisit,
    added: readonly Turn[],
  ): BareBlock {
    const { state, planning } = this.given;
    const all = [...turns, ...added];
    const windows = [...turns, ...added.map((turn) => this.windows.get(turnKey(turn)) ?? turn)];
    const more = undone.reduce((sum, id) => sum + (state.tasks.get(id)?.minutes ?? 0), 0);
    const isShut = !isPinned(visit) && closedOn(planning, day)?.code === "closed";
    const found = this.choices(all, windows, day, isShut ? "goes" : "stays");
    const stays = this.costOn(all, day);
    const choices = isPinned(visit)
      ? [{ week: this.weekOf(day), day, cost: stays }]
      : found.map((one) => ({ ...one, cost: Math.max(one.cost, isShut ? 0 : stays) }));
    const minutes = minutesOf(all) + more;
    return { held: visit, turns, added, others: undone, day, minutes, choices };
  }

  private costOn(turns: readonly Turn[], day: DayNumber): number {
    const { planning, state } = this.given;
    return visitCostOn(turns, day, costOfVisiting(state.machine, planning), planning).total;
  }

  /** The cheapest day of each week on which all of some turns may be done; in its own week a block stays on its day. */
  private choices(
    turns: readonly Turn[],
    windows: readonly Turn[],
    on: DayNumber,
    own: "stays" | "goes",
  ): WeekChoice[] {
    const { spare } = this.whole;
    const weeks = new Map<number, WeekChoice>();
    for (const day of spare) {
      if (!windows.every((turn) => isAllowed(turn, day))) continue;
      const week = this.weekOf(day);
      const cost = this.costOn(turns, day);
      const known = weeks.get(week);
      if (known === undefined || cost < known.cost) weeks.set(week, { week, day, cost });
    }
    const week = this.weekOf(on);
    if (own === "stays" || weeks.size === 0) {
      weeks.set(week, { week, day: on, cost: this.costOn(turns, on) });
    }
    return [...weeks.values()].sort((one, other) => one.week - other.week);
  }
}

/** The turns that a way does, by name. */
function turnsIn({ blocks }: BareOption): string {
  const turns = blocks.flatMap(({ turns: own, added }) => [...own, ...added]);
  return turns.map(turnKey).sort().join("|");
}

const isPinned = (visit: Visit | null): boolean => visit?.pinned === true;

const minutesOf = (turns: readonly Turn[]): number =>
  turns.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0);

/** The same turns on the same days: one way and not two. */
export function optionKey({ blocks }: BareOption | FleetOption): string {
  return blocks
    .map(({ held, day, turns, added }) =>
      [held?.id ?? "", day, ...[...turns, ...added].map(turnKey).sort()].join(" "),
    )
    .sort()
    .join("|");
}
