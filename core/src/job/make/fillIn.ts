import type { Fluid } from "../../book/records/fluid.js";
import type { LevelBy } from "../../book/records/levelBy.js";
import type { MethodStep } from "../../book/records/step.js";
import type { MachinePlate } from "../../book/slice/machinePlate.js";
import { plannedFilling } from "../../ledger/plannedWork.js";
import type { Quantity } from "../../quantity/quantity.js";
import { valueIn } from "../../quantity/quantity.js";
import { dimensionOf } from "../../quantity/unit.js";
import { conditionOfUse, workingQuantity } from "../../stores/taskNeeds.js";
import type { CardFrom } from "./cardFrom.js";
import type { Drafted } from "./cautions.js";
import { litresOf, type Used } from "./chooseWay.js";
import { placesOf, stepFigure, type CardLack } from "./places.js";

const WHEELED_BY_TWO = /motorcycle|scooter|bicycle|moped/i;
const WHEELED_BY_THREE = /trike|three-wheel/i;

/** The wheels of a kind of machine, as they are called. */
function wheelsOf(kind: string): string[] {
  const rear = ["rear left", "rear right"];
  if (WHEELED_BY_TWO.test(kind)) return ["front", "rear"];
  if (WHEELED_BY_THREE.test(kind)) return ["front", ...rear];
  return ["front left", "front right", ...rear];
}

/** Each place of a point that there are several of: `joint 1`, `joint 2`. */
const eachOf = (name: string, count: number | null | undefined): string[] =>
  (count ?? 1) === 1
    ? [name]
    : Array.from({ length: count ?? 1 }, (_, at) => `${name} ${String(at + 1)}`);

/** How many parts a task takes, as points `1`, `2`, …; none where it is one, or not known. */
function eachPart({ tasks }: Used, { fitments }: MachinePlate): string[] {
  const count = fitments
    .filter(({ tasks: needed }) => tasks.some(({ id }) => (needed ?? []).includes(id)))
    .reduce((most, { perService }) => Math.max(most, perService ?? 1), 0);
  return count > 1 ? Array.from({ length: count }, (_, at) => String(at + 1)) : [];
}

/** What the points of a step are. */
function pointsOf(step: MethodStep, used: Used, { plate, machine }: CardFrom): string[] {
  const ofPurpose = (purpose: "grease" | "bleed"): string[] =>
    plate.servicePoints
      .filter(
        (point) =>
          point.purpose === purpose && (purpose === "grease" || point.fluid === used.fluid?.id),
      )
      .flatMap(({ name, count }) => eachOf(name, count));
  return (step.points ?? []).flatMap((point) => {
    switch (point) {
      case "$grease":
        return ofPurpose("grease");
      case "$bleed":
        return ofPurpose("bleed");
      case "$wheels":
        return wheelsOf(machine.kind);
      case "$each":
        return eachPart(used, plate);
      default:
        return [point];
    }
  });
}

const TORQUE_PLACE = /\$torque:([a-z-]+)/;

/** The torque that the plate specifies under a word such as `wheel` or `spark-plug`, or a service point has for that use. */
function torqueNamed(
  word: string,
  { specifications, servicePoints }: MachinePlate,
): Quantity | null {
  const isNamed = (name: string): boolean => name.toLowerCase().includes(word.replace("-", " "));
  const specified = specifications
    .filter(({ name }) => isNamed(name))
    .flatMap(({ least }) => (least && dimensionOf(least.unit) === "torque" ? [least] : []));
  const ofPoints = servicePoints.flatMap(({ torqueUse, torque }) =>
    torque && torqueUse === word ? [torque] : [],
  );
  return specified[0] ?? ofPoints[0] ?? null;
}

/** The parts that a task takes, a step each. */
function partSteps({ tasks, fluid }: Used, from: CardFrom, base: Drafted): Drafted[] {
  return from.plate.fitments
    .filter(({ tasks: needed }) => tasks.some(({ id }) => (needed ?? []).includes(id)))
    .flatMap(({ part: id, perService, position, side, note }): Drafted[] => {
      const part = from.parts.find((one) => one.id === id);
      if (part === undefined) return [];
      const where = [position, side].filter(Boolean).join(", ");
      const name = `Fit ${part.number} ${part.name}${where === "" ? "" : `: ${where}`}`;
      const count = Math.max(1, Math.ceil(perService ?? 1));
      const step = { ...base, name, part: id, count, ...(note ? { note } : {}) };
      return [fluid === null ? step : { ...step, system: fluid.id }];
    });
}

/** What a step of a way is called among all that a card is made of. */
const placeOf = ({ tasks, fluid }: Used, id: string): string =>
  JSON.stringify([tasks.map((task) => task.id), fluid?.id ?? null, id]);

/** Fields of a step of a method that a card takes over as they are. */
function plainFields(step: MethodStep) {
  const { id: _, name: __, points: ___, system: ____, part, after: _____, ...rest } = step;
  const isOfPlate = (part ?? "").startsWith("$");
  return { ...rest, ...(part && !isOfPlate ? { part: part as Drafted["part"] } : {}) };
}

/** What the whole unit holds, litres; of what is not drained apart, all that goes in dry. */
function vesselOf(fluid: Fluid): number | null {
  const dry = (fluid.capacities ?? []).some(({ condition }) => condition === "dry");
  const whole = fluid.vessel ?? (dry ? workingQuantity(fluid, "dry") : null);
  return whole !== null && dimensionOf(whole.unit) === "volume" ? valueIn(whole, "L") : null;
}

/** How much goes out or in at a step of a system, as far as it is known. */
function amountsOf(
  step: MethodStep,
  used: Used,
  fluid: Fluid,
  lacks: CardLack[],
): Partial<Drafted> {
  const litres = litresOf(used);
  const { system } = fluid;
  if (step.kind === "passes") {
    const vessel = vesselOf(fluid);
    if (vessel === null) lacks.push({ code: "vessel", system });
    const pass = litres !== null && (vessel === null || litres < vessel) ? litres : null;
    return { vessel: step.vessel ?? vessel, pass: step.pass ?? (step.inFirst ? null : pass) };
  }
  if (step.kind !== "drain" && step.kind !== "fill") return {};
  if (step.expected) return {};
  const isFirst = used.way.steps.find(({ kind }) => kind === "fill")?.id === step.id;
  const isAfterPasses = used.way.steps.some(({ kind }) => kind === "passes");
  if (isAfterPasses || (step.kind === "fill" && !isFirst)) return {};
  if (litres === null) lacks.push({ code: "capacity", system });
  return litres === null ? {} : { expected: litres };
}

/** Under which condition a fill goes by the plate, so that it teaches the capacity of that one. */
function conditionOf({ kind }: MethodStep, { use }: Used, fluid: Fluid): Partial<Drafted> {
  const condition = kind === "fill" && use !== null ? conditionOfUse(use, fluid) : null;
  return condition === null ? {} : { condition };
}

/** How the level is read that a step names, and the temperatures between which it holds where the plate has them. */
function readAt(name: string, by: LevelBy | null, { level }: Fluid): Partial<Drafted> {
  const mark = name.includes("$mark") && by !== null ? { mark: by } : {};
  const [from, to] = [level?.from ?? null, level?.to ?? null];
  const isAtWindow = /\$(mark|window)/.test(name) && (from !== null || to !== null);
  return isAtWindow ? { ...mark, window: { from, to } } : mark;
}

/** A step of a way as it stands on a card: filled in from the plate, for the system it is used on. */
export function stepsOf(
  used: Used,
  step: MethodStep,
  from: CardFrom,
  lacks: CardLack[],
): Drafted[] {
  const { tasks, fluid } = used;
  const isOfSystem = step.system === "$system" && fluid !== null;
  const given = isOfSystem ? fluid : from.plate.fluids.find(({ id }) => id === step.system);
  const base: Drafted = {
    ...{ id: "", kind: step.kind, name: step.name, tasks: tasks.map(({ id }) => id) },
    from: [placeOf(used, step.id)],
    about: tasks.map(({ name }) => name).join(" "),
    fluidKind: given?.kind ?? (step.part === "$parts" ? (fluid?.kind ?? null) : null),
  };
  if (step.part === "$parts") return partSteps(used, from, base);
  const points = pointsOf(step, used, from);
  const named = TORQUE_PLACE.exec(step.name ?? "")?.[1];
  const specified = named === undefined ? null : torqueNamed(named, from.plate);
  const name = (step.name ?? "").replace(
    TORQUE_PLACE,
    specified === null ? "" : `, ${stepFigure(specified)}`,
  );
  const made = {
    ...(/\$/.test(step.name ?? "") ? { name: step.name } : {}),
    ...((step.points ?? []).some((point) => point.startsWith("$")) ? { points: step.points } : {}),
  };
  const whole: Drafted = {
    ...(Object.keys(made).length === 0 ? {} : { made }),
    ...{ ...base, ...plainFields(step), name },
    ...(points.length === 0 ? {} : { points }),
    ...(specified === null ? {} : { torque: specified }),
    ...(step.after === undefined ? {} : { after: step.after.map((id) => placeOf(used, id)) }),
  };
  if (given === undefined || given === null) return [whole];
  const here = given === fluid ? used : { ...used, use: { fluid: given.id }, fluid: given };
  const { product } = plannedFilling(given, from);
  const coldest = from.machine.duty?.coldestStart ?? null;
  const places = placesOf(given, {
    ...{ product, litres: litresOf(here), plate: from.plate },
    coldest: coldest === null ? null : valueIn(coldest, "degC"),
  });
  lacks.push(...places.lacks(name));
  const point = places.pointIn(name);
  const minutes = step.kind === "wait" ? (given.level?.minutes ?? step.minutes) : step.minutes;
  return [
    {
      ...{ ...whole, ...amountsOf(step, here, given, lacks) },
      ...{ name: places.fill(name), system: given.id },
      ...conditionOf(step, here, given),
      ...((minutes ?? null) === null ? {} : { minutes }),
      ...(point?.torque && step.kind === "close" ? { torque: point.torque } : {}),
      ...(step.kind === "close" && (point?.count ?? 1) > 1 && point !== null
        ? { points: eachOf(point.name, point.count) }
        : {}),
      ...(point?.tool ? { tool: point.tool } : {}),
      ...readAt(name, places.mark, given),
    },
  ];
}
