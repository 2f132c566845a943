import { areOfOne, isCloseOf, systemOf, tasksOf, type CardStep } from "./card.js";

/** What a step that stands before a `run` must be for that to wait for it. */
const BEFORE_A_RUN: ReadonlySet<CardStep["kind"]> = new Set([
  ...(["open", "drain", "close", "fill", "passes", "torque", "fit", "wait"] as const),
]);

const shareATask = (one: CardStep, other: CardStep): boolean =>
  tasksOf(one).some((task) => tasksOf(other).includes(task));

/** Whether a caution concerns a step after it. */
function cautions(caution: CardStep, step: CardStep): boolean {
  if (step.kind === "run") return true;
  const isOfIts = systemOf(caution) === null || areOfOne(caution, step);
  return isOfIts && (tasksOf(caution).length === 0 || shareATask(caution, step));
}

type IsHeld = (step: CardStep) => boolean;

const isOneOf =
  (...kinds: readonly CardStep["kind"][]): IsHeld =>
  ({ kind }) =>
    kinds.includes(kind);

/** Which later steps of its own system a step holds, by its kind. */
const HOLDS_IN_SYSTEM: Readonly<Partial<Record<CardStep["kind"], IsHeld>>> = {
  open: isOneOf("drain", "passes"),
  drain: (step) => isCloseOf(step, "drain") || step.kind === "fill",
  passes: (step) => isCloseOf(step, "fill") || step.kind === "fill",
  fill: (step) => isCloseOf(step, "fill"),
  fit: isOneOf("fill"),
  wait: isOneOf("close", "fill"),
};

function holdsInSystem(first: CardStep, step: CardStep): boolean {
  if (first.kind === "close") return first.of === "drain" && step.kind === "fill";
  return HOLDS_IN_SYSTEM[first.kind]?.(step) === true;
}

/** Whether `first`, not closed, holds `step` by standing before it on the card (job rules §3). */
export function holdsByPlace(first: CardStep, step: CardStep): boolean {
  if (first.kind === "caution" && cautions(first, step)) return true;
  if (areOfOne(first, step) && holdsInSystem(first, step)) return true;
  return step.kind === "run" && BEFORE_A_RUN.has(first.kind);
}

/** Which steps hold each one while they are not closed: those it names, and those before it by what they are (job rules §3). */
export function holdersOf(
  steps: readonly CardStep[],
  placeOf: ReadonlyMap<string, number>,
): readonly (readonly number[])[] {
  return steps.map((step, place) => {
    const named = new Set((step.after ?? []).flatMap((id) => placeOf.get(id) ?? []));
    return steps.flatMap((holder, at) =>
      named.has(at) || (at < place && holdsByPlace(holder, step)) ? [at] : [],
    );
  });
}
