import type { FluidKind } from "../../fluid/kinds.js";
import type { StepKind } from "../card.js";

/** A step of a method. In its words `$` places are filled in from the plate: `$filler`, `$drain`, `$check`, `$product`, `$seal`, `$torque`. */
export interface MethodStep {
  readonly kind: StepKind;
  readonly name: string;
  /** Whether it is a step of the fluid system the method is used on. */
  readonly ofSystem?: boolean;
  readonly of?: "drain" | "fill";
  readonly minutes?: number;
  readonly inFirst?: boolean;
  readonly meanwhile?: boolean;
  readonly mayNotApply?: boolean;
  /** What its points are: the grease points of the plate, or both sides. */
  readonly points?: "grease" | "sides";
  /** A step for each part that is fitted for the task. */
  readonly eachPart?: boolean;
  /** A torque that the plate specifies under a name with this word. */
  readonly torqueOf?: string;
}

/** A way to do a kind of work. */
export interface WorkMethod {
  readonly name: string;
  /** The kinds of fluid it renews; none where it is no work on a fluid. */
  readonly kinds: readonly FluidKind[];
  /** What tasks are called that it is for, where they do not say which fluid they use. */
  readonly words: RegExp;
  readonly steps: readonly MethodStep[];
}

const system = (step: Omit<MethodStep, "ofSystem">): MethodStep => ({ ...step, ofSystem: true });

const OPEN = system({ kind: "open", name: "Loosen $filler: it can be refilled" });
const DRAIN = system({ kind: "drain", name: "Drain through $drain into a clean pan" });
const MAGNET = system({
  kind: "look",
  name: "Plug and magnet before they are wiped: paste, flakes or chips",
});
const PLUG = system({ kind: "close", of: "drain", name: "$drain back$seal$torque" });
const FILL = system({ kind: "fill", name: "Fill with $product" });
const CAP = system({ kind: "close", of: "fill", name: "Close $filler" });
const LEVEL = system({ kind: "look", name: "Level again at $check, and dry all round" });
const PARTS: MethodStep = { kind: "fit", name: "Fit", eachPart: true };
const RESET: MethodStep = {
  kind: "reset",
  name: "Reset the machine's own reminder",
  mayNotApply: true,
};

/** Kinds that are drained at a plug and filled to a mark. */
const DRAINED: readonly FluidKind[] = [
  ...(["gear oil", "automatic transmission fluid", "hydraulic oil"] as const),
  ...(["differential oil", "power steering fluid"] as const),
];

const ENGINE_OIL: WorkMethod = {
  name: "engine oil",
  kinds: ["engine oil"],
  words: /engine oil/i,
  steps: [
    system({ kind: "look", name: "Level and colour at $check before anything is opened" }),
    ...[OPEN, DRAIN, MAGNET],
    {
      kind: "look",
      name: "Old filter and its ring off together; cut open: metal between the folds",
      meanwhile: true,
      mayNotApply: true,
    },
    PARTS,
    ...[PLUG, FILL, CAP],
    { kind: "run", name: "Start: the pressure lamp goes out within seconds, or stop at once" },
    { kind: "look", name: "Dry at plug and filter, running and stopped" },
    ...[LEVEL, RESET],
  ],
};

const DRAIN_AND_FILL: WorkMethod = {
  name: "oil by its plugs",
  kinds: DRAINED,
  words: /(gearbox|axle|hydraulic|transfer|hub|steering).*oil|oil.*(gearbox|axle|hydraulic)/i,
  steps: [
    ...[OPEN, DRAIN, MAGNET, PARTS, PLUG, FILL, CAP],
    { kind: "run", name: "Run it through its gears or movements" },
    LEVEL,
  ],
};

const COOLANT: WorkMethod = {
  name: "coolant",
  kinds: ["coolant"],
  words: /coolant/i,
  steps: [
    system({ kind: "look", name: "Colour, level and what freezes at, before anything is opened" }),
    ...[OPEN, DRAIN, PARTS, PLUG],
    system({ kind: "fill", name: "Fill slowly with $product, the heater on, bled at its screws" }),
    CAP,
    { kind: "run", name: "Run until the thermostat opens, the heater blowing warm" },
    { kind: "wait", name: "Let it cool", minutes: 60 },
    LEVEL,
  ],
};

const BRAKE_FLUID: WorkMethod = {
  name: "brake fluid",
  kinds: ["brake fluid"],
  words: /brake fluid/i,
  steps: [
    OPEN,
    system({
      kind: "passes",
      name: "In at the reservoir, out at each wheel in the maker's order, until it runs clear",
      inFirst: true,
    }),
    PARTS,
    system({ kind: "fill", name: "Reservoir to its upper line with $product" }),
    system({
      kind: "close",
      of: "fill",
      name: "Reservoir closed; what was spilt rinsed with water",
    }),
    { kind: "look", name: "Pedal high and hard, held for a minute; every bleed screw dry" },
    { kind: "do", name: "Try the brakes at walking pace before it is given back" },
  ],
};

const GREASE: WorkMethod = {
  name: "grease round",
  kinds: [],
  words: /\bgreas(e|ed)\b/i,
  steps: [
    { kind: "do", name: "Wipe each point, grease until fresh shows", points: "grease" },
    { kind: "look", name: "Each point took grease; caps and seals whole" },
  ],
};

const WHEELS: WorkMethod = {
  name: "wheels off",
  kinds: [],
  words: /wheels off|brake pads|brake shoes|brakes? looked|tyres turned/i,
  steps: [
    { kind: "do", name: "Nuts cracked loose while it stands on its wheels" },
    { kind: "do", name: "Wheels off, each marked for its place", points: "sides" },
    { kind: "look", name: "Pads or shoes, discs or drums, hoses and seals", points: "sides" },
    PARTS,
    {
      kind: "torque",
      name: "Nuts in stages, crosswise$torque",
      points: "sides",
      torqueOf: "wheel",
    },
    { kind: "do", name: "Pedal pumped hard, then the brakes tried before it moves off" },
  ],
};

const FILTER: WorkMethod = {
  name: "filter",
  kinds: [],
  words: /filter|cartridge|dryer/i,
  steps: [
    { kind: "do", name: "Clean round it before it is opened" },
    { kind: "look", name: "The old one: dirt, damage, water, which way it sat" },
    PARTS,
    { kind: "look", name: "New one seated all round, arrow with the flow, clips shut" },
  ],
};

const PLUGS: WorkMethod = {
  name: "spark plugs",
  kinds: [],
  words: /spark plug/i,
  steps: [
    { kind: "do", name: "Leads marked for their places, dirt blown away before plugs come out" },
    { kind: "look", name: "Each plug: colour, deposits, the gap it wore to" },
    PARTS,
    { kind: "torque", name: "Plugs by hand first, then tightened$torque", torqueOf: "plug" },
    { kind: "run", name: "Start and listen: even on all" },
  ],
};

const BELT: WorkMethod = {
  name: "belt",
  kinds: [],
  words: /\bbelts?\b(?!.*anchorage)/i,
  steps: [
    { kind: "look", name: "How it runs, photographed; pulleys turned by hand, true and quiet" },
    PARTS,
    { kind: "measure", name: "Tension as the handbook says" },
    { kind: "do", name: "Turned through by hand twice: marks still meet" },
    { kind: "run", name: "Run: no noise, no wander" },
  ],
};

const CHAIN: WorkMethod = {
  name: "chain or track tension",
  kinds: [],
  words: /(chain|track).*(tension|oil)|tension/i,
  steps: [
    { kind: "do", name: "Cleaned where it is measured" },
    { kind: "measure", name: "Slack in the middle, at the tightest place" },
    PARTS,
    { kind: "do", name: "Adjusted evenly on both sides, oiled" },
  ],
};

/** Every way to do work that there is so far; the first that fits a task is taken, for fluids the one for their kind. */
export const METHODS: readonly WorkMethod[] = [
  ...[ENGINE_OIL, COOLANT, BRAKE_FLUID, DRAIN_AND_FILL],
  ...[WHEELS, PLUGS, BELT, CHAIN, FILTER, GREASE],
];

/** Work of which no more is known than what it is called. */
export function plainMethod(name: string): WorkMethod {
  const isLook = /examin|inspect|test|check|looked|measured|certificate|calibrat|tried/i.test(name);
  const steps: MethodStep[] = [{ kind: isLook ? "look" : "do", name }, PARTS];
  return { name, kinds: [], words: /^$/, steps };
}
