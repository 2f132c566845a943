import type { Checklist } from "../../book/records/checklist.js";
import {
  attend,
  checklist,
  feel,
  HEAVY,
  listen,
  look,
  measure,
  ON_SKIDS,
  ROAD,
  sound,
  stop,
  watch,
  works,
} from "./draft.js";
import {
  COOLANT_LEVEL,
  DIAL_LAMPS,
  FUEL_WATER,
  GUARDS,
  LAMPS,
  LEAKS,
  OIL_LEVEL,
  STEERING_BRAKES,
  TYRES_SEEN,
} from "./shared.js";

const BEFORE = "daily, before use";
const AFTER = "daily, after use";

const LOOSE = look("Loose, hanging or broken parts", "all round", "nothing hangs, nothing is bent");
const GLASS = look("Glass, mirrors, wipers and washers", "at the seat", "clean, whole, wipe clear");
const NOISES = listen("Noises that are new", "as it runs", "none");
const WARM_SMELL = look("Smoke, steam or a smell, warm", "engine", "none");
const CLEANED = look(
  "Cleaned of dirt, straw and leaves",
  "radiator and exhaust",
  "nothing left to burn or to clog",
);
const PARKED = works(
  "Parked: brake on, implement down, isolated, key out",
  "at the seat",
  "so left",
);
const REPORTED = look("What the driver reports", "at the seat", "nothing");

const TRACKS = look(
  "Tracks: sag, pins, pads, idlers and rollers",
  "tracks",
  "even sag, no pin walking out, no roller leaking",
  {
    ...{
      points: ["left", "right"],
      caution: "Track tension is grease under pressure: never look along the valve",
    },
    picks: [
      sound("sound", "as they should be"),
      watch("slack", "worn or let off", "tension by the handbook, both sides alike"),
      attend("a roller wet or hot", "its seal has gone", "renew it before it seizes"),
      stop("a pin walks out", "the track will part", "do not move it"),
    ],
  },
);

const CAR_BEFORE = [
  TYRES_SEEN,
  LAMPS,
  GLASS,
  OIL_LEVEL,
  COOLANT_LEVEL,
  LEAKS,
  DIAL_LAMPS,
  STEERING_BRAKES,
];

const HEAVY_BEFORE = [
  ...[OIL_LEVEL, COOLANT_LEVEL, FUEL_WATER, LEAKS, TYRES_SEEN],
  look("Wheel nuts, witness marks", "wheels", "the paint lines meet on every nut", {
    caution:
      "A nut that moved is not tightened on the road and forgotten: torque again after 50 km",
  }),
  LAMPS,
  GLASS,
  look("Coupling, load and doors fast", "body", "locked and pinned"),
  works("Air pressure built up", "at the seat", "up within the handbook's time, warning off"),
  listen("Air leaks, engine off, brake held", "under it", "no hiss, the dial holds"),
  STEERING_BRAKES,
];

const TRACKED_BEFORE = [
  ...[OIL_LEVEL, COOLANT_LEVEL, FUEL_WATER, LEAKS, TRACKS, GUARDS],
  look("Hydraulic oil level", "tank", "in the glass, rams in"),
  look("Hydraulic hoses and rams", "all round", "dry, no chafe", {
    caution: "A jet under pressure goes through skin: with a piece of card, never a hand",
  }),
  ...[DIAL_LAMPS, STEERING_BRAKES],
];

const BOAT_BEFORE = [
  OIL_LEVEL,
  look("Coolant or strainer, sea cock open", "engine room", "clear strainer, level right"),
  look("Bilge", "engine room", "dry, no oil, no fuel", {
    caution: "Ventilate before starting: fuel vapour lies in the bilge",
    picks: [
      sound("dry", "as it should be"),
      watch("water", "stern gland, or rain", "pump out, count how often"),
      attend("oil", "the engine leaks", "find it; nothing goes over the side"),
      stop("fuel", "it may explode", "no spark: ventilate, find the leak"),
    ],
  }),
  feel("Belts and hoses", "engine room", "tight, dry"),
  works("Steering and throttle through their travel", "at the wheel", "free and full"),
  look("Water out of the exhaust once it runs", "stern", "a steady stream"),
  look("Life-saving gear, fire extinguisher", "cabin", "there and in date"),
];

const MOWER_BEFORE = [
  ...[OIL_LEVEL, GUARDS],
  look("Blades or flails and their bolts", "deck", "none missing, none cracked, in pairs", {
    caution: "Engine off, key out, deck propped before a hand goes under",
    picks: [
      sound("sound", "as they should be"),
      watch("blunt", "it tears", "sharpen in pairs"),
      stop("one missing or cracked", "it shakes itself apart", "do not run it: renew in pairs"),
    ],
  }),
  look("Air screen and cooling fins", "engine", "clear of grass"),
  feel("Belts", "deck", "no fraying, tight"),
  ...[TYRES_SEEN, LEAKS],
  works("Seat and blade stop switches", "at the seat", "it stops when one gets up"),
];

const PUMP_BEFORE = [
  ...[OIL_LEVEL, COOLANT_LEVEL, FUEL_WATER, LEAKS, GUARDS],
  look("Suction hose, strainer and joints", "inlet", "under water, clear, no air drawn"),
  look("Gland", "pump", "a drop now and then, not a stream", {
    picks: [
      sound("drops", "as it should be"),
      attend("a stream", "the packing is worn", "a quarter turn of each nut, evenly; then repack"),
      attend("dry and hot", "too tight: it burns the shaft", "let it off until it drops"),
    ],
  }),
  measure("Pressure at the outlet", "pump", "as it was when new, at the same speed", {
    ...{ unit: "bar", wears: "down", specification: "outlet pressure", source: "handbook" },
  }),
];

/** Daily walks round a machine. */
export const DAILY: readonly Checklist[] = [
  checklist("Before use, car or van", [...ROAD], BEFORE, CAR_BEFORE),
  checklist("Before use, bus or lorry", HEAVY, BEFORE, HEAVY_BEFORE),
  checklist("Before use, tracked machine", ["tracked carrier"], BEFORE, TRACKED_BEFORE),
  checklist("Before use, boat engine", ["boat engine"], BEFORE, BOAT_BEFORE),
  checklist("Before use, mower or tractor", ["mower", "tractor"], BEFORE, MOWER_BEFORE),
  checklist("Before use, pump or engine on skids", ON_SKIDS, BEFORE, PUMP_BEFORE),
  checklist("After use, car or van", [...ROAD], AFTER, [REPORTED, NOISES, WARM_SMELL, LEAKS]),
  checklist("After use, bus or lorry", HEAVY, AFTER, [
    REPORTED,
    NOISES,
    WARM_SMELL,
    LEAKS,
    TYRES_SEEN,
    LOOSE,
    PARKED,
  ]),
  checklist("After use, tracked machine", ["tracked carrier"], AFTER, [
    REPORTED,
    TRACKS,
    LEAKS,
    CLEANED,
    PARKED,
  ]),
  checklist("After use, boat engine", ["boat engine"], AFTER, [
    ...[REPORTED, NOISES, LEAKS],
    look("Sea cock, batteries and fuel shut off", "engine room", "shut"),
  ]),
  checklist("After use, mower or tractor", ["mower", "tractor"], AFTER, [
    REPORTED,
    LOOSE,
    CLEANED,
    LEAKS,
    PARKED,
  ]),
  checklist("After use, pump or engine on skids", ON_SKIDS, AFTER, [
    ...[REPORTED, WARM_SMELL, LEAKS],
    look("Drained against frost", "pump", "empty where it may freeze"),
  ]),
];
