import {
  type BoardMachine,
  type BoardMeter,
  type CompletionFact,
  type DayNumber,
  type LimitReckoning,
  type MeterLimitReckoning,
  type TaskId,
  type TaskReckoning,
} from "@yonderfell/core";
import {
  amount,
  counted,
  dateRange,
  dialFigureWithUnit,
  fullDate,
  perDay,
  sentence,
  shortDate,
  spanOfDays,
} from "./format.js";
import { governing, intervalWords, limitName, meterName, meterOf, unitOf } from "./limitWords.js";

/** The reasons for one limit, in sentences a person can check by hand. */
export interface LimitReasons {
  readonly name: string;
  readonly governs: boolean;
  readonly sentences: readonly string[];
}

/** The reasons for a task's date (due rules §9): limit by limit, the governing one first, then what is doubtful. */
export interface Because {
  readonly limits: readonly LimitReasons[];
  readonly remarks: readonly string[];
}

interface Place {
  readonly machine: BoardMachine;
  readonly today: DayNumber;
}

/** Why a task is due when it is. */
export function because(task: TaskReckoning, place: Place): Because {
  const deciding = governing(task);
  const limits = task.limits.map((limit) => ({
    name: sentence(limitName(limit, place.machine)),
    governs: limit === deciding,
    sentences: [
      ...basisWords(limit, place),
      ...forecastWords(limit, place),
      ...graceWords(limit, place),
    ],
  }));
  limits.sort((one, other) => Number(other.governs) - Number(one.governs));
  return {
    limits: merged(limits),
    remarks: [...comparison(task, place), ...regimeWords(task, place), ...doubtWords(task, place)],
  };
}

/** Limits with the same reasons told once. */
function merged(limits: readonly LimitReasons[]): LimitReasons[] {
  const byWords = new Map<string, LimitReasons>();
  for (const limit of limits) {
    const words = limit.sentences.join(" ");
    const same = byWords.get(words);
    const name = same === undefined ? limit.name : `${same.name}, ${limit.name.toLowerCase()}`;
    byWords.set(words, { ...(same ?? limit), name });
  }
  return [...byWords.values()];
}

function taskName(id: TaskId, { machine }: Place): string {
  return machine.tasks.find((candidate) => candidate.task.id === id)?.task.name ?? "the other task";
}

/** `20 Jan 2026 at 41 800 km on the old dial`. */
function doneWords(fact: CompletionFact, limit: LimitReckoning, { machine }: Place): string {
  const assumed = fact.assumed ? " (assumed)" : "";
  if (limit.kind === "calendar" || fact.dial === null) return `${fullDate(fact.day)}${assumed}`;
  const figureThen = dialFigureWithUnit(fact.dial, unitOf(machine, limit.meter));
  const about = fact.worked ? "about " : "";
  const onOldDial = fact.oldDial ? " on the old dial" : "";
  return `${fullDate(fact.day)} at ${about}${figureThen}${onOldDial}${assumed}`;
}

/** Where it is due, in today's dial or as a date. */
function dueWords(limit: LimitReckoning, place: Place): string {
  if (limit.kind === "calendar")
    return limit.dueOn === null ? "" : `due on ${fullDate(limit.dueOn)}`;
  if (limit.dialAt === null) return "";
  const meter = meterOf(place.machine, limit.meter);
  const replaced = meter !== undefined && meter.life !== null && meter.dial !== meter.life;
  const shown = dialFigureWithUnit(limit.dialAt, unitOf(place.machine, limit.meter));
  return `due at ${shown}${replaced ? " on this dial" : ""}`;
}

function rule(limit: LimitReckoning, place: Place): string {
  return `${sentence(intervalWords(limit, place.machine))}: ${dueWords(limit, place)}.`;
}

function basisWords(limit: LimitReckoning, place: Place): string[] {
  const { basis } = limit;
  switch (basis.code) {
    case "completed":
      return [`Last done ${doneWords(basis.last, limit, place)}.`, rule(limit, place)];
    case "never-done":
      return [`Never done; counted from ${startWords(limit)}.`, rule(limit, place)];
    case "grid": {
      const last =
        basis.last === null
          ? "Never done."
          : `Last done ${doneWords(basis.last, limit, place)}, which counts for ${gridPointWords(limit, place)}.`;
      return [
        last,
        `On fixed points, ${intervalWords(limit, place.machine)}: ${dueWords(limit, place)}.`,
      ];
    }
    case "history-unknown":
      return [
        "No record of it, and the machine came without its history: no date can be given. Log it once it is done, or enter what the papers say.",
      ];
    case "life-unknown-then":
      return [
        `Done ${fullDate(basis.last.day)}, but what the ${limitName(limit, place.machine).replace(" limit", "")} showed then is not known.`,
      ];
    case "date-missing":
      return [
        "The day the machine went into service is not recorded, so there is nothing to count from.",
      ];
    case "milestones-passed":
      return [
        `Last done ${doneWords(basis.last, limit, place)}. It was wanted ${intervalWords(limit, place.machine)} and never after.`,
      ];
    case "nth":
      return nthWords(limit, basis, place);
    case "nth-unknown":
      return [`Goes with ${taskName(basis.of, place)}, for which no date can be given.`];
    case "follows-waiting":
      return [`Comes after ${taskName(basis.task, place)}, which has not been done yet.`];
    case "follows-armed":
      return [
        `Comes once after ${taskName(basis.task, place)}, done ${doneWords(basis.by, limit, place)}.`,
        `${sentence(intervalWords(limit, place.machine).replace("every ", "after "))}: ${dueWords(limit, place)}.`,
      ];
    case "follows-done":
      return [
        `${taskName(basis.task, place)} was done ${fullDate(basis.by.day)} and this after it, ${doneWords(basis.last, limit, place)}. Nothing is due until it is done again.`,
      ];
  }
}

function startWords(limit: LimitReckoning): string {
  if (limit.kind === "meter") return "0";
  return limit.from === null ? "its start" : `the day in service, ${fullDate(limit.from)}`;
}

function gridPointWords(limit: LimitReckoning, { machine }: Place): string {
  if (limit.from === null) return "the start";
  return limit.kind === "meter"
    ? amount(limit.from, unitOf(machine, limit.meter))
    : fullDate(limit.from);
}

function nthWords(
  limit: LimitReckoning,
  basis: Extract<LimitReckoning["basis"], { code: "nth" }>,
  place: Place,
): string[] {
  const other = taskName(basis.of, place);
  const own =
    basis.last === null ? "Never done" : `Last done ${doneWords(basis.last, limit, place)}`;
  const turns = `${counted(basis.turns, "turn")} of ${other} since`;
  const every = basis.every === 1 ? "every" : `every ${ordinal(basis.every)}`;
  const due =
    basis.skippedAt === null
      ? `With ${every} ${other}: ${dueWords(limit, place)}.`
      : `It was passed over on ${fullDate(basis.skippedAt.day)}: ${dueWords(limit, place)}.`;
  const held = basis.heldBack ? ["Never sooner than one interval after its own last time."] : [];
  return [`${own}; ${turns}.`, due, ...held];
}

function ordinal(count: number): string {
  const names = ["", "first", "second", "third", "fourth", "fifth", "sixth"];
  return names[count] ?? `${count}th`;
}

function forecastWords(limit: LimitReckoning, place: Place): string[] {
  if (limit.kind === "calendar" || limit.dueAt === null) return [];
  const meter = meterOf(place.machine, limit.meter);
  if (meter === undefined) return [];
  if (limit.remaining === null)
    return [`The ${meterName(meter)} has no reading yet, so what is left is not known.`];
  if (limit.remaining <= 0) return [reachedWords(limit, place)];
  if (limit.forecast === null) return [noForecastWords(limit, meter)];
  const { perDay: rate } = meter.rate;
  const pace =
    rate === null ? "" : `Running ${perDay(rate, meter.meter.unit)} (${rateSource(meter)}): `;
  const likely = shortDate(limit.forecast.likely, place.today);
  const range = dateRange(limit.forecast, place.today);
  return [`${pace}about ${likely}${range === likely ? "" : ` (${range})`}.`];
}

function reachedWords(limit: MeterLimitReckoning, { machine, today }: Place): string {
  const unit = unitOf(machine, limit.meter);
  const over = amount(-(limit.remaining ?? 0), unit);
  const on = limit.forecast === null ? "" : ` about ${shortDate(limit.forecast.likely, today)}`;
  return `Reached${on}; ${over} over now.`;
}

function noForecastWords(limit: MeterLimitReckoning, meter: BoardMeter): string {
  const left = amount(limit.remaining ?? 0, meter.meter.unit);
  const { perDay: rate } = meter.rate;
  if (rate === null) return `${left} left; how fast it runs is not known yet, so there is no date.`;
  return rate <= 0
    ? `${left} left; it is not running, so there is no date.`
    : `${left} left: more than twenty years at this pace.`;
}

function rateSource(meter: BoardMeter): string {
  const { source } = meter.rate;
  switch (source.code) {
    case "observed":
      return `from ${counted(source.pairs + 1, "reading")} over ${spanOfDays(source.to - source.from)}, the latest counting most`;
    case "declared":
      return "as declared";
    case "none":
      return "not known";
  }
}

function graceWords(limit: LimitReckoning, { machine }: Place): string[] {
  if (limit.limit.hard === true) return ["Required by law or warranty: no grace."];
  const grace = limit.limit.grace ?? 0;
  if (grace === 0) return [];
  const shown =
    limit.kind === "meter" ? amount(grace, unitOf(machine, limit.meter)) : counted(grace, "day");
  return [`${shown} of grace before it is overdue.`];
}

/** Which limit comes first, and by how much the others trail. */
function comparison(task: TaskReckoning, { machine, today }: Place): string[] {
  const deciding = governing(task);
  const likely = deciding?.forecast?.likely ?? null;
  if (deciding === null || likely === null || task.limits.length < 2) return [];
  const order = task.task.combine === "last" ? "decides, as the last of them" : "comes first";
  const trailing = task.limits.flatMap((limit) => {
    const other = limit.forecast?.likely ?? null;
    if (limit === deciding || other === null) return [];
    const days = Math.abs(other - likely);
    const side = other < likely ? "earlier" : "later";
    const gap =
      days === 0 ? "the same day" : `${spanOfDays(days)} ${side}, ${shortDate(other, today)}`;
    return [`the ${limitName(limit, machine)} is ${gap}`];
  });
  if (trailing.length === 0) return [];
  return [`The ${limitName(deciding, machine)} ${order}; ${trailing.join("; ")}.`];
}

function regimeWords({ task, regime }: TaskReckoning, { machine }: Place): string[] {
  if (regime === null) {
    const tied = (task.nth ?? null) !== null || (task.follows ?? null) !== null;
    return tied ? [] : ["It has no limits in the machine's regime nor in the handbook's."];
  }
  const reason = (task.regimeReason ?? "") === "" ? "" : ` ${task.regimeReason}`;
  const wanted = task.regime ?? machine.machine.regime ?? "handbook";
  const fallback = wanted === regime ? "" : ` It has none of its own for ${wanted}.`;
  return [`By the ${regime} intervals.${fallback}${reason}`];
}

/** Why a task is doubtful: limits that are not known, meters that are stale or stopped. */
export function doubtWords(
  { limits, doubtful }: TaskReckoning,
  { machine, today }: Place,
): string[] {
  if (!doubtful) return [];
  const unknown = limits.filter((limit) => limit.status === "unknown");
  const names = unknown.map((limit) => `the ${limitName(limit, machine)}`);
  const notKnown =
    names.length === 0 ? [] : [`Doubtful: ${names.join(" and ")} cannot be reckoned.`];
  const meters = new Set(limits.flatMap((limit) => (limit.kind === "meter" ? [limit.meter] : [])));
  const onMeters = [...meters].flatMap((id) => {
    const meter = meterOf(machine, id);
    if (meter === undefined) return [];
    if (meter.stoppedOn !== null) {
      return [
        `Doubtful: the ${meterName(meter)} is stopped since ${fullDate(meter.stoppedOn)}; its figures are reckoned.`,
      ];
    }
    if (meter.lastOn === null) return [`Doubtful: the ${meterName(meter)} has never been read.`];
    if (!meter.stale) return [];
    return [
      `Doubtful: the ${meterName(meter)} was last read ${fullDate(meter.lastOn)}, ${spanOfDays(today - meter.lastOn)} ago.`,
    ];
  });
  return [...notKnown, ...onMeters];
}
