import {
  limitsInForce,
  type Checklist,
  type Limit,
  type Machine,
  type MeasuredLimit,
  type MeterId,
  type Task,
  type Unit,
} from "@yonderfell/core";
import { amount, counted, fullDate, sentence } from "./format.js";
import { limitAmount } from "./limitWords.js";
import { ruleWords } from "./ruleWords.js";

/** What limits are told with: their machine, and the checklists that say what rounds measure. */
interface LimitsPlace {
  readonly machine: Machine;
  readonly checklists?: readonly Checklist[] | undefined;
}

/** What a task's rule is told with: its machine, and what the other tasks are called. */
export interface TaskPlace extends LimitsPlace {
  readonly nameOf: (task: string) => string;
}

type MeterUnit = "km" | "mi" | "h";

/** The unit of a meter of a machine; `km` stands in for one it does not have. */
export function meterUnit(machine: Machine, id: MeterId | string): MeterUnit {
  return (machine.meters ?? []).find((meter) => meter.id === id)?.unit ?? "km";
}

/** What the needs of a task, skills and what a bay takes are for. */
export const NEEDS_NOTE = "with commas between; where they agree: gas, welding, pit, long";

const ORDINALS = ["", "", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth"];

/** `every third`, `every`, `every 12th`. */
function everyNth(count: number): string {
  if (count === 1) return "every";
  return `every ${ORDINALS[count] ?? `${count}th`}`;
}

/** What a limit by rounds measures, as its checklist has it; null where it has no such check. */
function measuredBy(
  { checklist, check }: MeasuredLimit,
  checklists: readonly Checklist[],
): { readonly name: string; readonly unit: Unit | null } | null {
  const found = checklists
    .find(({ id }) => id === checklist)
    ?.checks?.find(({ id }) => id === check);
  return found === undefined ? null : { name: found.name, unit: found.unit ?? null };
}

function limitWords(limit: Limit, { machine, checklists = [] }: LimitsPlace): string {
  const rule = ruleWords(
    limit,
    (meter) => meterUnit(machine, meter),
    (measured) => measuredBy(measured, checklists),
  );
  return `${rule}${fromWords(limit)}${graceWords(limit, machine)}`;
}

/** The day its fixed points are counted from, where one is said. */
function fromWords(limit: Limit): string {
  switch (limit.kind) {
    case "meter":
    case "measured":
      return "";
    case "calendar":
      return limit.from === null ? "" : `, counted from ${fullDate(limit.from)}`;
  }
}

function graceWords(limit: Limit, machine: Machine): string {
  if (limit.hard) return " (required by law or warranty, no grace)";
  if (limit.grace === 0) return "";
  return ` (${limitAmount(limit, limit.grace, (meter) => meterUnit(machine, meter))} of grace)`;
}

/** A list of limits in a sentence: `Every 12 000 km or every 12 months, whichever comes first.` */
export function limitsSentence(
  limits: readonly Limit[],
  combine: "first" | "last",
  place: LimitsPlace,
): string {
  const words = limits.map((limit) => limitWords(limit, place));
  if (words.length < 2) return sentence(`${words[0] ?? ""}.`);
  const joined = words.join(combine === "first" ? " or " : " and ");
  return sentence(`${joined}, whichever comes ${combine}.`);
}

function tieWords(task: Task, { machine, nameOf }: TaskPlace): string {
  const { nth, follows } = task;
  if (nth) return `With ${everyNth(nth.every)} ${nameOf(nth.of)}.`;
  if (!follows) return "";
  const after =
    (follows.days ?? null) === null
      ? amount(follows.amount ?? 0, meterUnit(machine, follows.meter ?? ""))
      : counted(follows.days ?? 0, "day");
  return `Once after each ${nameOf(follows.task)}, ${after} later.`;
}

/** The rule of a task as a person would say it, in the regime that holds on its machine. */
export function taskSentence(task: Task, place: TaskPlace): string {
  const parts = [task.eachUse ? `${sentence(task.eachUse)} each use.` : "", tieWords(task, place)];
  if (!task.nth && !task.follows) {
    const { regime, limits } = limitsInForce(task, place.machine);
    if (regime === null) parts.push("Nothing is said of when.");
    else if (limits.length > 0) {
      parts.push(limitsSentence(limits, task.combine ?? "first", place));
      if (task.anchor === "grid") parts.push("On fixed points, whenever it was last done.");
    } else if (!task.eachUse) parts.push("For life, it is said: no date.");
  }
  return parts.filter((part) => part !== "").join(" ");
}
