import type { FindingId, TaskId } from "../../book/records/ids.js";
import type { Finding } from "../../book/records/finding.js";
import type { JobStep } from "../../book/records/step.js";
import type { Task } from "../../book/records/task.js";
import { plannedWork, type PlannedWork } from "../../ledger/plannedWork.js";
import { cardIssues, type CardIssue } from "../cardIssues.js";
import type { CardFrom } from "./cardFrom.js";
import { withCautions, type Drafted } from "./cautions.js";
import { oncePerSystem, waysFor, type Used } from "./chooseWay.js";
import { stepsOf } from "./fillIn.js";
import { panFor, shortagesOf, toolsFor, type CardShortage } from "./layOut.js";
import { METHODS } from "./library/index.js";
import type { CardLack } from "./places.js";
import { stagesOf } from "./stages.js";

/** Work that is for others: why, what to tell them, and what to ask for back. */
interface ForOthers {
  readonly task: TaskId;
  readonly because: "licensed" | "specialist tools" | "warranty";
  readonly tell: string | null;
  readonly ask: string | null;
}

/** A card as it would be made for tasks and findings of a machine. */
export interface MadeCard {
  readonly tasks: readonly TaskId[];
  readonly findings: readonly FindingId[];
  readonly steps: readonly JobStep[];
  /** What is to be laid out: fluids and parts, as far as they are known. */
  readonly takes: PlannedWork;
  /** What is taken from a shelf on which there is not enough of it. */
  readonly short: readonly CardShortage[];
  /** Tools with their sizes, each once. */
  readonly tools: readonly string[];
  /** Litres that the drain pan must hold: the most that comes out of one system at once; null where nothing is drained, or how much is not known. */
  readonly pan: number | null;
  readonly forOthers: readonly ForOthers[];
  /** What the plate lacks for it. */
  readonly lacks: readonly CardLack[];
  /** What keeps it from being begun; of a card made from the library nothing does. */
  readonly issues: readonly CardIssue[];
}

/** What is asked of a workshop, whatever it does. */
const ASK =
  "What was found, figures before and after, part numbers, fluids and how much, the bill.";

/** A task as work for others, as far as it is; whether there is none of it that is one's own. */
function forOthers(task: Task): (ForOthers & { readonly isAll: boolean }) | null {
  const { id, name, outside, steps, method } = task;
  const fitting = METHODS.filter(({ words }) => words?.test(name));
  const others = fitting.find((way) => way.others !== undefined)?.others ?? null;
  if (outside) {
    const { because, tell } = outside;
    const told = { tell: tell ?? others?.tell ?? null, ask: others?.ask ?? ASK };
    return { task: id, because, ...told, isAll: true };
  }
  const isOwn = (steps ?? []).length > 0 || (method ?? null) !== null;
  const isAll = fitting[0]?.others !== undefined;
  return others === null || isOwn ? null : { task: id, ...others, isAll };
}

/** What is opened for tasks is opened once, before all and shut after all. */
function accessSteps(tasks: readonly Task[]): {
  readonly open: Drafted[];
  readonly shut: Drafted[];
} {
  const accesses = [...new Set(tasks.flatMap(({ access }) => access ?? []))];
  const stepFor = (name: string, access: string): Drafted => ({
    ...{ id: "", from: [], kind: "do", name, fluidKind: null, about: access },
    tasks: tasks.filter((task) => task.access === access).map(({ id }) => id),
  });
  return {
    open: accesses.map((access) => stepFor(`Open up: ${access}`, access)),
    shut: accesses.toReversed().map((access) => stepFor(`Shut again: ${access}`, access)),
  };
}

/** What would be the same step twice stands once, for all its tasks. */
function together(steps: readonly Drafted[]): Drafted[] {
  const all = new Map<string, Drafted>();
  for (const step of steps) {
    const { tasks, about, from, ...rest } = step;
    const key = JSON.stringify(rest);
    const known = all.get(key);
    const joined = [...new Set([...(known?.tasks ?? []), ...(tasks ?? [])])];
    const taken = [...(known?.from ?? []), ...from];
    const words = `${known?.about ?? ""} ${about}`;
    all.set(key, {
      ...rest,
      about: words,
      from: taken,
      ...(joined.length > 0 ? { tasks: joined } : {}),
    });
  }
  return [...all.values()];
}

const once = <T>(list: readonly T[]): T[] => [
  ...new Map(list.map((one) => [JSON.stringify(one), one])).values(),
];

/** The steps of ways in the order in which they are done together; of one way alone in its own. */
function stepsInOrder(used: readonly Used[], from: CardFrom, lacks: CardLack[]): Drafted[] {
  const staged = used.flatMap((one) => {
    const stages = used.length === 1 ? [] : stagesOf(one.way);
    return one.way.steps.flatMap((step, place) =>
      stepsOf(one, step, from, lacks).map((drafted) => ({ drafted, stage: stages[place] ?? 0 })),
    );
  });
  return staged.toSorted((one, other) => one.stage - other.stage).map(({ drafted }) => drafted);
}

/** The reminders of the machine that ask for what is done: each is reset in the machine's own way, in the place of a step that knows no code. */
function withReminders(
  steps: readonly Drafted[],
  tasks: readonly Task[],
  from: CardFrom,
): Drafted[] {
  const ids = new Set(tasks.map(({ id }) => id));
  const own = (from.machine.reminders ?? []).flatMap(({ code, reset, tasks: named }): Drafted[] => {
    const asked = (named ?? []).filter((id) => ids.has(id));
    if (asked.length === 0) return [];
    const name = reset ? `Reset ${code}: ${reset}` : `Reset ${code} as the handbook says`;
    const rest = { id: "", from: [], kind: "reset", name, code, mayNotApply: true } as const;
    return [{ ...rest, tasks: asked, fluidKind: null, about: "" }];
  });
  if (own.length === 0) return [...steps];
  return [...steps.filter(({ kind, code }) => kind !== "reset" || (code ?? null) !== null), ...own];
}

/** What puts a finding right, as far as it says how: the work itself, its parts, and a look afterwards. */
function findingSteps(finding: Finding, { parts }: CardFrom): Drafted[] {
  const { what, todo, where, side } = finding;
  const about = [what, where, side].filter(Boolean).join(", ");
  const base = { id: "", from: [], fluidKind: null, about: `${about} ${todo ?? ""}` } as const;
  const fits = (finding.parts ?? []).flatMap(({ part: id, count }): Drafted[] => {
    const part = parts.find((one) => one.id === id);
    if (part === undefined) return [];
    const name = `Fit ${part.number} ${part.name}`;
    return [{ ...base, kind: "fit", name, part: id, count: Math.max(1, Math.ceil(count ?? 1)) }];
  });
  const seen = about === "" ? (finding.kind ?? "What was found") : about;
  return [
    { ...base, kind: "look", name: `As it was found: ${seen}` },
    { ...base, kind: "do", name: todo ? `Put right: ${todo}` : `Put right: ${seen}` },
    ...fits,
    { ...base, kind: "look", name: `Sound again: ${seen}` },
  ];
}

/** Steps with the names they have on the card; what waits for others waits for those. */
function numbered(drafted: readonly Drafted[]): JobStep[] {
  const nameAt = (at: number): string => `step${String(at + 1)}`;
  const names = new Map(
    drafted.flatMap(({ from }, at) => from.map((place) => [place, nameAt(at)] as const)).reverse(),
  );
  return drafted.map(({ fluidKind: _, about: __, from: ___, after, ...step }, at) => ({
    ...{ ...step, id: nameAt(at) },
    ...(after === undefined ? {} : { after: after.map((id) => names.get(id) ?? id) }),
  }));
}

/**
 * The card of some tasks and findings of a machine, made from its plate, its fitments and the methods (job rules §1): cautions
 * before the first step each concerns, shared accesses opened once, what is looked at before it is drained, the filler before
 * the drain, all filled before it runs. Work for others is no step of it. Without any task or finding it is empty, for a person to fill.
 */
export function makeCard(
  tasks: readonly Task[],
  from: CardFrom,
  findings: readonly Finding[] = [],
): MadeCard {
  const lacks: CardLack[] = [];
  const others = tasks.flatMap((task) => forOthers(task) ?? []);
  const own = tasks.filter(({ id }) => others.every(({ task, isAll }) => task !== id || !isAll));
  const used = oncePerSystem(own.flatMap((task) => waysFor(task, from, lacks)));
  const { open, shut } = accessSteps(own);
  const work = withReminders(stepsInOrder(used, from, lacks), own, from);
  const found = findings.flatMap((finding) => findingSteps(finding, from));
  const drafted = withCautions(together([...open, ...work, ...found, ...shut]));
  const steps = numbered(drafted);
  const withUses = own.map((task) => {
    const uses = used.filter(({ tasks: of }) => of.includes(task)).flatMap(({ use }) => use ?? []);
    return { ...task, uses };
  });
  const takes = plannedWork(withUses, from);
  return {
    ...{ tasks: tasks.map(({ id }) => id), findings: findings.map(({ id }) => id), steps, takes },
    short: shortagesOf(takes, from),
    tools: toolsFor(used, steps),
    pan: panFor(steps),
    forOthers: others.map(({ isAll: _, ...told }) => told),
    lacks: once(lacks),
    issues: cardIssues(steps),
  };
}
