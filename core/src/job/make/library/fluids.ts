import { COMMON, ofSystem, way, type Way } from "./way.js";

const { ifSo, open, drain, plug, fill, cap, level, sample, parts, wander } = COMMON;

const COOLANT = way({
  name: "coolant",
  uses: ["coolant", "refractometer or strips", "measuring jug"],
  words: /coolant/i,
  steps: [
    ofSystem({ kind: "look", name: "Level, colour, oil or rust in it, before it is opened" }),
    ifSo({ kind: "measure", name: "What the old coolant freezes at", unit: "degC" }),
    ...[open, sample, drain],
    ifSo({
      kind: "do",
      name: "Flushed with clean water, heater on hot, until it runs clear; that water is waste too",
    }),
    ...[parts, plug],
    ofSystem({ kind: "do", name: "Mix what goes in: $mix" }),
    ofSystem({ kind: "fill", name: "Fill slowly with $product to $mark, heater on hot" }),
    ofSystem({ kind: "do", name: "Bled at its highest points until no air comes$bleed" }),
    cap,
    { kind: "run", name: "Run until the thermostat opens and the heater blows warm" },
    { kind: "wait", name: "Let it cool right down", minutes: 60 },
    level,
  ],
});

const BRAKE_FLUID = way({
  name: "brake fluid by its reservoir",
  uses: ["brake fluid", "bleed hose and bottle", "moisture tester"],
  words: /brake fluid/i,
  steps: [
    ifSo({ kind: "measure", name: "Moisture of the old fluid", unit: "percent" }),
    open,
    ofSystem({
      kind: "passes",
      name: "In at the reservoir, never empty; out at each wheel$bleed, the maker's order or farthest first, until it runs clear",
      inFirst: true,
    }),
    { kind: "do", name: "Bleed screws tight and capped", points: ["$bleed"] },
    parts,
    ofSystem({ kind: "fill", name: "Reservoir to $mark with $product from a sealed can" }),
    ofSystem({
      kind: "close",
      of: "fill",
      name: "Reservoir closed; what was spilt rinsed with water",
    }),
    { kind: "look", name: "Pedal high and hard, held for a minute; every bleed screw dry" },
    { kind: "do", name: "Brakes tried at walking pace before it is given back" },
  ],
});

const STEERING = way({
  name: "power steering fluid",
  uses: ["power steering fluid", "suction pump with a probe"],
  words: /(power )?steering (fluid|oil)/i,
  steps: [
    open,
    ofSystem({
      kind: "passes",
      name: "Reservoir sucked out and filled fresh, wheels off the ground, lock to lock; again until it is clear",
      wanted: 0.85,
    }),
    ...[wander, parts, fill, cap],
    { kind: "run", name: "Lock to lock, never held at the stops, until no foam is left" },
    level,
    { kind: "do", name: "Steering tried at walking pace before it is given back" },
  ],
});

/** Any other fluid that is drained and filled again. */
const OTHER = way({
  name: "fluid by its plugs",
  uses: ["exhaust fluid", "washer fluid", "other"],
  steps: [open, drain, parts, plug, fill, cap, level],
});

/** Ways with fluids that are no oils. */
export const FLUID_WAYS: readonly Way[] = [COOLANT, BRAKE_FLUID, STEERING, OTHER];
