import { COMMON, ofSystem, way, type StepDraft, type Way, type WayAsked } from "./way.js";

const { ifSo, open, drain, magnet, plug, fill, cap, settle, level, sample } = COMMON;
const { parts, handTurn, wander } = COMMON;

const COLOUR = ofSystem({ kind: "look", name: "Level and colour at $check before it is opened" });
const OLD_FILTER: StepDraft = {
  kind: "look",
  name: "Old filter off with its ring, how rings and springs sat photographed; cut open: metal between the folds",
  ...{ meanwhile: true, mayNotApply: true },
};
const START: StepDraft = {
  kind: "run",
  name: "After standing long turned first without starting. Start: the pressure lamp goes out within seconds, or stop at once",
};
const DRY: StepDraft = { kind: "look", name: "Dry at plug and filter, running and stopped" };
const FIRST_DIP = ofSystem({
  kind: "look",
  name: "Level again: $mark; the first dip falls as the filter fills$allowance",
});
const RESET: StepDraft = {
  kind: "reset",
  name: "Reset the machine's own reminder",
  mayNotApply: true,
};

const AFTER_ENGINE: readonly StepDraft[] = [...[cap, START, DRY, settle, FIRST_DIP, RESET]];

const SUCKED = /suck|suction|probe|pump(ed)? (hose|out)/i;

/** Whether oil is sucked out: the task says so, or the plate has a point for it. */
const isSucked = ({ name, fluid, plate }: WayAsked): boolean =>
  SUCKED.test(name) ||
  plate.servicePoints.some(
    (point) => point.fluid === fluid.id && SUCKED.test(`${point.name} ${point.tool ?? ""}`),
  );

const ENGINE_SUCKED = way({
  name: "engine oil by suction",
  uses: ["engine oil", "suction pump with a probe", "measuring jug"],
  suits: isSucked,
  steps: [
    ...[COLOUR, open],
    ofSystem({
      kind: "drain",
      name: "Suck out, probe to the bottom of the stick's tube or by its own pump hose, until it draws air",
    }),
    ...[OLD_FILTER, parts, handTurn],
    ofSystem({
      kind: "close",
      of: "drain",
      name: "Probe out or hose capped, tube wiped, stick back",
    }),
    ...[fill, ...AFTER_ENGINE],
  ],
});

const ENGINE_SAMPLED = way({
  name: "engine oil with a sample",
  uses: ["engine oil", "measuring jug", "sample bottle"],
  suits: ({ name }) => /sample/i.test(name),
  steps: [
    ...[COLOUR, open, { ...sample, mayNotApply: false }, drain, OLD_FILTER, magnet],
    ...[parts, handTurn, plug, fill, ...AFTER_ENGINE],
  ],
});

const ENGINE_DRAINED = way({
  name: "engine oil by its drain",
  uses: ["engine oil", "measuring jug"],
  words: /engine oil/i,
  steps: [
    ...[COLOUR, open, drain, OLD_FILTER, magnet],
    ...[parts, handTurn, plug, fill, ...AFTER_ENGINE],
  ],
});

const GEARS: StepDraft = { kind: "run", name: "Run it through its gears or movements" };

const BOX_PASSES = way({
  name: "gearbox fluid by passes",
  uses: ["automatic transmission fluid", "measuring jug", "fluid thermometer"],
  suits: ({ name }) => /pass(es)?\b|exchange/i.test(name),
  steps: [
    ...[COLOUR, open],
    ofSystem({
      kind: "passes",
      name: "Out at $drain, as much in as came out, through each position, out again",
      wanted: 0.85,
    }),
    ...[parts, wander],
    ofSystem({ kind: "run", name: "Idle on the brake, lever through each position until $window" }),
    ...[fill, cap, level],
  ],
});

const BOX_WARM = way({
  name: "gearbox fluid, level at its temperature",
  uses: ["automatic transmission fluid", "measuring jug", "fluid thermometer", "filling adapter"],
  suits: ({ fluid: { level: read } }) =>
    read?.engine === "idling" || (read?.by === "overflow" && (read.from ?? null) !== null),
  steps: [
    ...[open, drain, magnet, wander, parts, plug],
    ofSystem({ kind: "fill", by: "amount", name: "As much $product in as came out" }),
    ofSystem({ kind: "run", name: "Idle on the brake, lever through each position until $window" }),
    ofSystem({ kind: "fill", name: "Engine idling, at $window: topped to $mark" }),
    cap,
    { kind: "look", name: "Dry at pan, plugs and lines after a drive" },
  ],
});

const AXLE = way({
  name: "axle or final drive oil",
  uses: ["differential oil", "gear oil"],
  words: /(axle|final drive|hub|rotor gearbox).*oil|oil.*(axle|hub)/i,
  suits: ({ fluid: { kind, system } }) =>
    kind === "differential oil" || /axle|hub|final|rotor/i.test(system),
  steps: [
    ifSo({ kind: "do", name: "Turned until the drain is at the bottom, breather clear" }),
    ...[open, drain, magnet, parts, plug, fill, cap, GEARS, level],
  ],
});

const BOX = way({
  name: "gearbox oil by its plugs",
  uses: ["gear oil", "automatic transmission fluid", "filling syringe or hose"],
  words: /(gearbox|transfer|reduction|gear).*(oil|fluid)|oil.*gearbox/i,
  steps: [open, drain, magnet, wander, parts, plug, fill, cap, GEARS, level],
});

const HYDRAULIC = way({
  name: "hydraulic oil with tank and filter",
  uses: ["hydraulic oil", "lint-free cloths"],
  words: /hydraulic.*oil|oil.*hydraulic/i,
  steps: [
    COLOUR,
    { kind: "do", name: "All lowered, engine off, levers moved through: no pressure is left" },
    ...[open, sample, drain, OLD_FILTER, magnet],
    ifSo({ kind: "do", name: "Tank wiped out lint-free, strainer washed, breather changed" }),
    ...[wander, parts, handTurn, plug, fill, cap],
    { kind: "run", name: "Slowly through every movement without load, until no air is left" },
    level,
  ],
});

/** Ways with oils; of one kind of oil the first that suits. */
export const OIL_WAYS: readonly Way[] = [
  ...[ENGINE_SUCKED, ENGINE_SAMPLED, ENGINE_DRAINED, BOX_PASSES, BOX_WARM, AXLE, BOX, HYDRAULIC],
];
