import { CHECKLIST_LIBRARY, type Checklist } from "@yonderfell/core";

/** What the shed has written down for itself. */
const OWN_LISTS = [
  {
    id: "cl-belts",
    name: "Rotor belts, measured",
    kinds: ["mower"],
    when: "every 100 h",
    checks: [
      {
        ...{ id: "k-rim", name: "Rotor belts, below the rim of the sheave", how: "measure" },
        ...{ unit: "mm", wears: "up", most: 1.6, watchMost: 1.2, source: "handbook" },
        ...{ tool: "straight edge and gauge", resolution: 0.1, good: "level with the rim" },
        caution: "Engine off, key out, rotor still: it runs on for a minute",
      },
    ],
  },
  {
    id: "cl-wheels",
    name: "Wheels off",
    kinds: ["bus", "car", "van", "heavy lorry", "electric van"],
    when: "every half year",
    checks: [
      {
        ...{ id: "k-pads", name: "Front pads", how: "measure", unit: "mm", wears: "down" },
        ...{ points: ["left", "right"], least: 3, watchLeast: 4.5, severity: "stop" },
        ...{ source: "handbook", tool: "calliper", uncertainty: 0.2, resolution: 0.1 },
        caution: "On stands, wheels chocked",
      },
      {
        ...{ id: "k-tread", name: "Tread", how: "measure", unit: "mm", wears: "down" },
        ...{ points: ["left front", "right front", "left rear", "right rear"] },
        ...{ least: 1.6, watchLeast: 3, source: "law", tool: "depth gauge", resolution: 0.1 },
        ...{ sum: "tread", given: { limit: 1.6, watch: 3 }, severity: "stop", uneven: 1.5 },
      },
      {
        ...{ id: "k-hose", name: "Brake hoses", how: "look", where: "behind the wheel" },
        good: "no crack where it bends, no rub mark",
        picks: [
          { word: "sound", means: "supple, dry", verdict: "sound" },
          {
            word: "fine cracks",
            means: "it ages",
            todo: "renew within the year",
            verdict: "watch",
          },
          { word: "wet", means: "it leaks", todo: "do not drive", verdict: "stop" },
        ],
      },
      { id: "k-play", name: "Wheel bearings, play", how: "feel", good: "none to feel" },
    ],
  },
  {
    id: "cl-bonnet",
    name: "Monthly, under the bonnet",
    when: "monthly",
    checks: [
      { id: "k-oil", name: "Engine oil level", how: "look", good: "between the marks, cold" },
      {
        ...{ id: "k-volts", name: "Battery at rest", how: "measure", unit: "V", wears: "down" },
        ...{ least: 12.2, watchLeast: 12.4, source: "rule of thumb", resolution: 0.01 },
        ...{ sum: "battery", given: { system: 12, kind: "flooded", rested: 8 } },
      },
      {
        ...{ id: "k-frost", name: "Coolant, freezes at", how: "measure", unit: "degC" },
        ...{ most: -25, fluid: "coolant", tool: "refractometer", resolution: 1 },
        separates: {
          ask: "Is the level lower than last month?",
          yes: "it leaks, and was topped up with water",
          no: "it was filled too thin",
        },
      },
      {
        ...{ id: "k-belt", name: "Auxiliary belt", how: "look", good: "no cracks, no glaze" },
        picks: [
          { word: "sound", means: "dry, ribs whole", verdict: "sound" },
          { word: "fine cracks", means: "it ages", todo: "renew in the year", verdict: "watch" },
          {
            ...{ word: "swollen or wet", means: "oil or coolant gets on it", verdict: "attend" },
            todo: "find the leak first, then a new belt",
          },
          {
            ...{ word: "glazed", means: "it slips", verdict: "attend" },
            todo: "tensioner and pulleys first, then a new belt",
          },
        ],
        separates: {
          ask: "Is it wet, or does it smell of oil?",
          yes: "a leak above it, cured before the new belt goes on",
          no: "a weak tensioner, or a pulley out of line",
        },
      },
    ],
  },
] as unknown as readonly Checklist[];

/** What a machine that comes without records is gone round by. */
export const TAKING_ON = "cl-taking-on-or-buying-a-machine";

/** What the shed looks at: its own, and the list of the library that a machine was taken on by. */
export const CHECKLISTS: readonly Checklist[] = [
  ...OWN_LISTS,
  ...CHECKLIST_LIBRARY.filter(({ id }) => (id as string) === TAKING_ON),
];
