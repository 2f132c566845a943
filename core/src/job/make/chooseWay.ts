import type { Fluid } from "../../book/records/fluid.js";
import type { Task, TaskUse } from "../../book/records/task.js";
import type { MachinePlate } from "../../book/slice/machinePlate.js";
import { valueIn } from "../../quantity/quantity.js";
import { dimensionOf } from "../../quantity/unit.js";
import { quantityOfUse } from "../../stores/taskNeeds.js";
import type { CardFrom } from "./cardFrom.js";
import { METHODS, plainWay } from "./library/index.js";
import { fluidKindsOf, type Way } from "./library/way.js";
import type { CardLack } from "./places.js";

/** A way as it is used for a task, or for several that are of one fluid system. */
export interface Used {
  readonly way: Way;
  /** Whether it is the machine's own, or of the book: it is kept as it is. */
  readonly isOwn: boolean;
  readonly tasks: readonly Task[];
  readonly use: TaskUse | null;
  readonly fluid: Fluid | null;
}

/** The words of a name that tell one system from another. */
const tellingWords = (name: string): string[] =>
  name
    .toLowerCase()
    .match(/engine|gear|box|axle|hydraulic|transfer|hub|steer|rear|front|rotor|loop/g) ?? [];

/** The fluid systems that a way is used on for a task that names none: the only one, or those its name tells. */
function fluidsFor(task: Task, way: Way, { fluids }: MachinePlate): Fluid[] {
  const kinds = fluidKindsOf(way);
  const fitting = fluids.filter(({ kind }) => kinds.includes(kind));
  const named = tellingWords(task.name);
  const told = fitting.filter(({ system }) =>
    tellingWords(system).some((word) => named.includes(word)),
  );
  if (told.length > 0) return told;
  return fitting.length === 1 ? fitting : [];
}

/** The way of the machine or of the book for a task: its own steps, the method it names, else one kept for its kind of machine under its name. */
function ownWay(task: Task, { methods, machine }: CardFrom): Way | null {
  const steps = task.steps ?? [];
  const named = methods.find(({ id }) => id === task.method);
  // What is not said of an own way, the kind of fluid and the tools, is that of the usual one.
  const usual = METHODS.find(({ words }) => words?.test(task.name))?.uses ?? [];
  const usesOf = (said: readonly string[] | undefined): readonly string[] =>
    (said ?? []).length > 0 ? (said ?? []) : usual;
  if (steps.length > 0) return { name: task.name, uses: usesOf(named?.uses), steps };
  const kept =
    named ??
    methods.find(
      ({ name, kinds }) =>
        name.toLowerCase() === task.name.toLowerCase() &&
        ((kinds ?? []).length === 0 || (kinds ?? []).includes(machine.kind)),
    );
  return (kept?.steps ?? []).length === 0 || kept === undefined
    ? null
    : { name: kept.name, uses: usesOf(kept.uses), steps: kept.steps ?? [] };
}

/** The way of the library for work on a fluid: one that the task's name or the build of the machine asks for, else the usual one of its kind. */
function fluidWay(task: Task, fluid: Fluid, { plate }: CardFrom): Way | undefined {
  return METHODS.find(
    (way) =>
      fluidKindsOf(way).includes(fluid.kind) &&
      way.suits?.({ name: task.name, fluid, plate }) !== false,
  );
}

/** The ways that tasks are done by, each with the system it is used on; what no system is known for is told. */
export function waysFor(task: Task, from: CardFrom, lacks: CardLack[]): Used[] {
  const chosen = METHODS.find(({ name }) => name === from.chosen?.get(task.id));
  const own = chosen === undefined ? ownWay(task, from) : null;
  const tasks = [task];
  const uses = (task.uses ?? []).flatMap((use): Used[] => {
    const fluid = from.plate.fluids.find(({ id }) => id === use.fluid);
    const way = own ?? chosen ?? (fluid === undefined ? undefined : fluidWay(task, fluid, from));
    return fluid === undefined || way === undefined
      ? []
      : [{ way, isOwn: own !== null, tasks, use, fluid }];
  });
  const [first] = uses;
  if (first !== undefined) return own === null ? uses : [first];
  const way =
    own ?? chosen ?? METHODS.find(({ words }) => words?.test(task.name)) ?? plainWay(task.name);
  const isOwn = own !== null;
  const systems = new Set(way.steps.flatMap(({ system }) => system ?? []));
  const worked = from.plate.fluids.find(({ id }) => systems.has(id)) ?? null;
  if (fluidKindsOf(way).length === 0 || worked !== null) {
    const use = worked === null ? null : { fluid: worked.id };
    return [{ way, isOwn, tasks, use, fluid: worked }];
  }
  const fluids = fluidsFor(task, way, from.plate);
  if (fluids.length > 0) {
    return fluids.map((fluid) => ({
      ...{ isOwn, tasks, use: { fluid: fluid.id }, fluid },
      way: own ?? chosen ?? fluidWay(task, fluid, from) ?? way,
    }));
  }
  lacks.push({ code: "system", task: task.id });
  return [{ way: plainWay(task.name), isOwn, tasks, use: null, fluid: null }];
}

/** The ways that a task may be done by. */
export interface WaysToChoose {
  /** What it is done by where none is chosen. */
  readonly usual: string;
  /** Whether that is the machine's own way, or a method of the book. */
  readonly isOwn: boolean;
  /** Names of the others, of the library: those for the same kind of fluid, or that its name asks for. */
  readonly others: readonly string[];
}

/** Which ways a task of a machine may be done by, whatever was chosen for it: those of the library for its fluid or its name, beside the one it is done by. */
export function waysToChoose(task: Task, from: CardFrom): WaysToChoose {
  const used = waysFor(task, { ...from, chosen: new Map() }, []);
  const kinds = new Set<string>(used.flatMap(({ fluid }) => fluid?.kind ?? []));
  const [first] = used;
  const usual = first?.way.name ?? task.name;
  const isOwn = first?.isOwn ?? false;
  const fits = (way: Way): boolean =>
    kinds.size === 0
      ? way.words?.test(task.name) === true
      : fluidKindsOf(way).some((kind) => kinds.has(kind));
  const others = METHODS.filter((way) => fits(way) && (isOwn || way.name !== usual));
  return { usual, isOwn, others: others.map(({ name }) => name) };
}

/** Litres that a task takes of a system; null where they are not known, or it is weighed. */
export function litresOf({ use, fluid }: Pick<Used, "use" | "fluid">): number | null {
  const amount = use === null || fluid === null ? null : quantityOfUse(use, fluid);
  return amount === null || dimensionOf(amount.unit) !== "volume" ? null : valueIn(amount, "L");
}

/** A system is opened, drained and filled once for all its tasks: the machine's own way before others, with the most that one of them takes. */
export function oncePerSystem(used: readonly Used[]): Used[] {
  const all: Used[] = [];
  for (const one of used) {
    const at = all.findIndex(({ fluid }) => fluid !== null && fluid === one.fluid);
    const known = all[at];
    if (known === undefined) all.push(one);
    else {
      const larger = (litresOf(one) ?? 0) > (litresOf(known) ?? 0) ? one : known;
      const { way, isOwn } = known.isOwn || !one.isOwn ? known : one;
      const kept = known.isOwn === one.isOwn ? larger : { ...larger, way, isOwn };
      all[at] = { ...kept, tasks: [...known.tasks, ...one.tasks] };
    }
  }
  return all;
}
