import type { Fluid } from "../../book/records/fluid.js";
import type { Task, TaskUse } from "../../book/records/task.js";
import type { MachinePlate } from "../../book/slice/machinePlate.js";
import {
  plannedFilling,
  plannedWork,
  type PlannedFrom,
  type PlannedWork,
} from "../../ledger/plannedWork.js";
import { formatQuantity } from "../../quantity/formatQuantity.js";
import { valueIn } from "../../quantity/quantity.js";
import { dimensionOf } from "../../quantity/unit.js";
import { quantityOfUse } from "../../stores/taskNeeds.js";
import { cardIssues, type CardIssue } from "../cardIssues.js";
import type { CardStep } from "../card.js";
import { withCautions, type Drafted } from "./cautions.js";
import { METHODS, plainMethod, type MethodStep, type WorkMethod } from "./methods.js";
import { placesOf, type CardLack } from "./places.js";

/** Work that is for others: why, and what to tell them. */
interface ForOthers {
  readonly task: string;
  readonly because: string;
  readonly tell: string | null;
}

/** A card as it would be made for tasks of a machine. */
export interface MadeCard {
  readonly tasks: readonly string[];
  readonly steps: readonly CardStep[];
  /** What is to be laid out: fluids and parts, as far as they are known. */
  readonly takes: PlannedWork;
  /** Tools with their sizes, each once. */
  readonly tools: readonly string[];
  /** Litres that the drain pan must hold: the most that comes out of one system; null where nothing is drained, or how much is not known. */
  readonly pan: number | null;
  readonly forOthers: readonly ForOthers[];
  /** What the plate lacks for it. */
  readonly lacks: readonly CardLack[];
  /** What keeps it from being begun; of a card made from methods nothing should. */
  readonly issues: readonly CardIssue[];
}

/** A method as it is used for a task, or for several that are of one fluid system. */
interface Used {
  readonly method: WorkMethod;
  readonly tasks: readonly Task[];
  readonly use: TaskUse | null;
  readonly fluid: Fluid | null;
}

/** What is done when (job rules §3): what is open before it is drained, all that is filled before it runs. */
const STAGE = {
  before: 1,
  open: 2,
  drain: 3,
  work: 4,
  fill: 5,
  run: 6,
  after: 7,
  reset: 8,
} as const;

/** The stages of the steps of a method, by what stands before them. */
function stagesOf({ steps }: WorkMethod): number[] {
  const opensAt = steps.findIndex(({ kind }) => kind === "open");
  const runsAt = steps.findIndex(({ kind }) => kind === "run");
  return steps.map(({ kind, of }, place) => {
    if (kind === "reset") return STAGE.reset;
    if (kind === "run") return STAGE.run;
    if (runsAt >= 0 && place > runsAt) return STAGE.after;
    if (kind === "open") return STAGE.open;
    if (kind === "drain" || kind === "passes") return STAGE.drain;
    if (kind === "fill" || of === "fill") return STAGE.fill;
    return place < opensAt ? STAGE.before : STAGE.work;
  });
}

/** The words of a name that tell one system from another. */
const tellingWords = (name: string): string[] =>
  name.toLowerCase().match(/engine|gear|box|axle|hydraulic|transfer|hub|steer|rear|front/g) ?? [];

/** The fluid systems that a method is used on for a task: those it uses, else the only one, or the one its name tells. */
function fluidsFor(task: Task, { kinds }: WorkMethod, { fluids }: MachinePlate): Fluid[] {
  const fitting = fluids.filter(({ kind }) => kinds.includes(kind));
  const named = tellingWords(task.name);
  const told = fitting.filter(({ system }) =>
    tellingWords(system).some((word) => named.includes(word)),
  );
  if (told.length > 0) return told;
  return fitting.length === 1 ? fitting : [];
}

function methodsFor(task: Task, plate: MachinePlate, lacks: CardLack[]): Used[] {
  const uses = task.uses ?? [];
  const ofUses = uses.flatMap((use): Used[] => {
    const fluid = plate.fluids.find(({ id }) => id === use.fluid);
    const method = METHODS.find(({ kinds }) => fluid !== undefined && kinds.includes(fluid.kind));
    return fluid === undefined || method === undefined
      ? []
      : [{ method, tasks: [task], use, fluid }];
  });
  if (ofUses.length > 0) return ofUses;
  const method = METHODS.find(({ words }) => words.test(task.name)) ?? plainMethod(task.name);
  if (method.kinds.length === 0) return [{ method, tasks: [task], use: null, fluid: null }];
  const fluids = fluidsFor(task, method, plate);
  if (fluids.length > 0) {
    const tasks = [task];
    return fluids.map((fluid) => ({ method, tasks, use: { fluid: fluid.id }, fluid }));
  }
  lacks.push({ code: "system", task: task.id });
  return [{ method: plainMethod(task.name), tasks: [task], use: null, fluid: null }];
}

/** Litres that a task takes of a system; null where they are not known, or it is weighed. */
function litresOf({ use, fluid }: Used): number | null {
  const amount = use === null || fluid === null ? null : quantityOfUse(use, fluid);
  return amount === null || dimensionOf(amount.unit) !== "volume" ? null : valueIn(amount, "L");
}

/** A system is opened, drained and filled once for all its tasks, with the most that one of them takes. */
function oncePerSystem(used: readonly Used[]): Used[] {
  const all: Used[] = [];
  for (const one of used) {
    const at = all.findIndex(({ fluid }) => fluid !== null && fluid === one.fluid);
    const known = all[at];
    if (known === undefined) all.push(one);
    else {
      const larger = (litresOf(one) ?? 0) > (litresOf(known) ?? 0) ? one : known;
      all[at] = { ...larger, tasks: [...known.tasks, ...one.tasks] };
    }
  }
  return all;
}

interface Making {
  readonly from: PlannedFrom;
  readonly lacks: CardLack[];
}

/** What the points of a step are. */
function pointsOf(step: MethodStep, plate: MachinePlate): string[] {
  if (step.points === "sides") return ["left", "right"];
  if (step.points !== "grease") return [];
  return plate.servicePoints
    .filter(({ purpose }) => purpose === "grease")
    .flatMap(({ name, count }) =>
      (count ?? 1) === 1
        ? [name]
        : Array.from({ length: count ?? 1 }, (_, at) => `${name} ${at + 1}`),
    );
}

/** The torque that the plate specifies under a name: `, 110 N·m`. */
function specifiedTorque(word: string | undefined, { specifications }: MachinePlate): string {
  const found = specifications.find(
    ({ name, least }) =>
      word !== undefined &&
      name.toLowerCase().includes(word) &&
      least !== null &&
      least !== undefined &&
      dimensionOf(least.unit) === "torque",
  );
  return found?.least
    ? `, ${formatQuantity(found.least, { decimal: ".", thousands: "\u00a0" })}`
    : "";
}

/** The parts that a task takes, a step each. */
function partSteps({ tasks, fluid }: Used, { from }: Making, base: Drafted): Drafted[] {
  return from.plate.fitments
    .filter(({ tasks: needed }) => tasks.some(({ id }) => (needed ?? []).includes(id)))
    .flatMap(({ part: id, perService, position, side }): Drafted[] => {
      const part = from.parts.find((one) => one.id === id);
      if (part === undefined) return [];
      const where = [position, side].filter(Boolean).join(", ");
      const name = `${part.number} ${part.name}${where === "" ? "" : `: ${where}`}`;
      const step = { ...base, name, part: id, count: perService ?? 1 };
      return [fluid === null ? step : { ...step, system: fluid.id }];
    });
}

/** A step of a method as it stands on a card. */
function stepsOf(used: Used, step: MethodStep, making: Making): Drafted[] {
  const { tasks, fluid } = used;
  const { plate } = making.from;
  const base: Drafted = {
    ...{ id: "", kind: step.kind, tasks: tasks.map(({ id }) => id) },
    about: tasks.map(({ name }) => name).join(" "),
    fluidKind: step.ofSystem === true || step.eachPart === true ? (fluid?.kind ?? null) : null,
  };
  if (step.eachPart === true) return partSteps(used, making, base);
  const torque = specifiedTorque(step.torqueOf, plate);
  const points = pointsOf(step, plate);
  const rest = {
    ...(points.length === 0 ? {} : { points }),
    ...(step.of === undefined ? {} : { of: step.of }),
    ...(step.minutes === undefined ? {} : { minutes: step.minutes }),
    ...(step.inFirst === true ? { inFirst: true } : {}),
    ...(step.meanwhile === true ? { meanwhile: true } : {}),
    ...(step.mayNotApply === true ? { mayNotApply: true } : {}),
  };
  if (step.ofSystem !== true || fluid === null) {
    return [{ ...base, ...rest, name: step.name.replace("$torque", torque) }];
  }
  const { product } = plannedFilling(fluid, making.from);
  const places = placesOf(fluid, product, plate);
  making.lacks.push(...places.lacks(step.name));
  const litres = litresOf(used);
  const isCounted = step.kind === "drain" || step.kind === "fill";
  if (isCounted && litres === null) making.lacks.push({ code: "capacity", system: fluid.system });
  const expected = isCounted && litres !== null ? { expected: litres } : {};
  return [{ ...base, ...rest, ...expected, name: places.fill(step.name), system: fluid.id }];
}

/** What is opened for tasks is opened once, before all and shut after all. */
function accessSteps(tasks: readonly Task[]): {
  readonly open: Drafted[];
  readonly shut: Drafted[];
} {
  const accesses = [...new Set(tasks.flatMap(({ access }) => access ?? []))];
  const stepFor = (name: string, access: string): Drafted => ({
    ...{ id: "", kind: "do", name, fluidKind: null, about: "" },
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
    const { tasks, about, ...rest } = step;
    const key = JSON.stringify(rest);
    const known = all.get(key);
    const joined = [...new Set([...(known?.tasks ?? []), ...(tasks ?? [])])];
    all.set(key, { ...rest, about: `${known?.about ?? ""} ${about}`, tasks: joined });
  }
  return [...all.values()];
}

const once = <T>(list: readonly T[]): T[] => [
  ...new Map(list.map((one) => [JSON.stringify(one), one])).values(),
];

/**
 * The card of some tasks of a machine, made from its plate, its fitments and the methods (job rules §1): cautions before
 * the first step each concerns, shared accesses opened once, what is looked at before it is drained, the filler before the
 * drain, all filled before it runs. Work for others is no step of it.
 */
export function makeCard(tasks: readonly Task[], from: PlannedFrom): MadeCard {
  const lacks: CardLack[] = [];
  const making = { from, lacks };
  const own = tasks.filter(({ outside }) => (outside ?? null) === null);
  const used = oncePerSystem(own.flatMap((task) => methodsFor(task, from.plate, lacks)));
  const staged = used.flatMap((one) => {
    const stages = stagesOf(one.method);
    return one.method.steps.flatMap((step, place) =>
      stepsOf(one, step, making).map((drafted) => ({ drafted, stage: stages[place] ?? 0 })),
    );
  });
  const inOrder = staged
    .toSorted((one, other) => one.stage - other.stage)
    .map(({ drafted }) => drafted);
  const { open, shut } = accessSteps(own);
  const drafted = withCautions(together([...open, ...inOrder, ...shut]));
  const steps = drafted.map(({ fluidKind: _, about: __, ...step }, at): CardStep => ({
    ...step,
    id: `step${at + 1}`,
  }));
  const withUses = own.map((task) => {
    const uses = used.filter(({ tasks: of }) => of.includes(task)).flatMap(({ use }) => use ?? []);
    return { ...task, uses };
  });
  const drains = steps.filter(({ kind }) => kind === "drain");
  const amounts = drains.flatMap(({ expected }) => expected ?? []);
  const systems = new Set(steps.flatMap(({ system }) => system ?? []));
  return {
    ...{ tasks: tasks.map(({ id }) => id), steps, takes: plannedWork(withUses, from) },
    tools: once(
      from.plate.servicePoints.flatMap(({ fluid, tool }) =>
        fluid && systems.has(fluid) && tool ? [tool] : [],
      ),
    ),
    pan: amounts.length === 0 ? null : Math.max(...amounts),
    forOthers: tasks.flatMap(({ id, outside }) =>
      outside ? [{ task: id, because: outside.because, tell: outside.tell ?? null }] : [],
    ),
    lacks: once(lacks),
    issues: cardIssues(steps),
  };
}
