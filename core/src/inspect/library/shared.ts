import {
  attend,
  feel,
  look,
  measure,
  sound,
  stop,
  watch,
  works,
  WHEELS,
  type CheckDraft,
} from "./draft.js";

const HOT = "Engine off and cool: a hot cooling system is never opened";
const STANDS = "On stands, wheels chocked; never under a jack alone";

/** Engine oil by its stick, and what to make of a level that fell. */
export const OIL_LEVEL: CheckDraft = look(
  "Engine oil level",
  "engine",
  "between the marks; level ground, engine off for ten minutes, wiped and dipped again",
  {
    fluid: "engine oil",
    picks: [
      sound("between the marks", "as it should be"),
      watch("at the lower mark", "it uses some oil", "top up, and note how much"),
      attend("below the mark", "worn or leaking", "top up at once; look for where it goes"),
      attend("above the mark", "overfilled, or fuel or water in it", "do not run it: find out why"),
      stop("milky", "water in the oil", "do not run it"),
    ],
    separates: {
      ask: "Is it wet below, or on the ground where it stood?",
      yes: "it leaks: find the place from underneath",
      no: "it burns it: blue smoke, wet plugs, pressure in the crankcase",
    },
  },
);

/** Coolant by its reservoir, cold. */
export const COOLANT_LEVEL: CheckDraft = look(
  "Coolant level",
  "cooling system",
  "between the lines of the reservoir, cold; its own colour, clear",
  {
    fluid: "coolant",
    caution: HOT,
    picks: [
      sound("between the lines", "as it should be"),
      watch(
        "a little low",
        "it may be the air of a filling",
        "top up with the same mix, look again",
      ),
      attend("low again", "it goes somewhere", "pressure test before the next long run"),
      stop("oil in it", "a cooler or a gasket lets oil through", "do not run it"),
      attend("rusty or thick", "its inhibitor is spent, or two kinds were mixed", "flush it"),
    ],
    separates: {
      ask: "Is there a cream under the oil cap, or white smoke when it is warm?",
      yes: "a gasket may have gone: pressure and block test before it is driven far",
      no: "a hose, the pump's weep hole, the radiator or its cap",
    },
  },
);

export const BRAKE_FLUID_LEVEL: CheckDraft = look(
  "Brake fluid level",
  "brakes",
  "between the lines; worn pads lower it, so it is not topped up before they are looked at",
  {
    fluid: "brake fluid",
    picks: [
      sound("between the lines", "as it should be"),
      attend(
        "low",
        "pads are worn, or it leaks",
        "look at the pads and every line before topping up",
      ),
      stop("empty", "it leaks", "do not drive"),
    ],
    separates: {
      ask: "Are the pads worn near their limit?",
      yes: "it fell with the pads: it comes up again with new ones",
      no: "it leaks: every joint, hose and wheel cylinder",
    },
  },
);

export const LEAKS: CheckDraft = look(
  "Leaks underneath",
  "under it",
  "dry where it stood, and dry from underneath, point by point",
  {
    picks: [
      sound("dry", "as it should be"),
      watch("damp, no drop", "it sweats", "wipe it, run it, look again"),
      attend("drops", "it leaks", "find the highest wet place and put it right"),
      stop("runs, or fuel", "it is not safe", "do not run it"),
    ],
  },
);

export const LAMPS: CheckDraft = works(
  "Lamps, indicators, brake lamps and horn",
  "all round",
  "all light, lenses whole and clean",
);

export const TYRES_SEEN: CheckDraft = look(
  "Tyres: pressure by eye, cuts, bulges, stones",
  "wheels",
  "standing full, no cord, no bulge, nothing in the tread",
  {
    picks: [
      sound("sound", "as it should be"),
      watch("worn on both shoulders", "run too soft", "set the pressure cold, by the door placard"),
      watch("worn in the middle", "run too hard", "set the pressure cold, by the door placard"),
      attend(
        "worn on one edge",
        "alignment, or worn joints",
        "measure the alignment before new tyres",
      ),
      attend("cups or patches", "a damper or a loose bearing", "feel for play; dampers first"),
      stop("bulge or cord", "it may burst", "do not drive on it"),
    ],
    separates: {
      ask: "Does it pull to one side on a flat road?",
      yes: "alignment, or a brake that binds",
      no: "a worn damper or joint on that corner",
    },
  },
);

export const TREAD: CheckDraft = measure(
  "Tread, at its least",
  "wheels",
  "even across; the least of inner, middle and outer counts",
  {
    ...{ unit: "mm", wears: "down", points: WHEELS, least: 1.6, watchLeast: 3 },
    ...{ severity: "stop", source: "law, for cars; others by their own", tool: "depth gauge" },
    ...{ resolution: 0.1, specification: "tread" },
    ...{ sum: "tread", given: { limit: 1.6, watch: 3 } },
  },
);

export const BATTERY: CheckDraft = measure(
  "Battery at rest",
  "battery",
  "rested four hours, terminals clean and tight, clamped, no swelling",
  {
    ...{ unit: "V", resolution: 0.01, tool: "voltmeter" },
    ...{ sum: "battery", given: { rested: 4 }, source: "usual resting voltages by kind" },
    caution: "It gives off gas: no flame, no spark; eyes protected",
  },
);

export const FREEZE: CheckDraft = measure(
  "Coolant freezes at",
  "cooling system",
  "five degrees below the coldest day expected",
  {
    ...{ unit: "degC", resolution: 1, tool: "refractometer", sum: "coolant-judge" },
    ...{ fluid: "coolant", caution: HOT, source: "five degrees to spare on the coldest day" },
    separates: {
      ask: "Is the level lower than last time?",
      yes: "it was topped up with water: it leaks",
      no: "it was mixed too thin",
    },
  },
);

export const PADS: CheckDraft = measure(
  "Brake linings, at their thinnest",
  "brakes",
  "inner and outer alike, left and right within 2 mm",
  {
    ...{ unit: "mm", wears: "down", points: WHEELS, least: 3, watchLeast: 4.5 },
    ...{ severity: "stop", source: "usual limit of cars", tool: "calliper" },
    ...{ uncertainty: 0.2, resolution: 0.1, caution: STANDS, specification: "brake lining" },
    uneven: 2,
    separates: {
      ask: "Is the inner one worn more than the outer?",
      yes: "a sliding pin is seized: free it before new pads go on",
      no: "worn evenly",
    },
  },
);

export const HOSES: CheckDraft = look(
  "Hoses and clips",
  "engine",
  "supple, dry, no bulge, no chafe",
  {
    picks: [
      sound("sound", "as they should be"),
      watch("hard or fine cracks", "they age", "renew within the year"),
      attend(
        "swollen or soft",
        "oil has got at it, or it is worn inside",
        "renew, and find the oil",
      ),
      stop("wet, or a bulge", "it is about to burst", "do not run it"),
    ],
  },
);

export const BELT: CheckDraft = look(
  "Auxiliary belt",
  "engine",
  "ribs whole by the gauge, no glaze, no fraying, the tensioner within its marks",
  {
    caution: "Engine off, key out: it may start a fan by itself",
    picks: [
      sound("sound", "as it should be"),
      watch("fine cracks across", "it ages; count them over 25 mm", "renew at the next visit"),
      attend(
        "frayed on one edge",
        "a pulley is out of line",
        "line up the pulley before a new belt",
      ),
      attend(
        "glazed, squeals",
        "it slips: tensioner or a stiff pulley",
        "turn each pulley by hand first",
      ),
      attend("swollen, oily", "oil or coolant drips on it", "stop the leak before a new belt"),
      attend(
        "ribs missing, grit in it",
        "worn out, or a stone was in it",
        "clean the pulleys, renew",
      ),
    ],
    separates: {
      ask: "Does a pulley wobble or feel rough when it is turned by hand?",
      yes: "the pulley or its bearing wears the belt: renew it with the belt",
      no: "the tensioner has lost its force, or the belt is only old",
    },
  },
);

export const PLAY: CheckDraft = feel(
  "Play at the wheel, at 12 and 6, then at 3 and 9",
  "wheels",
  "none to feel, turns quietly",
  {
    ...{ points: WHEELS, caution: STANDS },
    picks: [
      sound("none", "as it should be"),
      attend(
        "at 12 and 6",
        "the bearing, or a ball joint",
        "hold the brake on: if it goes, the bearing",
      ),
      attend("at 3 and 9", "a steering joint", "renew it, then measure the alignment"),
      stop("much, or it knocks", "it may come off", "do not drive"),
    ],
  },
);

export const GUARDS: CheckDraft = look(
  "Guards, shields and stop devices",
  "all round",
  "all there, fast, and none tied back",
);

export const FUEL_WATER: CheckDraft = look(
  "Water in the fuel",
  "fuel filter",
  "the trap lets off clean fuel at once",
  {
    caution: "Fuel burns: no flame, caught in a can",
    picks: [
      sound("none", "as it should be"),
      watch("a spoonful", "from the tank's own sweat", "let off each week"),
      attend("much, or slime", "the tank takes water", "drain the tank, look at cap and vent"),
    ],
  },
);

export const DIAL_LAMPS: CheckDraft = works(
  "Warning lamps and dials",
  "at the seat",
  "all light with the key and go out within seconds; each dial moves",
);

export const STEERING_BRAKES: CheckDraft = works(
  "Steering and brakes, tried before it leaves the yard",
  "at the seat",
  "no free play beyond a finger, pedal high and hard, stops straight",
);

export const EXHAUST: CheckDraft = look("Exhaust smoke, warm", "exhaust", "none to be seen", {
  picks: [
    sound("none", "as it should be"),
    watch("white when cold, gone when warm", "water of the cold"),
    attend(
      "white and sweet when warm",
      "it burns coolant",
      "pressure test; look under the oil cap",
    ),
    attend("blue", "it burns oil", "compression and turbo seals; crankcase pressure"),
    attend("black", "too much fuel or too little air", "air filter first, then the injectors"),
  ],
});
