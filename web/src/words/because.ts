import {
  daysBetween,
  governingLimit,
  limitOf,
  limitsOfKind,
  type Task,
  type TaskReckoning,
} from "@yonderfell/core";
import { fullDate, sentence, shortDate, spanOfDays } from "./format.js";
import { limitName, meterName, meterOf, unitOf } from "./limitWords.js";
import { ruleWords } from "./ruleWords.js";
import { basisWords } from "./basisWords.js";
import { forecastWords, graceWords } from "./forecastWords.js";
import type { Place } from "./place.js";

/** The reasons for one limit, in sentences a person can check by hand. */
interface LimitReasons {
  readonly name: string;
  readonly governs: boolean;
  readonly sentences: readonly string[];
}

/** The reasons for a task's date (due rules §9): limit by limit, the governing one first, then what is doubtful. */
export interface Because {
  readonly limits: readonly LimitReasons[];
  readonly remarks: readonly string[];
}

/** Why a task is due when it is. */
export function because(task: TaskReckoning, place: Place): Because {
  const deciding = governingLimit(task);
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

/** Which limit comes first, and by how much the others trail. */
function comparison(task: TaskReckoning, { machine, today }: Place): string[] {
  const deciding = governingLimit(task);
  const likely = deciding?.forecast?.likely ?? null;
  if (deciding === null || likely === null || task.limits.length < 2) return [];
  const order = task.task.combine === "last" ? "decides, as the last of them" : "comes first";
  const trailing = task.limits.flatMap((limit) => {
    const other = limit.forecast?.likely ?? null;
    if (limit === deciding || other === null) return [];
    const days = Math.abs(daysBetween(likely, other));
    const side = other < likely ? "earlier" : "later";
    const gap =
      days === 0 ? "the same day" : `${spanOfDays(days)} ${side}, ${shortDate(other, today)}`;
    return [`the ${limitName(limit, machine)} is ${gap}`];
  });
  if (trailing.length === 0) return [];
  return [`The ${limitName(deciding, machine)} ${order}; ${trailing.join("; ")}.`];
}

function regimeWords({ task, regime, limits }: TaskReckoning, place: Place): string[] {
  const { machine } = place;
  if (regime === null) {
    const tied = (task.nth ?? null) !== null || (task.follows ?? null) !== null;
    return tied ? [] : ["It has no limits in the machine's school nor in the handbook's."];
  }
  if (limits.some(({ basis }) => basis.code === "tested-sound")) {
    return ["Its intervals are set aside until it is done."];
  }
  if (limits.length === 0 && !task.eachUse) return forLifeWords(task, regime, place);
  const reason = (task.regimeReason ?? "") === "" ? "" : ` ${task.regimeReason}`;
  const wanted = task.regime ?? machine.machine.regime ?? "handbook";
  const fallback = wanted === regime ? "" : ` It has none of its own for ${wanted}.`;
  return [`By the ${regime} intervals.${fallback}${reason}`];
}

/** What has no date in a regime is said to last for life: what the other schools do. */
function forLifeWords(task: Task, regime: string, { machine }: Place): string[] {
  const others = Object.entries(task.regimes ?? {}).flatMap(([name, limits]) => {
    const rules = limits.map((limit) =>
      ruleWords(limitOf(limit), (meter) => unitOf(machine, meter)),
    );
    return rules.length === 0 ? [] : [`${name}: ${rules.join(" or ")}`];
  });
  const said = `For life, says ${regime === "handbook" ? "the handbook" : regime}: that is no date.`;
  return others.length === 0 ? [said] : [said, `Other schools: ${others.join("; ")}.`];
}

/** Why a task is doubtful: limits that are not known, meters that are stale or stopped. */
function doubtWords({ limits, doubtful }: TaskReckoning, { machine, today }: Place): string[] {
  if (!doubtful) return [];
  const unknown = limits.filter((limit) => limit.status === "unknown");
  const names = unknown.map((limit) => `the ${limitName(limit, machine)}`);
  const notKnown =
    names.length === 0 ? [] : [`Doubtful: ${names.join(" and ")} cannot be reckoned.`];
  const all = limits.map(({ limit }) => limit);
  const onMeter = [...limitsOfKind(all, "meter"), ...limitsOfKind(all, "measured")];
  const meters = new Set(onMeter.map(({ meter }) => meter));
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
      `Doubtful: the ${meterName(meter)} was last read ${fullDate(meter.lastOn)}, ${spanOfDays(daysBetween(meter.lastOn, today))} ago.`,
    ];
  });
  return [...notKnown, ...onMeters];
}
