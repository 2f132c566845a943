import type { Checklist } from "../../book/records/checklist.js";
import {
  attend,
  checklist,
  count,
  feel,
  look,
  measure,
  sound,
  stop,
  watch,
  WITH_DRIVE,
  works,
} from "./draft.js";
import {
  BATTERY,
  BELT,
  BRAKE_FLUID_LEVEL,
  COOLANT_LEVEL,
  EXHAUST,
  FREEZE,
  FUEL_WATER,
  HOSES,
  LEAKS,
  OIL_LEVEL,
} from "./shared.js";

const CAP = look("Under the oil cap", "engine", "clean and oily", {
  picks: [
    sound("clean and oily", "as it should be"),
    watch("pale, like cream", "water in cold oil", "a long run, then look again in two weeks"),
    attend("black crust", "oil run too long or too hot", "change it sooner"),
    attend("smells of fuel", "fuel gets into the oil", "injectors, or runs that never warm it"),
  ],
  separates: {
    ask: "Has the coolant gone down since the last look?",
    yes: "a gasket may let coolant in: pressure test before it is driven far",
    no: "short trips: a long run, and look again in two weeks",
  },
});

/** Monthly, the oil drained, and what fills the engine's room: levels, kinds, belts, hoses, battery, filters. */
const MONTHLY = [
  ...[OIL_LEVEL, CAP, COOLANT_LEVEL, FREEZE, BRAKE_FLUID_LEVEL],
  measure("Brake fluid, moisture", "brakes", "under 1.5 %", {
    ...{ unit: "percent", wears: "up", most: 3, watchMost: 1.5, tool: "moisture tester" },
    ...{ source: "usual practice", resolution: 0.5, fluid: "brake fluid" },
  }),
  look("Power steering fluid level", "steering", "between the lines, in the state the cap says", {
    fluid: "power steering fluid",
  }),
  look("Washer fluid, with its frost protection", "bonnet", "full"),
  look(
    "Kinds of fluid: what the caps and the plate say",
    "bonnet",
    "what is in it is what it asks for",
    {
      picks: [
        sound("they agree", "as it should be"),
        attend(
          "another kind is in it",
          "two kinds may have been mixed",
          "flush; colour proves nothing",
        ),
        attend("not known", "nobody wrote it down", "test it, or renew it and write it down"),
      ],
    },
  ),
  BELT,
  HOSES,
  look(
    "Air filter, by its indicator or by eye",
    "air filter",
    "clean, seal whole, nothing past it",
    {
      picks: [
        sound("clean", "as it should be"),
        watch("grey", "half its life", "look again at the next service"),
        attend(
          "dark, or dirt past the seal",
          "it is full, or sits wrong",
          "renew; look into the inlet",
        ),
        attend(
          "wet or oily",
          "water drawn in, or the breather throws oil",
          "find out which before a new one",
        ),
      ],
    },
  ),
  FUEL_WATER,
  BATTERY,
  look("Battery terminals and clamp", "battery", "clean, greased, tight"),
  look("Wires, plugs and chafe", "engine", "clipped, none bare, no rodents"),
  EXHAUST,
  look("Mounts and brackets", "engine", "no crack, rubber whole"),
  ...[LEAKS, works("Heater and demister", "at the seat", "blows warm within minutes")],
];

const FIRST_SERVICE = [
  feel(
    "Fasteners, all round, with the torque wrench",
    "all round",
    "none moves before its torque",
    {
      tool: "torque wrench",
    },
  ),
  look("Witness marks put on what was tightened", "all round", "a line across every one"),
  measure(
    "Chain or belt slack",
    "drive",
    "high reading less low reading, within the handbook's range",
    {
      ...{ unit: "mm", wears: "up", specification: "chain slack", source: "handbook" },
    },
  ),
  measure("Free play of lever and pedal", "at the seat", "within the handbook's range", {
    ...{ unit: "mm", specification: "free play", source: "handbook" },
  }),
  ...[OIL_LEVEL, COOLANT_LEVEL],
  look("Levels again after starting", "engine", "at their marks: filters have filled"),
  look("Oil that came out: metal", "engine", "a fine paste, no chips", {
    picks: [
      sound("fine grey paste", "it runs in"),
      watch("glitter", "more than running in leaves", "change again soon, with a sample"),
      stop("chips or flakes", "something breaks up", "do not run it: open the filter"),
    ],
  }),
  ...[HOSES, LEAKS, BATTERY],
  works("Everything it can do, once", "at the seat", "as the handbook says"),
];

const RUNNING_IN = [
  look("Within the limits of its stage", "at the seat", "speed, revolutions and load below them"),
  ...[OIL_LEVEL, COOLANT_LEVEL, LEAKS],
  feel(
    "Temperature of hubs, gearbox and bearings after a run",
    "all round",
    "warm to the hand, all alike",
  ),
  feel("Fasteners by hand and eye", "all round", "witness marks meet"),
  count("Spokes that sound dull", "wheels", "none", { most: 0, source: "usual practice" }),
  measure("Chain or belt slack", "drive", "within its range", {
    ...{ unit: "mm", wears: "up", specification: "chain slack", source: "handbook" },
  }),
];

/** Rounds at the engine, and those of a new machine. */
export const BONNET: readonly Checklist[] = [
  checklist("Monthly, bonnet open", WITH_DRIVE, "monthly", MONTHLY),
  checklist("First service of a new machine", [], "once, at its first service", FIRST_SERVICE),
  checklist("Running in", [], "daily while it runs in", RUNNING_IN),
];
