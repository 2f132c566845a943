import {
  type DayNumber,
  type FleetChange,
  type FleetTold,
  type FleetWeek,
  type Freeing,
  type FullFleetWeek,
  type Pool,
  type TaskId,
  type UnmetNeed,
} from "@yonderfell/core";
import { counted, figure, fullDate } from "../../../words/format.js";
import { hoursWords, moreCost, roundMoney, weekdayDate } from "../../../words/visitWords.js";
import type { FleetPlanning } from "./fleetPlanning.js";

/** What the ids of people and bays stand for. */
export type NameOf = (id: string) => string;

/** How far the search is, in one line. */
export function phaseWords({ phase, prepared, told, reason }: FleetPlanning): string {
  switch (phase) {
    case "preparing":
      return `Planning each machine by itself: ${figure(prepared * 100)} % done.`;
    case "searching":
      return told === null ? "Sharing the weeks." : "Looking for better weeks.";
    case "stopped":
      return told === null
        ? "Stopped before there was a plan."
        : "Stopped: the best that was found.";
    case "failed":
      return `It could not be planned: ${reason}.`;
    case "done":
      return reason === ""
        ? ""
        : `The solver could not be loaded: ${reason}. These are the best weeks found without it.`;
  }
}

/** What matters first of a plan: `Every week holds what the plan puts into it. 27 visits of 14 machines.` */
export function headWords({ full, machines, changes, stays }: FleetTold): string {
  const weeks =
    full.length === 0
      ? "Every week holds what the plan puts into it."
      : `${counted(full.length, "week")} cannot hold all.`;
  const visits = counted(changes.length + stays, "visit");
  return `${weeks} ${visits} of ${counted(machines, "machine")}.`;
}

/** A week of the ridge, read out. */
export function ridgeWords({ monday, there, alone, planned }: FleetWeek, today: DayNumber): string {
  const of = there === null ? "" : ` of ${hoursWords(there)} there are`;
  return `Week of ${weekdayDate(monday, today)}: ${hoursWords(planned)} by the plan${of}, ${hoursWords(alone)} were each machine by itself`;
}

/** What changes of a week stand under: `Week of Mon 7 Dec, 7.4 h of 10 h`. */
export function weekTitle({ monday, there, planned }: FleetWeek, today: DayNumber): string {
  const of = there === null ? "" : ` of ${hoursWords(there)}`;
  return `Week of ${weekdayDate(monday, today)}, ${hoursWords(planned)}${of}`;
}

/** How good a plan is: `It costs 430 cr more than if each machine had the shed to itself, within 1.2 % of the least there can be.` */
export function costWords({ cost, gap, bound }: FleetTold, currency: string): string {
  if (cost.sharing < 0.005) return "Every machine has its own best days: sharing costs nothing.";
  const more = `Sharing the weeks costs ${roundMoney(cost.sharing, currency)} more than if each machine had the shed to itself`;
  const over =
    cost.over < 0.005 ? "" : `, ${roundMoney(cost.over, currency)} of it the price of hours over`;
  return `${more}${over}; ${gapWords(gap, bound)}.`;
}

/** How near to the least a plan is. */
function gapWords(gap: number | null, bound: number): string {
  if (gap === null || bound <= 0) return "how near to the least that is, is not known yet";
  if (gap < 0.0005) return "there is no cheaper way";
  return `within ${figure(gap * 100, 1)} % of the least there can be`;
}

/** What an hour more in a week would save. */
export function worthWords(worth: number, currency: string): string {
  return worth < 0.5
    ? "There are hours enough in this week: one more would save nothing."
    : `An hour more in this week would save about ${roundMoney(worth, currency)}.`;
}

/** How many visits are accepted, moved and added to: `12 visits to accept, 3 to move`. */
export function changesWords(changes: readonly FleetChange[]): string {
  const count = (kind: FleetChange["kind"]): number =>
    changes.filter((one) => one.kind === kind).length;
  const [accepted, moved, more] = [count("accepted"), count("moved"), count("takes-in")];
  return [
    ...(accepted > 0 ? [`${counted(accepted, "visit")} to accept`] : []),
    ...(moved > 0 ? [`${figure(moved)} to move`] : []),
    ...(more > 0 ? [`${figure(more)} to take more work in`] : []),
  ].join(", ");
}

/** How many visits of the book stay as they are. */
export function staysWords(count: number): string {
  if (count === 0) return "no other visit is in the book";
  return count === 1
    ? "1 visit of the book stays as it is"
    : `${figure(count)} visits of the book stay as they are`;
}

/** What becomes of a visit: `moved from Mon 7 Dec`, `by itself on Mon 7 Dec`. */
export function changeWords({ kind, stood, day, added }: FleetChange, today: DayNumber): string {
  const more = added.length > 0 ? `takes in ${counted(added.length, "turn")}` : "";
  if (kind === "takes-in") return more;
  const days = stood.map((one) => weekdayDate(one, today)).join(" and ");
  if (kind === "moved") return [`moved from ${days}`, more].filter(Boolean).join(", ");
  return stood.every((one) => one === day) ? "on its own best day" : `by itself on ${days}`;
}

/** What the day of a change costs more than its cheapest; empty where that is nothing. */
export function changeMoreWords({ more }: FleetChange, currency: string): string {
  return more < 0.005 ? "" : moreCost(more, currency);
}

/** Whose hours a pool has: `people`, `bays`, `people who can gas: AB, CD`. */
function poolWords(pool: Pool, nameOf: NameOf): string {
  const { of, isWhole, who, needs } = pool;
  if (isWhole) return of === "people" ? "people" : "bays";
  const names = who.map(nameOf).join(", ");
  if (needs.length === 0) return names;
  return `${names} (${needs.join(", ")})`;
}

/** By how much a week is too full: `12 h over for people, 3 h for the pit`. */
export function overWords({ over }: FullFleetWeek, pools: readonly Pool[], nameOf: NameOf): string {
  return over
    .flatMap(({ pool, hours }) => {
      const own = pools[pool];
      return own === undefined
        ? []
        : [`${hoursWords(hours)} more than ${poolWords(own, nameOf)} have`];
    })
    .join("; ");
}

/** So many machines of a week are named. */
const MOST_NAMED = 8;

/** Which machines are worked on in a week: `In it: 07, 12 and 3 more machines.` */
export function inItWords({ machines }: FullFleetWeek): string {
  const more = machines.length - MOST_NAMED;
  const tags = machines.slice(0, MOST_NAMED).map(({ tag }) => tag);
  return `In it: ${tags.join(", ")}${more > 0 ? ` and ${counted(more, "more machine")}` : ""}.`;
}

/** What would make room in a week. */
export function freeingWords(
  free: Freeing,
  pools: readonly Pool[],
  names: { readonly hand: NameOf; readonly task: (task: TaskId) => string },
  today: DayNumber,
  currency: string,
): string {
  switch (free.code) {
    case "day":
      return `Working on ${weekdayDate(free.day, today)} too (${hoursWords(free.hours)}) saves at least ${roundMoney(free.saves, currency)}.`;
    case "bay":
      return `One bay more for the week (${hoursWords(free.hours)}) saves at least ${roundMoney(free.saves, currency)}.`;
    case "hours": {
      const pool = pools[free.pool];
      const whose = pool === undefined ? "" : ` of ${poolWords(pool, names.hand)}`;
      return `${hoursWords(free.hours)} more${whose} free it whole; the plan prices them at ${roundMoney(free.price, currency)}.`;
    }
    case "slip":
      return `${names.task(free.task)} on ${free.machine.tag} must be done by ${fullDate(free.end)} and has no other week: ${hoursWords(free.hours)}. Only whoever set that date can let it slip.`;
  }
}

/** Work that nobody there can do, or that no bay takes. */
export function unmetWords(
  { machine: { tag }, of, needs, tasks }: UnmetNeed,
  nameOf: (task: TaskId) => string,
): string {
  const work = tasks.map(nameOf).join(", ");
  const what = needs.join(", ");
  return of === "people"
    ? `${work} on ${tag} needs ${what}, which nobody here has.`
    : `${work} on ${tag} needs a bay for ${what}, and none takes that.`;
}
