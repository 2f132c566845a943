import { COMMON, way, type StepDraft, type Way } from "./way.js";

const { ifSo, parts } = COMMON;

const BELT = way({
  name: "belt with its pulleys",
  uses: ["belt tension gauge", "torque wrench"],
  words: /\bbelts?\b(?!.*anchorage)/i,
  steps: [
    { kind: "look", name: "How it runs and over what, photographed; marks set to meet" },
    { kind: "do", name: "Tension let off, belt off" },
    { kind: "look", name: "Pulleys, tensioner and pump turned by hand: true, quiet, no play" },
    parts,
    { kind: "torque", name: "Pulleys and tensioner$torque:belt", mayNotApply: true },
    { kind: "measure", name: "Tension as the handbook says", mayNotApply: true },
    { kind: "do", name: "Turned through by hand twice: marks still meet, nothing stops it" },
    { kind: "run", name: "Run: no noise, no wander" },
  ],
});

const SPARK_PLUGS = way({
  name: "spark plugs with their leads",
  uses: ["plug socket", "feeler gauge", "torque wrench"],
  words: /spark plug/i,
  steps: [
    { kind: "do", name: "Cold; leads marked for their places, dirt blown out of the wells" },
    {
      kind: "look",
      name: "Each old plug: colour, deposits, the gap it wore to",
      points: ["$each"],
    },
    ifSo({ kind: "look", name: "Leads, caps or coils: cracks, tracks, rust" }),
    parts,
    ifSo({ kind: "measure", name: "Gap of each new plug", unit: "mm", points: ["$each"] }),
    {
      kind: "torque",
      name: "By hand first, then tightened$torque:spark-plug",
      points: ["$each"],
    },
    { kind: "do", name: "Each lead on its own plug, clicked home" },
    { kind: "run", name: "Start and listen: even on all" },
  ],
});

const WHEELS_ON: readonly StepDraft[] = [
  { kind: "do", name: "Faces clean, wheels on, nuts by hand", points: ["$wheels"] },
  { kind: "torque", name: "Nuts crosswise, first to half", points: ["$wheels"] },
  {
    kind: "torque",
    name: "On the ground: nuts crosswise to the full torque$torque:wheel",
    points: ["$wheels"],
  },
];
const AGAIN: StepDraft = {
  kind: "do",
  name: "Whoever drives is told: nuts torqued again after 50 to 100 km",
};
const CRACKED: StepDraft = { kind: "do", name: "Nuts cracked loose while it stands on its wheels" };
const OFF: StepDraft = {
  kind: "do",
  name: "Wheels off, each marked for its place",
  points: ["$wheels"],
};

const TYRES_TURNED = way({
  name: "tyres turned",
  uses: ["tread gauge", "pressure gauge", "torque wrench", "stands"],
  words: /tyres? (turned|rotat|chang|swapp)/i,
  steps: [
    {
      kind: "look",
      name: "Wear across each tread before it is moved: middle, edges, one side, steps",
      points: ["$wheels"],
    },
    { kind: "measure", name: "Tread of each", unit: "mm", points: ["$wheels"] },
    ...[CRACKED, OFF],
    {
      kind: "do",
      name: "Turned: with an arrow front to back on its side; else crossed to the driven axle, straight to the other; a like spare joins in",
    },
    ...[parts, ...WHEELS_ON],
    {
      kind: "do",
      name: "Pressures set for where each now is; its own sensors told",
      points: ["$wheels"],
    },
    AGAIN,
  ],
});

const WHEELS = way({
  name: "wheels off, brakes looked over",
  uses: ["torque wrench", "stands", "lining gauge"],
  words: /wheels off|brake (pads|shoes|sliders)|brakes? looked|hub bearings/i,
  steps: [
    ...[CRACKED, OFF],
    {
      kind: "look",
      name: "Pads or shoes, discs or drums, hoses, seals, before any dust is wiped",
      points: ["$wheels"],
    },
    { kind: "do", name: "Dust wiped wet, never blown; pins and sliders freed", mayNotApply: true },
    parts,
    ...WHEELS_ON,
    { kind: "do", name: "Pedal pumped until hard, then the brakes tried before it moves off" },
    AGAIN,
  ],
});

const TENSION = way({
  name: "chain or track tension",
  uses: ["rule"],
  words: /(chain|track).*(tension|oil|clean)|tension/i,
  steps: [
    { kind: "look", name: "Links, rollers, sprockets, guides: stiff, hooked, cracked" },
    { kind: "do", name: "Cleaned where it is measured; turned to the tightest place" },
    { kind: "measure", name: "Slack in the middle, before", unit: "mm" },
    parts,
    { kind: "do", name: "Adjusted evenly on both sides, oiled" },
    { kind: "measure", name: "Slack in the middle, after", unit: "mm" },
  ],
});

const GREASE = way({
  name: "grease round",
  uses: ["grease gun"],
  words: /\bgreas(e|ed)\b/i,
  steps: [
    { kind: "do", name: "Each nipple wiped, greased until fresh shows", points: ["$grease"] },
    { kind: "look", name: "Each took grease; caps and seals whole, old grease wiped off" },
  ],
});

const BATTERY = way({
  name: "battery",
  uses: ["voltmeter", "goggles"],
  words: /\bbatter(y|ies)\b(?!.*(loop|coolant))/i,
  steps: [
    { kind: "look", name: "Case, posts, clamps and vent, before they are cleaned" },
    { kind: "measure", name: "Volts at rest", unit: "V" },
    { kind: "do", name: "Earth lead off first, then the other" },
    parts,
    { kind: "do", name: "Posts clean and greased, held down; earth lead on last" },
    { kind: "run", name: "Start: it turns as it should" },
    { kind: "measure", name: "Volts while it charges", unit: "V" },
  ],
});

const ANODES = way({
  name: "anodes",
  uses: ["wire brush"],
  words: /\banodes?\b/i,
  steps: [
    { kind: "look", name: "How much of each is left, before it is brushed; photographed" },
    { kind: "do", name: "Bare metal where it sits; never painted" },
    parts,
    { kind: "torque", name: "Tightened$torque:anode", mayNotApply: true },
    { kind: "look", name: "Dry, where it goes through" },
  ],
});

const IMPELLER = way({
  name: "impeller of a water pump",
  uses: ["impeller puller"],
  words: /impeller/i,
  steps: [
    { kind: "do", name: "Sea cock shut, and its handle where nobody starts without it" },
    { kind: "look", name: "Old one: every vane there; what is missing is found in the cooler" },
    parts,
    { kind: "do", name: "Vanes bent the way it turns, cover with a new seal" },
    { kind: "do", name: "Sea cock open" },
    { kind: "run", name: "Start: water at the outlet within seconds, or stop at once" },
  ],
});

const VALVE_LASH = way({
  name: "valve lash",
  uses: [],
  words: /valve (lash|clearance)/i,
  others: {
    because: "specialist tools",
    tell: "Valve lash, engine cold, by the gaps and the order of the handbook; cover gasket new.",
    ask: "The gap found and the gap left, by valve; anything worn; part numbers; the bill.",
  },
  steps: [],
});

const REMINDER = way({
  name: "reminder reset",
  uses: [],
  words: /(reminder|service (light|lamp|display)).*reset|reset.*(reminder|light|lamp)/i,
  steps: [{ kind: "reset", name: "Reset the machine's own reminder" }],
});

/** Ways with parts and adjustments. */
export const PART_WAYS: readonly Way[] = [
  ...[TYRES_TURNED, WHEELS, SPARK_PLUGS, BELT, TENSION, GREASE, BATTERY],
  ...[ANODES, IMPELLER, VALVE_LASH, REMINDER],
];
