import type { Fluid } from "../../../book/records/fluid.js";
import type { MethodStep } from "../../../book/records/step.js";
import type { MachinePlate } from "../../../book/slice/machinePlate.js";
import { FLUID_KINDS, type FluidKind } from "../../../fluid/kinds.js";

/** What a way to work is chosen by, where a machine may be built for one or the other. */
export interface WayAsked {
  /** The name of the task. */
  readonly name: string;
  readonly fluid: Fluid;
  readonly plate: MachinePlate;
}

/**
 * A way to do a kind of work, as a record of `methods` holds it: `$` places in its steps are filled in from the plate
 * of a machine. A step whose `system` is `$system` is one of the fluid it is used on, one whose `part` is `$parts` stands once
 * for each part fitted for the task; `points` may be `$grease`, `$bleed`, `$wheels` or `$each`.
 */
export interface Way {
  readonly name: string;
  /** Kinds of fluid it renews, and the tools it needs beside those of the service points. */
  readonly uses: readonly string[];
  readonly steps: readonly MethodStep[];
  /** What tasks are called that it is for, where they do not say which fluid they use; no task where absent. */
  readonly words?: RegExp;
  /** Whether it is for a machine built so, or a task that asks for it; else for any. */
  readonly suits?: (asked: WayAsked) => boolean;
  /** It is work for others: why, what to tell them and what to ask for back. */
  readonly others?: {
    readonly because: "licensed" | "specialist tools" | "warranty";
    readonly tell: string;
    readonly ask: string;
  };
}

/** The kinds of fluid that a way renews. */
export function fluidKindsOf({ uses }: Pick<Way, "uses">): FluidKind[] {
  return FLUID_KINDS.filter((kind) => uses.includes(kind));
}

/** The tools that a way needs. */
export function toolsOf({ uses }: Pick<Way, "uses">): string[] {
  return uses.filter((use) => !(FLUID_KINDS as readonly string[]).includes(use));
}

export type StepDraft = Omit<MethodStep, "id">;

/** A step of the fluid system that the way is used on. */
export const ofSystem = (step: Omit<StepDraft, "system">): StepDraft => ({
  ...step,
  system: "$system",
});

/** A way with its steps numbered. */
export function way({
  steps,
  ...rest
}: Omit<Way, "steps"> & { readonly steps: readonly StepDraft[] }): Way {
  return { ...rest, steps: steps.map((step, at) => ({ ...step, id: `s${at + 1}` })) };
}

/** May be left out without giving its task up. */
const ifSo = (step: StepDraft): StepDraft => ({ ...step, mayNotApply: true });

/** Steps that many ways have in common. */
export const COMMON = {
  ifSo,
  open: ofSystem({ kind: "open", name: "Loosen $filler: it can be refilled" }),
  drain: ofSystem({ kind: "drain", name: "Drain through $drain into a clean pan" }),
  magnet: ofSystem({
    kind: "look",
    name: "Plug and magnet before they are wiped: paste, flakes or chips",
  }),
  plug: ofSystem({ kind: "close", of: "drain", name: "$drain back$seal$torque" }),
  fill: ofSystem({ kind: "fill", name: "Fill with $product to $mark" }),
  cap: ofSystem({ kind: "close", of: "fill", name: "Close $filler$fillseal$filltorque" }),
  settle: ofSystem({ kind: "wait", name: "Let it settle before it is read", minutes: 5 }),
  level: ofSystem({ kind: "look", name: "Level again: $mark, and dry all round" }),
  sample: ifSo({
    kind: "do",
    name: "Sample, where one is due: warm, from mid-stream or by the stick, before anything is added or flushed; labelled",
  }),
  parts: { kind: "fit", name: "Fit", part: "$parts" },
  handTurn: ifSo({
    kind: "torque",
    name: "Screw-on filter: filled first only where its maker says so, seal wetted, by hand until it meets, then its part turn; a housing to its torque",
  }),
  wander: ifSo({
    kind: "do",
    name: "What wanders from old to new (sensor, magnet, spring, clips, rings) photographed, then moved over: arrow with the flow, each ring in its groove",
  }),
} as const satisfies Readonly<Record<string, StepDraft | typeof ifSo>>;
