import type { Checklist } from "../../book/records/checklist.js";
import {
  attend,
  checklist,
  count,
  feel,
  listen,
  look,
  measure,
  ON_SKIDS,
  SIDES,
  smell,
  sound,
  stop,
  watch,
  WHEELS,
  WITH_DRIVE,
  works,
} from "./draft.js";
import {
  BATTERY,
  BELT,
  COOLANT_LEVEL,
  DIAL_LAMPS,
  EXHAUST,
  FREEZE,
  FUEL_WATER,
  GUARDS,
  HOSES,
  LAMPS,
  LEAKS,
  OIL_LEVEL,
  PADS,
  PLAY,
  STEERING_BRAKES,
  TREAD,
  TYRES_SEEN,
} from "./shared.js";
import { BRAKE_FLUID_TEST, tyreAge } from "./tested.js";

const STANDS = "On stands, wheels chocked; never under a jack alone";

const DISC = look("Discs or drums", "brakes", "no deep groove, no crack, no blue", {
  ...{ points: WHEELS, caution: STANDS },
  picks: [
    sound("sound", "as they should be"),
    watch("a lip at the edge", "worn", "measure at the next pads"),
    attend("grooved or blue", "run hot, or with a worn pad", "find what binds before new ones"),
    stop("cracked", "it may burst", "do not drive"),
  ],
});
const BRAKE_HOSE = look("Brake hoses", "brakes", "supple, dry, no rub mark, lock to lock", {
  ...{ points: ["front left", "front right", "rear"], caution: STANDS },
  picks: [
    sound("sound", "as they should be"),
    watch("fine cracks", "it ages", "renew within the year"),
    stop("wet or bulging", "it leaks", "do not drive"),
  ],
});
const SLIDES = feel("Slides and pistons move by hand", "brakes", "free, boots whole", {
  ...{ points: WHEELS, caution: STANDS },
  picks: [
    sound("free", "as they should be"),
    attend("stiff", "dirt or rust", "free and grease it before new pads"),
    attend("boot torn", "water gets in", "renew the boot, clean the pin"),
  ],
});

const WHEELS_OFF = [
  ...[PADS, DISC, SLIDES, BRAKE_HOSE, PLAY, TREAD, TYRES_SEEN],
  look("Dampers and springs", "wheels", "dry, no broken coil", { points: WHEELS }),
  look("Boots of joints and shafts", "wheels", "whole, no grease thrown", { points: SIDES }),
  look("Wheel nuts torqued, and again after 50 km", "wheels", "all, in a star, by the wrench"),
];

const MILESTONE = [
  ...[BATTERY, FREEZE, BELT, HOSES, TREAD, TYRES_SEEN],
  tyreAge(WHEELS),
  look("Tyres turned as the handbook says", "wheels", "rotation and direction right"),
  ...[PLAY, PADS, BRAKE_FLUID_TEST, LAMPS, LEAKS, EXHAUST, DIAL_LAMPS, STEERING_BRAKES],
  look("Rust at sills, mounts and brake lines", "under it", "surface only"),
];

const JOURNEY = [
  look("What the owner or driver reports", "at the seat", "nothing, or put right"),
  look("Fitted against specified: battery, tyres, wipers, bulbs", "all round", "as the plate says"),
  tyreAge([...WHEELS, "spare"]),
  measure("Tyre pressures, cold", "wheels", "as the door placard says for the load", {
    ...{ unit: "bar", points: [...WHEELS, "spare"], specification: "tyre pressure", tool: "gauge" },
  }),
  ...[OIL_LEVEL, COOLANT_LEVEL, FREEZE, BELT, HOSES, LEAKS],
  BRAKE_FLUID_TEST,
  look("Strip in the coolant", "bonnet", "in the band of its label"),
  works("Dials and warning lamps, all alive", "at the seat", "none dead"),
  works("Wipers, washers and lamps", "at the seat", "wipe clear, all light"),
  look("What is carried: jack, triangle, spare fluid, lamp", "boot", "there"),
];

const BEFORE_SEASON = [
  ...[OIL_LEVEL, COOLANT_LEVEL, FREEZE, BATTERY, BELT, HOSES, FUEL_WATER, LEAKS, GUARDS],
  look("Nests, rodents and damp", "all round", "none"),
  look("Tyres or tracks after standing", "wheels", "no flat place, no crack"),
  works("Started, warmed, everything moved once", "at the seat", "as it should"),
];
const AFTER_SEASON = [
  look("Cleaned, dry, greased", "all round", "no dirt holds water"),
  look("Oil changed before it stands", "engine", "fresh: used oil is sour"),
  ...[FREEZE, LEAKS],
  look("Fuel: full, or empty and dry, with stabiliser", "tank", "as its handbook says"),
  look("Battery out or kept charged", "battery", "so left"),
  look("Inlet and exhaust shut, weight off the tyres", "all round", "so left"),
  look("What must be done before next season", "all round", "written down as findings"),
];

/** Every fluid of a machine that comes without records: by level, colour, smell, particles, test. */
const fluidTaken = (what: string, where: string, fluid: string) => [
  look(`${what}: level and colour`, where, "at its mark, its own colour, clear", {
    fluid,
    picks: [
      sound("at its mark, clear", "leave it until its next turn"),
      watch("dark", "it has run long", "drain and fill at the next visit"),
      attend("low", "leaks or is used up", "find where it goes, then fill"),
      attend("milky or rusty", "water has been in it", "flush it"),
    ],
  }),
  smell(`${what}: smell`, where, "of itself, not burnt, not of fuel", {
    fluid,
    picks: [
      sound("of itself", "as it should be"),
      attend("burnt", "it was run too hot", "drain and fill, look at the filter"),
      attend("of fuel", "fuel gets into it", "find out how before it runs on"),
    ],
  }),
];
const TAKING_ON = [
  ...fluidTaken("Engine oil", "engine", "engine oil"),
  look("Engine oil: particles on a white cloth, under the cap", "engine", "none", {
    fluid: "engine oil",
    picks: [
      sound("none", "as it should be"),
      watch("fine grey", "usual wear of a new or an old engine", "drain and fill, sample it"),
      stop("flakes or chips", "something is breaking up", "stop; open the filter, find the part"),
    ],
  }),
  ...fluidTaken("Gearbox", "gearbox", "gear oil"),
  ...fluidTaken("Axles", "axles", "differential oil"),
  ...fluidTaken("Coolant", "cooling system", "coolant"),
  FREEZE,
  look("Brake fluid: level, colour, test", "brakes", "clear, under 1.5 % water", {
    fluid: "brake fluid",
  }),
  ...[BATTERY, TYRES_SEEN, PADS, PLAY, LEAKS, EXHAUST, DIAL_LAMPS, LAMPS],
  look(
    "Papers, keys, handbook, stamps and invoices",
    "at the seat",
    "there, and they agree with the dial",
  ),
  look("Fitted against specified", "all round", "as the plate says"),
  look("Signs of a crash, flood or much standing", "all round", "none"),
];

const SKIDS = [
  OIL_LEVEL,
  COOLANT_LEVEL,
  measure("Oil pressure, warm, at rated speed", "panel", "as when new", {
    ...{
      unit: "bar",
      wears: "down",
      specification: "oil pressure",
      source: "handbook",
      severity: "stop",
    },
  }),
  measure("Air filter restriction", "air filter", "below its limit at rated speed", {
    ...{ unit: "inH2O", wears: "up", most: 25, watchMost: 20, source: "usual of engines" },
    ...{ specification: "air filter restriction" },
  }),
  look("Strainers", "inlet", "clean"),
  measure("Anode left", "cooling system", "over half", {
    ...{ unit: "percent", wears: "down", least: 50, watchLeast: 65, source: "usual practice" },
  }),
  ...[BELT, HOSES, FUEL_WATER, BATTERY],
  works("Alarms tried and reset: oil, heat, overspeed", "panel", "each stops it or sounds"),
  feel("Mounts and coupling", "skid", "fast, no rubber dust"),
  listen("Bearings of what it drives", "skid", "quiet, cool to the hand"),
  ...[LEAKS, GUARDS],
];
const BY_LAW = "For licensed people: it is booked, and their paper is kept";
const LAW = [
  look("Paper of the last thorough examination", "papers", "in date", {
    source: "law",
    caution: BY_LAW,
  }),
  look("Marks: safe load, number, date", "all round", "readable, and they agree with the paper", {
    source: "law",
  }),
  look(
    "Chains, ropes, hooks and pins before each lift",
    "all round",
    "no stretched link, no broken wire",
    {
      ...{ source: "law", severity: "stop", caution: "Nobody under a load, ever" },
      picks: [
        sound("sound", "as they should be"),
        stop("stretched, cracked or bent", "it may part", "out of use; booked"),
      ],
    },
  ),
  count("Broken wires over six diameters", "rope", "few", {
    ...{
      most: 5,
      watchMost: 2,
      severity: "stop",
      source: "rule of thumb; the rope's own rule wins",
    },
  }),
  works("Limit switches and stop, without load", "at the controls", "each stops it"),
  look("Fire extinguishers: date, seal, pressure", "all round", "in date, in the green", {
    source: "law",
  }),
];

/** Inspections on stands, before journeys and seasons, of what is taken on, and by law. */
export const INSPECTIONS: readonly Checklist[] = [
  checklist("Wheels off, all round", WITH_DRIVE, "every half year", WHEELS_OFF),
  checklist("Milestone inspection", WITH_DRIVE, "every 40 000 km or two years", MILESTONE),
  checklist("Before a journey", WITH_DRIVE, "before a journey", JOURNEY),
  checklist("Before the season", [], "before a season", BEFORE_SEASON),
  checklist("After the season", [], "after a season", AFTER_SEASON),
  checklist("Taking on or buying a machine", [], "on taking on", TAKING_ON),
  checklist("Hours service of an engine on skids", ON_SKIDS, "every 250 h", SKIDS),
  checklist("Lifting gear and others by law", [], "as the law says", LAW),
];
