import {
  dayOf,
  formatDay,
  parseDay,
  type BoardMachine,
  type DayNumber,
  type Finding,
  type FindingId,
  type MachineId,
  type MeterId,
  type PartId,
  type Person,
  type Picture,
} from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { figureTyped, isAmountOrEmpty, isEmpty, orNull, textTyped } from "../../../form/typed.js";
import { typedNumber } from "../../../words/writing.js";

type Decision = Finding["decision"];
type Verdict = NonNullable<Finding["verdict"]>;

/** A part that putting it right takes, and how many. */
export interface NeededPart {
  readonly part: string;
  readonly count: string;
}

/** A finding as it stands in the form. */
export interface FindingModel {
  readonly machine: string;
  readonly what: string;
  readonly where: string;
  readonly side: string;
  readonly kind: string;
  readonly verdict: Verdict | "";
  readonly found: string;
  readonly by: string;
  readonly evidence: string;
  readonly consequence: string;
  readonly todo: string;
  readonly decision: Decision;
  /** Who decides. */
  readonly decidedBy: string;
  readonly dueOn: string;
  readonly dueMeter: string;
  /** What the dial will show. */
  readonly dueDial: string;
  readonly lookOn: string;
  readonly reason: string;
  readonly minutes: string;
  /** What putting it right takes. */
  readonly parts: readonly NeededPart[];
  readonly cost: string;
  readonly pictures: readonly Picture[];
  readonly note: string;
}

/** What a finding is written down beside: the machines of the board, who there is, and the day. */
export interface FindingAround {
  readonly machines: readonly BoardMachine[];
  readonly people: readonly Person[];
  readonly today: DayNumber;
  /** The machine a new one is on; empty where that is still to be said. */
  readonly machine: string;
}

/** How far the dial of a meter stands from its life; null where that is not known. */
function offsetOf({ machines }: FindingAround, machine: string, meter: string): number | null {
  const own = machines.find((one) => one.machine.id === machine);
  const found = own?.meters.find((one) => one.meter.id === meter);
  if (found === undefined || found.life === null || found.dial === null) return null;
  return found.life - found.dial;
}

const nameOf = ({ people }: FindingAround, by: string | null | undefined): string =>
  people.find(({ id }) => id === by)?.name ?? by ?? "";

/** A finding as it stands in the form; empty for a new one, found today. */
export function modelOfFinding(finding: Finding | null, around: FindingAround): FindingModel {
  const { dueAt } = finding ?? {};
  const machine = finding?.machine ?? around.machine;
  const offset = dueAt ? offsetOf(around, machine, dueAt.meter) : null;
  const dial = dueAt && offset !== null ? Math.round((dueAt.life - offset) * 10) / 10 : null;
  return {
    machine,
    what: textTyped(finding?.what),
    where: textTyped(finding?.where),
    side: textTyped(finding?.side),
    kind: textTyped(finding?.kind),
    verdict: finding === null ? "attend" : (finding.verdict ?? ""),
    found: finding?.found ?? formatDay(around.today),
    by: nameOf(around, finding?.by),
    evidence: textTyped(finding?.evidence),
    consequence: textTyped(finding?.consequence),
    todo: textTyped(finding?.todo),
    decision: finding?.decision ?? "next visit",
    decidedBy: nameOf(around, finding?.decidedBy),
    dueOn: textTyped(finding?.dueOn),
    dueMeter: dueAt?.meter ?? "",
    dueDial: figureTyped(dial),
    lookOn: textTyped(finding?.lookOn),
    reason: textTyped(finding?.reason),
    minutes: figureTyped(finding?.minutes),
    parts: (finding?.parts ?? []).map(({ part, count }) => ({ part, count: figureTyped(count) })),
    cost: figureTyped(finding?.cost),
    pictures: finding?.pictures ?? [],
    note: textTyped(finding?.note),
  };
}

/** What is wrong with a finding as it is typed. */
export interface FindingProblem {
  /** The field, with the way into a row: `parts.0.count`. */
  readonly field: string;
  readonly code:
    | "machine-missing"
    | "what-missing"
    | "day-missing"
    | "day-in-future"
    | "reason-missing"
    | "dial-wrong"
    | "part-missing"
    | "amount-wrong";
}

/** What is still wrong with it, at its fields. */
export function findingProblems(model: FindingModel, around: FindingAround): FindingProblem[] {
  const problems: FindingProblem[] = [];
  const check = (isWrong: boolean, field: string, code: FindingProblem["code"]): void => {
    if (isWrong) problems.push({ field, code });
  };
  const found = parseDay(model.found);
  check(model.machine === "", "machine", "machine-missing");
  check(isEmpty(model.what), "what", "what-missing");
  check(found === null, "found", "day-missing");
  check(found !== null && found > around.today, "found", "day-in-future");
  check(model.decision === "declined" && isEmpty(model.reason), "reason", "reason-missing");
  const isByMeter = model.decision === "next visit" && model.dueMeter !== "";
  check(isByMeter && (typedNumber(model.dueDial) ?? -1) < 0, "dueDial", "dial-wrong");
  check(!isAmountOrEmpty(model.minutes), "minutes", "amount-wrong");
  check(!isAmountOrEmpty(model.cost), "cost", "amount-wrong");
  model.parts.forEach(({ part, count }, at) => {
    check(part === "", `parts.${at}.part`, "part-missing");
    const isCount = isEmpty(count) || (typedNumber(count) ?? 0) > 0;
    check(!isCount, `parts.${at}.count`, "amount-wrong");
  });
  return problems;
}

/** When a finding is due by the decision that was made: nothing of another decision stays. */
function dueOf(
  model: FindingModel,
  before: Finding | null,
  around: FindingAround,
): Partial<Finding> {
  const { decision, dueMeter } = model;
  const isNext = decision === "next visit";
  const dial = isNext && dueMeter !== "" ? typedNumber(model.dueDial) : null;
  const offset = offsetOf(around, model.machine, dueMeter);
  const wasTyped = modelOfFinding(before, around);
  const isUntouched =
    before?.dueAt?.meter === dueMeter && wasTyped.dueDial === model.dueDial && isNext;
  const at = dial === null ? null : { meter: dueMeter as MeterId, life: dial + (offset ?? 0) };
  return {
    dueOn: isNext ? orNull(model.dueOn) : null,
    dueAt: isUntouched ? before.dueAt : at,
    lookOn: decision === "watch" ? orNull(model.lookOn) : null,
    reason: orNull(model.reason),
  };
}

/** The lives of a machine's meters on the day something was found, as far as they are known. */
function livesOf(
  { machines, today }: FindingAround,
  { machine, found }: FindingModel,
): Partial<Finding> {
  const own = machines.find((one) => one.machine.id === machine);
  if (own === undefined || found !== formatDay(today)) return {};
  const lives = own.meters.flatMap(({ meter, life }) =>
    life === null ? [] : [[meter.id, Math.round(life * 10) / 10] as const],
  );
  return lives.length === 0 ? {} : { life: Object.fromEntries(lives) };
}

/** A part that is needed; what else its row said stays where it is the same part. */
function partOf(
  { part, count }: NeededPart,
  before: NonNullable<Finding["parts"]>[number] | undefined,
): NonNullable<Finding["parts"]>[number] {
  const { count: _, ...rest } = before?.part === part ? before : {};
  const counted = typedNumber(count);
  return { ...rest, part: part as PartId, ...(counted === null ? {} : { count: counted }) };
}

/** The finding of a form that has no problem; what the form does not show stays as it was. */
export function findingOf(
  model: FindingModel,
  before: Finding | null,
  around: FindingAround,
): Finding {
  const whoOf = (words: string): string | null =>
    around.people.find(({ name }) => name === words.trim())?.id ?? orNull(words);
  const [by, decidedBy] = [whoOf(model.by), whoOf(model.decidedBy)];
  const fields = {
    ...{ what: orNull(model.what), where: orNull(model.where), side: orNull(model.side) },
    ...{
      kind: orNull(model.kind),
      verdict: model.verdict === "" ? null : model.verdict,
      by,
      decidedBy,
    },
    ...{ evidence: orNull(model.evidence), consequence: orNull(model.consequence) },
    ...{ todo: orNull(model.todo), note: orNull(model.note) },
    ...{ minutes: typedNumber(model.minutes), cost: typedNumber(model.cost) },
    ...dueOf(model, before, around),
  };
  const standing = before as Readonly<Record<string, unknown>> | null;
  // What is said nowhere is not written down as nothing, unless it was so before.
  const said = Object.entries(fields).filter(
    ([key, value]) => value !== null || standing?.[key] !== undefined,
  );
  return {
    ...(before ?? { id: newId() as FindingId, ...livesOf(around, model) }),
    ...Object.fromEntries(said),
    machine: model.machine as MachineId,
    found: formatDay(parseDay(model.found) ?? dayOf(model.found)),
    decision: model.decision,
    ...(model.parts.length > 0 || before?.parts !== undefined
      ? { parts: model.parts.map((one, at) => partOf(one, before?.parts?.[at])) }
      : {}),
    ...(model.pictures.length > 0 || before?.pictures !== undefined
      ? { pictures: [...model.pictures] }
      : {}),
  };
}
