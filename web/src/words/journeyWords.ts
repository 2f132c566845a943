import {
  addDays,
  dayOf,
  daysBetween,
  type DayNumber,
  type FluidAlong,
  type Journey,
  type JourneyIssue,
  type JourneyPlan,
  type JourneyRun,
  type JourneyTask,
  type LimitOnJourney,
  type Meter,
  type MeterId,
  type OilOnJourney,
  type PartAlong,
} from "@yonderfell/core";
import {
  amount,
  counted,
  dateRange,
  dialFigureWithUnit,
  figure,
  NBSP,
  shortDate,
} from "./format.js";
import { ruleWords } from "./ruleWords.js";
import { degrees } from "./plateWords.js";
import { asTyped } from "./quantityWords.js";
import { roundMoney, weekdayDate } from "./visitWords.js";
import { distanceShown } from "./writing.js";

const meterCalled = ({ name, measure }: Meter): string =>
  name ?? (measure === "hours" ? "hour meter" : "odometer");

/** An amount on a meter, in the unit this person reads distances in. */
function runWords(value: number, { unit }: Meter): string {
  const shown = distanceShown(value, unit);
  return amount(shown.value, shown.unit);
}

/** When a journey is and how far it goes: `3–12 Dec, 10 days, 1 400 km, heavy load, down to −12 °C`. */
export function journeyLine(journey: Journey, meters: readonly Meter[], today: DayNumber): string {
  const early = dayOf(journey.date);
  const late = addDays(early, journey.days - 1);
  const meter = meters.find(({ id }) => id === journey.meter);
  const run = meter === undefined || !journey.amount ? "" : runWords(journey.amount, meter);
  return [
    dateRange({ early, likely: early, late }, today),
    counted(journey.days, "day"),
    run,
    journey.load === "heavy" ? "heavy load" : "",
    journey.coldest ? `down to ${asTyped(journey.coldest)}` : "",
    journey.hottest ? `up to ${asTyped(journey.hottest)}` : "",
  ]
    .filter((part) => part !== "")
    .join(", ");
}

/** When a task falls due against the journey. */
export function fallsDueWords({ when, day, isAfterVisit }: JourneyTask, today: DayNumber): string {
  if (isAfterVisit) return `${shortDate(day, today)}, after the work on the visit`;
  switch (when) {
    case "before":
      return `${shortDate(day, today)}, before departure`;
    case "during":
      return `${shortDate(day, today)}, on the way`;
    case "perhaps":
      return "perhaps on the way";
  }
}

/** Where the limit stands at return, in dial figures: `due at 15 650 km, 16 650 km at return`; of one by the calendar its rule. */
export function atReturnWords(limit: LimitOnJourney): string {
  switch (limit.kind) {
    case "calendar":
      return ruleWords(limit.due.limit, () => "km");
    case "meter":
      return meterAtReturn(limit);
  }
}

function meterAtReturn(limit: Extract<LimitOnJourney, { kind: "meter" }>): string {
  const { meter, offset } = limit.run.reckoning;
  const dial = (life: number): string => dialFigureWithUnit(life - offset, meter.unit);
  const times =
    limit.factor > 1
      ? `, the way counted ${figure(limit.factor, Number.isInteger(limit.factor) ? 0 : 1)} times for the load`
      : "";
  return `due at ${dial(limit.dueAt)}, ${dial(limit.run.lifeAtReturn ?? 0)} at return${times}`;
}

function runOrDays(limit: LimitOnJourney, value: number): string {
  switch (limit.kind) {
    case "calendar":
      return counted(Math.round(value), "day");
    case "meter":
      return runWords(value, limit.run.reckoning.meter);
  }
}

/** What doing it on the visit before comes to: `1 150 km early, 12 cr of its life unused`, or that it is late by then. */
export function earlyWords(task: JourneyTask, visitOn: DayNumber | null, currency: string): string {
  const { early, limit, day } = task;
  if (visitOn !== null && day < visitOn) {
    const late = counted(daysBetween(day, visitOn), "day");
    return limit.due.limit.hard
      ? `may not wait for it: ${late} past its hard limit`
      : `${late} late by then`;
  }
  if (early.unused <= 0) return "on its day";
  const unused = `${runOrDays(limit, early.unused)} early`;
  if (early.share === 0) return `${unused}, nothing lost: its dates are fixed`;
  return `${unused}, ${roundMoney(early.cost, currency)} of its life unused`;
}

/** What leaving it until return comes to: `1 000 km over, weighed as 6 cr`, or that it may not be. */
export function waitingWords(task: JourneyTask, currency: string): string {
  const { limit, waiting, when } = task;
  if (limit.due.limit.hard) return "may not wait: required by law or warranty";
  if (when === "perhaps") return "most likely reaches to return";
  const over = Math.max(0, limit.overAtReturn);
  const { grace } = limit.due.limit;
  const within = grace ? (over > grace ? ", past its grace" : ", within its grace") : "";
  return `${runOrDays(limit, over)} over${within}, weighed as ${roundMoney(waiting, currency)}`;
}

/** How often a task comes up on the way. */
export function timesWords({ times, isAfterVisit, day }: JourneyTask, today: DayNumber): string {
  const often = times === 1 ? "once on the way" : `${counted(times, "time")} on the way`;
  return isAfterVisit
    ? `${often}, first ${shortDate(day, today)}: the work on the visit asks for it`
    : often;
}

/** How far a meter runs on it, and where that is known from. */
export function journeyRunWords({ reckoning, amount: run, source, ...at }: JourneyRun): string {
  const { meter, offset } = reckoning;
  const name = meterCalled(meter);
  if (run === null) return `How far the ${name} runs is not known.`;
  const dial = (life: number | null): string =>
    life === null ? "not known" : dialFigureWithUnit(life - offset, meter.unit);
  const how = {
    given: "as the journey says",
    "by-other-meter": "in the proportion in which the meters run as a rule",
    "usual-pace": "at its usual pace",
    "not-known": "",
  }[source];
  return `${runWords(run, meter)} on the ${name}, ${how}: about ${dial(at.lifeAtStart)} at departure, ${dial(at.lifeAtReturn)} at return.`;
}

/** What stands in the way of a journey, or in doubt. */
export function journeyIssueWords(
  issue: JourneyIssue,
  meterOf: (id: MeterId) => Meter | undefined,
  today: DayNumber,
): string {
  const called = (id: MeterId): string => {
    const meter = meterOf(id);
    return meter === undefined ? "meter" : meterCalled(meter);
  };
  switch (issue.code) {
    case "out-of-service":
      return `It is out of service since ${shortDate(dayOf(issue.stop.since), today)}: ${issue.stop.reason}. It does not depart until somebody releases it.`;
    case "no-day-before":
      return "There is no day before departure on which it can be worked on: free one, or put departure off.";
    case "close-to-departure":
      return `The visit leaves less than ${counted(issue.daysClear, "day")} until departure: what it turns up may not be mended in time.`;
    case "figure-in-doubt":
      return `The figure of the ${called(issue.meter)} is in doubt: read it, and look here again.`;
    case "run-not-known":
      return `How far the ${called(issue.meter)} runs is not known, so its limits are left out: give the distance or hours, or read it.`;
  }
}

/** Whether the oil in a system serves the weather of the journey. */
export function journeyOilWords(
  { fluid, product, answer, serving }: OilOnJourney,
  coldest: number | null,
  hottest: number | null,
): string {
  const inside =
    product === null ? "what is in it is not recorded" : (product.grade ?? product.name);
  const weather = [
    ...(coldest === null ? [] : [`a start at ${degrees(coldest)}`]),
    ...(hottest === null ? [] : [`a day of ${degrees(hottest)}`]),
  ].join(" and ");
  const grades =
    serving.length === 0
      ? "none of the grades on its plate serves"
      : `its plate allows ${serving.join(" or ")}`;
  const system = fluid.system.charAt(0).toUpperCase() + fluid.system.slice(1);
  switch (answer) {
    case "serves":
      return `${system}: ${inside} serves ${weather}.`;
    case "too-thick":
      return `${system}: ${inside} is too thick for ${degrees(coldest ?? 0)}; ${grades}.`;
    case "too-thin":
      return `${system}: ${inside} is allowed for less heat than ${degrees(hottest ?? 0)}; ${grades}.`;
    case "not-known":
      return serving.length === 0
        ? `${system}: ${inside}; its plate does not say for which temperatures: ask the handbook.`
        : `${system}: ${inside}; for ${weather} ${grades}.`;
  }
}

/** A part to take along: `2 × Oil filter, 1201-A`. */
export function partAlongWords({ part, id, count }: PartAlong): string {
  const number = part?.number ?? "";
  return `${figure(count)}${NBSP}× ${part?.name ?? id}${number === "" ? "" : `, ${number}`}`;
}

/** A fluid to take along: `4.2 L engine oil, Moorline 5W-30`. */
export function fluidAlongWords({ fluid, product, litres }: FluidAlong): string {
  const much = litres === null ? "some" : `${figure(litres, litres < 10 ? 1 : 0)}${NBSP}L`;
  return `${much} ${fluid.kind} for the ${fluid.system.toLowerCase()}${product === null ? "" : `, ${product.name}`}`;
}

/** The journey in a sentence: what is to be done before it, and what may wait. */
export function journeySummary(plan: JourneyPlan, today: DayNumber): string {
  const { tasks, days } = plan;
  if (days.returns < today) return "It is over.";
  const count = (...advice: readonly JourneyTask["advice"][]): number =>
    tasks.filter((task) => advice.includes(task.advice)).length;
  const before = count("must", "before");
  const jobs = (many: number): string => counted(many, "job");
  if (tasks.length === 0) return "Nothing falls due before it or on the way.";
  const waits = count("wait");
  const onTheWay = count("on-the-way");
  const anyway = count("anyway");
  return [
    before > 0
      ? beforeWords(before, plan, today)
      : anyway > 0
        ? ""
        : "Nothing is to be done before departure.",
    anyway === 0 ? "" : `${jobs(anyway)} due before that anyway.`,
    waits === 0 ? "" : `${jobs(waits)} can wait until return.`,
    onTheWay === 0 ? "" : `${jobs(onTheWay)} on the way.`,
  ]
    .filter((part) => part !== "")
    .join(" ");
}

/** What is to be done before departure, and how much of it the book has a visit for: `3 jobs before departure: 1 in the book, 2 on Mon 7 Dec.` */
function beforeWords(
  before: number,
  { tasks, inVisits, visitOn, days }: JourneyPlan,
  today: DayNumber,
): string {
  const jobs = counted(before, "job");
  if (days.departs <= today || visitOn === null) {
    return `${jobs} fell due before or fall due on the way.`;
  }
  const held = inVisits.filter(({ task: id }) =>
    tasks.some(({ task, advice }) => task === id && (advice === "must" || advice === "before")),
  ).length;
  const day = weekdayDate(visitOn, today);
  if (held === 0) return `${jobs} before departure, on ${day}.`;
  if (held === before) return `${jobs} before departure, all in the book.`;
  return `${jobs} before departure: ${held} in the book, ${before - held} on ${day}.`;
}
