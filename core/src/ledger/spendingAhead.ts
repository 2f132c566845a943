import type { Book } from "../book/file/book.js";
import type { Finding } from "../book/records/finding.js";
import type { MachineId } from "../book/records/ids.js";
import { settingsOf, type Settings } from "../book/records/settings.js";
import { recordsByMachine, type MachineRecords } from "../book/slice/machineRecords.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { occurrences } from "../plan/occurrences.js";
import { openFindings } from "../schedule/findingsDue.js";
import { reckonTask } from "../schedule/reckonTask.js";
import { machineState } from "../schedule/reckonMachine.js";
import { taskNeeds, type NeedsSource, type TaskNeeds } from "../stores/taskNeeds.js";
import { monthOf, monthsBetween } from "./months.js";
import { needsSources } from "./needsSources.js";

/** What turns will cost, as far as it is known. */
export interface AheadCost {
  readonly turns: number;
  readonly parts: number;
  readonly fluids: number;
  readonly work: number;
  /** Of what is known. */
  readonly total: number;
  /** Turns of which something has no figure: capacity, product, price, minutes or rate. */
  readonly incomplete: number;
}

/** What some work that waits will cost. */
export interface WaitingCost {
  readonly jobs: number;
  readonly cost: number;
  /** Without any figure of what it will cost. */
  readonly without: number;
}

/** What the due rules ask for in the months ahead, in money, and the sum that waits. */
export interface SpendingAhead {
  /** Every month from today's to that of the last day asked for. */
  readonly months: readonly (AheadCost & { readonly month: string })[];
  /** The dearest first; machines without a turn are left out. */
  readonly machines: readonly (AheadCost & { readonly machine: MachineId })[];
  readonly sum: AheadCost;
  readonly waiting: {
    /** Tasks past their limit and grace. */
    readonly overdue: WaitingCost;
    /** Open findings: to be put right, watched, and declined. */
    readonly toDo: WaitingCost;
    readonly watched: WaitingCost;
    readonly declined: WaitingCost;
  };
}

interface TurnAhead {
  readonly machine: MachineId;
  readonly month: string;
  readonly needs: TaskNeeds;
}

const costOf = ({ parts, fluids, labour }: TaskNeeds): number => parts + fluids + labour;

function aheadCost(turns: readonly TurnAhead[]): AheadCost {
  const sum = { parts: 0, fluids: 0, work: 0, incomplete: 0 };
  for (const { needs } of turns) {
    sum.parts += needs.parts;
    sum.fluids += needs.fluids;
    sum.work += needs.labour;
    sum.incomplete += Number(needs.missing.length > 0);
  }
  return { turns: turns.length, ...sum, total: sum.parts + sum.fluids + sum.work };
}

const MINUTES_AN_HOUR = 60;

/** What a finding will cost: as it says, else its minutes at the rate; null where it says neither. */
function findingCost({ cost, minutes }: Finding, rate: number | null): number | null {
  if (cost !== null && cost !== undefined) return cost;
  if (minutes === null || minutes === undefined || rate === null) return null;
  return (minutes / MINUTES_AN_HOUR) * rate;
}

function waitingCost(costs: readonly (number | null)[]): WaitingCost {
  return {
    jobs: costs.length,
    cost: costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0),
    without: costs.filter((cost) => cost === null).length,
  };
}

/** What is gathered machine by machine. */
interface Gathered {
  readonly turns: TurnAhead[];
  readonly overdue: (number | null)[];
  readonly findings: { readonly decision: Finding["decision"]; readonly cost: number | null }[];
}

function gather(
  into: Gathered,
  records: MachineRecords,
  source: NeedsSource,
  { settings, today, until }: { settings: Settings; today: DayNumber; until: DayNumber },
): void {
  const state = machineState(records, settings, today);
  const needs = new Map(records.tasks.map((task) => [task.id, taskNeeds(task, source)]));
  for (const { task, day } of occurrences(state, until)) {
    const own = needs.get(task);
    if (own === undefined) continue;
    into.turns.push({ machine: records.machine.id, month: monthOf(formatDay(day)), needs: own });
  }
  for (const task of records.tasks) {
    if (reckonTask(task, state, settings).status !== "overdue") continue;
    const own = needs.get(task.id);
    const cost = own === undefined ? 0 : costOf(own);
    into.overdue.push(cost === 0 && own?.missing.length !== 0 ? null : cost);
  }
  for (const finding of openFindings(records, today)) {
    into.findings.push({ decision: finding.decision, cost: findingCost(finding, source.rate) });
  }
}

/**
 * What the turns of a book's tasks from `today` up to and with `until` will cost by month and machine, were each done on
 * the day it falls due (what is due already: today), and what waits: overdue tasks and open findings. Parts at their
 * cheapest source, fluids by the plate's working capacities, minutes at the mean rate of those who are there; nothing that
 * is not recorded is guessed, and how many turns lack a figure is told.
 *
 * @param machine the one machine it is asked of; null for all.
 */
export function spendingAhead(
  book: Book,
  {
    today,
    until,
    machine = null,
  }: { today: DayNumber; until: DayNumber; machine?: MachineId | null },
): SpendingAhead {
  const settings = settingsOf(book);
  const sourceOf = needsSources(book, today);
  const all: Gathered = { turns: [], overdue: [], findings: [] };
  for (const records of recordsByMachine(book).values()) {
    if (machine === null || records.machine.id === machine) {
      gather(all, records, sourceOf(records), { settings, today, until });
    }
  }
  const { turns, overdue, findings } = all;
  const costsOf = (...decisions: Finding["decision"][]): (number | null)[] =>
    findings.filter(({ decision }) => decisions.includes(decision)).map(({ cost }) => cost);
  const machines = [...new Set(turns.map((turn) => turn.machine))];
  return {
    months: monthsBetween([monthOf(formatDay(today)), monthOf(formatDay(until))]).map((month) => ({
      ...{ month, ...aheadCost(turns.filter((turn) => turn.month === month)) },
    })),
    machines: machines
      .map((id) => ({ machine: id, ...aheadCost(turns.filter((turn) => turn.machine === id)) }))
      .toSorted((one, other) => other.total - one.total),
    sum: aheadCost(turns),
    waiting: {
      overdue: waitingCost(overdue),
      toDo: waitingCost(costsOf("now", "next visit")),
      watched: waitingCost(costsOf("watch")),
      declined: waitingCost(costsOf("declined")),
    },
  };
}
