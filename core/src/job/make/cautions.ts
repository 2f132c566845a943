import type { FluidKind } from "../../fluid/kinds.js";
import type { JobStep } from "../../book/records/step.js";
import type { StepKind } from "../card.js";

/** A step that is being put on a card, with what it is about. */
export interface Drafted extends JobStep {
  /** What it was called where it was taken from, for what waits for it. */
  readonly from: readonly string[];
  /** The kind of the fluid of its system; null where it has none. */
  readonly fluidKind: FluidKind | null;
  /** The names of its tasks, or what is to be put right or opened up, in which what is dangerous is found. */
  readonly about: string;
}

/** A danger: what must be so before work goes on, and the work it concerns. */
interface Danger {
  /** Which of the usual dangers it is. */
  readonly danger: string;
  readonly name: string;
  readonly concerns: (step: Drafted) => boolean;
  /** Whether whoever takes the job up must see to it anew. */
  readonly again?: boolean;
}

const FLUID_STEPS: ReadonlySet<StepKind> = new Set(["open", "drain", "passes", "fill"] as const);
const isFluidWork = ({ kind }: Drafted): boolean => FLUID_STEPS.has(kind);
const isOf = (step: Drafted, ...kinds: FluidKind[]): boolean =>
  step.fluidKind !== null && kinds.includes(step.fluidKind);
const says = ({ about }: Drafted, words: RegExp): boolean => words.test(about);

/** The usual dangers (safety), each with the work it can arise in. The handbook, local codes and licensed practice win over all of them. */
export const DANGERS: readonly Danger[] = [
  {
    danger: "it starts or moves by itself",
    name: "Engine off, key out, isolated; take-off disengaged, implement lowered, self-levelling off",
    concerns: ({ kind }) => kind !== "look",
    again: true,
  },
  {
    danger: "raised machine",
    name: "On level ground, wheels chocked; raised only on stands, never on a jack alone",
    concerns: (step) =>
      step.kind === "drain" || says(step, /wheel|brake|tyre|pads|shoes|axle|track|underneath/i),
    again: true,
  },
  {
    danger: "hot cooling system",
    name: "The cooling system is cold: a hot one is never opened",
    concerns: (step) => isFluidWork(step) && isOf(step, "coolant"),
    again: true,
  },
  {
    danger: "hot oil and exhausts",
    name: "Warm, not hot: warm oil drains better, hot oil and exhaust burn; gloves on",
    concerns: (step) =>
      step.kind === "drain" &&
      isOf(
        step,
        "engine oil",
        "gear oil",
        "automatic transmission fluid",
        "hydraulic oil",
        "differential oil",
      ),
  },
  {
    danger: "used oil on skin",
    name: "Used fluid off the skin: gloves, and rags not in pockets",
    concerns: ({ kind }) => kind === "drain" || kind === "passes",
  },
  {
    danger: "waste",
    name: "A marked can stands ready for what comes out: it is handed in by local rules",
    concerns: ({ kind }) => kind === "drain" || kind === "passes",
  },
  {
    danger: "fuel and vapour",
    name: "No flame or spark, doors open, extinguisher at hand: fuel vapour burns",
    concerns: (step) =>
      isOf(step, "fuel") || says(step, /fuel|injector|petrol|gas installation|spark plug/i),
  },
  {
    danger: "pressurised jets",
    name: "Pressure let off; a leak is never felt for by hand: a jet goes through skin",
    concerns: (step) =>
      isOf(step, "hydraulic oil", "power steering fluid") || says(step, /hydraulic|injector/i),
  },
  {
    danger: "raised arms and tilt cabs",
    name: "Raised arms, bodies and tilted cabs on their locks",
    concerns: (step) =>
      isOf(step, "hydraulic oil") || says(step, /hydraulic|tilt|cab\b|body|ramp|lift|conveyor/i),
  },
  {
    danger: "brakes and steering",
    name: "Brakes and steering are tried before it moves off; in doubt a licensed person does it",
    concerns: (step) =>
      isOf(step, "brake fluid", "power steering fluid") || says(step, /brake|steering/i),
  },
  {
    danger: "fluids that harm paint",
    name: "Paint covered and water at hand: brake fluid eats it",
    concerns: (step) => isOf(step, "brake fluid"),
  },
  {
    danger: "refrigerant",
    name: "The refrigerant circuit stays shut: licensed people only",
    concerns: (step) =>
      isOf(step, "refrigerant") || says(step, /refrigerant|condenser|air.?condition/i),
  },
  {
    danger: "batteries",
    name: "Goggles, no spark, ventilated; earth lead off first and on last",
    concerns: (step) => says(step, /batter/i),
  },
  {
    danger: "stored energy",
    name: "Springs, air, accumulators and high voltage are let off or left to licensed people",
    concerns: (step) =>
      says(
        step,
        /spring|belt|chain|rope|winch|air.?dryer|accumulator|battery coolant|high.?voltage|tension/i,
      ),
  },
  {
    danger: "heavy parts",
    name: "Heavy: two people or a hoist, feet clear",
    concerns: (step) => says(step, /wheel|batter|flail|track|rotor|haul/i) && step.kind !== "look",
  },
  {
    danger: "running engine indoors",
    name: "Outdoors, or the exhaust led out: fumes kill",
    concerns: ({ kind }) => kind === "run",
  },
  {
    danger: "rotating parts",
    name: "Clear of fans, belts and shafts before it starts: sleeves and hair tied back",
    concerns: (step) => step.kind === "run" || says(step, /belt|rotor|flail|conveyor|\bpto\b/i),
  },
];

/** Whether a caution stands on a card already, before a step it concerns. */
function isMet(name: string, steps: readonly Drafted[], first: Drafted): boolean {
  const at = steps.findIndex((step) => step.kind === "caution" && step.name === name);
  return at >= 0 && at < steps.indexOf(first);
}

/** The cautions that stand before the first step each concerns, for the tasks of the steps it concerns. */
export function withCautions(steps: readonly Drafted[]): Drafted[] {
  const before = new Map<number, Drafted[]>();
  for (const { name, concerns, again } of DANGERS) {
    const concerned = steps.filter((step) => step.kind !== "caution" && concerns(step));
    const first = concerned[0];
    if (first === undefined || isMet(name, steps, first)) continue;
    const tasks = [...new Set(concerned.flatMap((step) => step.tasks ?? []))];
    const caution: Drafted = {
      ...{ id: "", from: [], kind: "caution", name, tasks, fluidKind: null, about: "" },
      ...(again === true ? { again: true } : {}),
    };
    const place = steps.indexOf(first);
    before.set(place, [...(before.get(place) ?? []), caution]);
  }
  return steps.flatMap((step, place) => [...(before.get(place) ?? []), step]);
}
