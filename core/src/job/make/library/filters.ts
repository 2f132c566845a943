import { COMMON, way, type Way } from "./way.js";

const { ifSo, parts, handTurn, wander } = COMMON;

const COOLANT_FILTER = way({
  name: "coolant filter",
  uses: ["filter wrench"],
  words: /coolant filter/i,
  steps: [
    { kind: "do", name: "Cold, pressure off, both valves of the filter shut" },
    { kind: "look", name: "The old one: rust, gel, which additive charge it carries" },
    ...[parts, handTurn],
    { kind: "do", name: "Valves open again" },
    { kind: "run", name: "Run: dry at the filter" },
    { kind: "look", name: "Coolant level again, cold" },
  ],
});

const FUEL = way({
  name: "fuel filter with its water trap",
  uses: ["clean can for fuel", "filter wrench"],
  words: /fuel filter|water trap/i,
  steps: [
    { kind: "do", name: "Fuel shut off, pressure let off; clean round it" },
    {
      kind: "look",
      name: "Water trap let off into a glass until clean fuel comes: how much water",
    },
    { kind: "look", name: "The old one cut open: rust, dark slime, water" },
    ...[wander, parts, handTurn],
    ifSo({
      kind: "do",
      name: "Primed by its hand pump, or filled with filtered fuel only where the maker says so",
    }),
    { kind: "run", name: "Start; it may stumble once: no air, no drip" },
    { kind: "look", name: "Dry at filter, trap and lines, running and stopped" },
  ],
});

const AIR = way({
  name: "air or cabin filter",
  uses: ["vacuum cleaner"],
  words: /(air|cabin|pollen).?filter/i,
  steps: [
    { kind: "look", name: "Which way it sits, dirt past its seal, leaves, nests; photographed" },
    { kind: "do", name: "Housing wiped out; nothing falls into the inlet" },
    parts,
    { kind: "look", name: "Seated all round, arrow with the flow, clips shut" },
  ],
});

const FILTER = way({
  name: "filter",
  uses: [],
  words: /filter|cartridge|dryer/i,
  steps: [
    { kind: "do", name: "Pressure let off, clean round it" },
    { kind: "look", name: "The old one: dirt, damage, water, oil, which way it sat" },
    ...[wander, parts, handTurn],
    { kind: "look", name: "Seated all round, arrow with the flow, dry" },
  ],
});

/** Ways with filters. */
export const FILTER_WAYS: readonly Way[] = [COOLANT_FILTER, FUEL, AIR, FILTER];
