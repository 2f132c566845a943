import type { Plan, PlanTask } from "./plan.js";
import {
  km,
  h,
  months,
  days,
  LAW,
  by,
  goesWith,
  check,
  BRAKE_FLUID,
  COOLANT,
  TYRES,
  NUTS,
  ROAD_TEST,
  BATTERY,
  WIPERS,
  UNDERSIDE,
  road,
} from "./planTasks.js";

/** A generic plan of the library, and the kinds of machine it is meant for. */
export interface LibraryPlan extends Plan {
  readonly name: string;
  readonly kinds: readonly string[];
}

const CAR: readonly PlanTask[] = [
  road(15_000, 45),
  by("air", "Air filter", [km(30_000), months(48)], null, [km(15_000)], { minutes: 10 }),
  by("cabin", "Cabin filter", [km(15_000), months(12)], null, null, { minutes: 15 }),
  by("plugs", "Spark plugs (petrol)", [km(60_000)], [km(40_000)], null, { minutes: 45 }),
  by("fuel", "Fuel filter", [km(60_000), months(48)], [km(30_000)], null, { minutes: 30 }),
  by("gearbox", "Gearbox oil", [], [km(60_000), months(72)], [km(40_000)], { minutes: 50 }),
  by(
    "belt",
    "Timing belt with its pulleys",
    [km(120_000), months(84)],
    [km(90_000), months(60)],
    null,
    {
      minutes: 240,
      access: "front of the engine",
    },
  ),
  BRAKE_FLUID,
  COOLANT,
  by("brakes", "Wheels off, brakes looked over", [km(15_000), months(12)], null, null, {
    minutes: 60,
    access: "wheels off",
  }),
  NUTS,
  TYRES,
  BATTERY,
  WIPERS,
  UNDERSIDE,
  ROAD_TEST,
];

const without = (tasks: readonly PlanTask[], ...keys: string[]): PlanTask[] =>
  tasks.filter(({ key }) => !keys.includes(key));

const VAN: readonly PlanTask[] = [
  ...without(CAR, "plugs", "road-test"),
  check("doors", "Doors, runners and load floor", [months(6)], 20),
  ROAD_TEST,
];

const HEAVY: readonly PlanTask[] = [
  road(30_000, 90),
  by("fuel", "Fuel filters and water trap", [km(30_000), months(12)], null, [km(15_000)], {
    minutes: 40,
  }),
  goesWith("air", "Air filter", "oil", 2, { minutes: 15 }),
  by("dryer", "Air-dryer cartridge", [months(24)], [months(12)], [months(12)], { minutes: 30 }),
  by("gearbox", "Gearbox oil", [km(120_000), months(48)], [km(80_000), months(36)], null, {
    minutes: 60,
  }),
  by("axle", "Axle oils", [km(120_000), months(48)], [km(80_000), months(36)], null, {
    minutes: 60,
  }),
  BRAKE_FLUID,
  COOLANT,
  by("brakes", "Wheels off, linings and adjusters", [km(40_000), months(12)], null, null, {
    minutes: 180,
    access: "wheels off",
  }),
  NUTS,
  check("grease", "Grease all points", [km(10_000), months(3)], 45),
  { ...check("walk", "Walk-round before the road", [], 10), eachUse: "before" },
  by("safety", "Safety inspection", [months(3, LAW)], null, [months(2, LAW)], { minutes: 120 }),
  by("tacho", "Tachograph calibration", [months(24, LAW)], null, null, {
    outside: { because: "licensed", tell: "Calibration and seals." },
  }),
  ROAD_TEST,
];

const BUS: readonly PlanTask[] = [
  ...without(HEAVY, "tacho", "road-test"),
  by("cabin", "Cabin filter", [months(12)], null, null, { minutes: 15 }),
  check("exits", "Doors, emergency exits and ramp", [months(1)], 15),
  by("belts", "Seat belts and anchorages, inspection", [months(12, LAW)], null, null, {
    minutes: 60,
  }),
  by("extinguisher", "Fire extinguishers", [months(12, LAW)], null, null, {
    outside: { because: "licensed" },
  }),
  ROAD_TEST,
];

const MOTORCYCLE: readonly PlanTask[] = [
  by(
    "oil",
    "Engine oil and filter",
    [km(8_000, { at: [1_000] }), months(12)],
    [km(5_000, { at: [500] }), months(6)],
    null,
    { minutes: 40 },
  ),
  by("chain", "Chain: clean, oil, slack", [km(800)], [km(500)], [km(300)], { minutes: 15 }),
  by("valves", "Valve lash", [km(24_000)], [km(16_000)], null, {
    minutes: 120,
    access: "tank off",
  }),
  goesWith("air", "Air filter", "oil", 2, { minutes: 20, access: "tank off" }),
  by("plugs", "Spark plugs", [km(16_000)], [km(12_000)], null, { minutes: 30, access: "tank off" }),
  by("fork", "Fork oil", [km(24_000), months(36)], [months(24)], null, { minutes: 90 }),
  BRAKE_FLUID,
  by("pads", "Brake pads and discs", [km(6_000), months(6)], null, null, { minutes: 20 }),
  TYRES,
  BATTERY,
  ROAD_TEST,
];

/** Machines that count hours: stacked services of 50, 250, 500 and 1000 hours. */
const HOURS: readonly PlanTask[] = [
  by("daily", "Oil, coolant, leaks, guards", [], null, null, { eachUse: "before", minutes: 5 }),
  by("oil", "Engine oil and filter", [h(100, { at: [50] }), months(12)], [h(50)], [h(50)], {
    minutes: 40,
    access: "sump",
  }),
  check("grease", "Grease all points", [h(10)], 15),
  by("service-250", "250 h: belts, hoses, air filter", [h(250)], [h(200)], null, {
    minutes: 60,
    ladder: "hours",
  }),
  goesWith("service-500", "500 h: fuel filter, transmission oil", "service-250", 2, {
    minutes: 90,
    ladder: "hours",
  }),
  goesWith("service-1000", "1000 h: coolant, valve lash, hydraulic oil", "service-250", 4, {
    minutes: 180,
    ladder: "hours",
  }),
  by("blades", "Blades or knives: edge, balance, bolts", [h(25)], null, [h(10)], { minutes: 40 }),
  BATTERY,
];

const BOAT: readonly PlanTask[] = [
  by("daily", "Oil, coolant, bilge, belts, sea cock", [], null, null, {
    eachUse: "before",
    minutes: 10,
  }),
  by("oil", "Engine oil and filter", [h(100), months(12)], [h(50), months(6)], null, {
    minutes: 45,
  }),
  by("impeller", "Raw-water impeller", [h(200), months(12)], null, null, { minutes: 45 }),
  by("fuel", "Fuel filters and water trap", [h(200), months(12)], [h(100)], null, { minutes: 30 }),
  by("anodes", "Anodes", [months(12)], [months(6)], null, { minutes: 30 }),
  by("drive", "Drive or gearbox oil", [h(200), months(12)], null, null, { minutes: 45 }),
  COOLANT,
  by("exhaust", "Exhaust elbow looked into", [months(24)], [months(12)], null, { minutes: 60 }),
  check("gear", "Stern gland, hoses, clips", [months(6)], 30),
  BATTERY,
];

const GENERATOR: readonly PlanTask[] = [
  by("oil", "Engine oil and filter", [h(200, { at: [50] }), months(12)], [h(100)], null, {
    minutes: 40,
  }),
  by("air", "Air filter", [h(400), months(12)], null, [h(100)], { minutes: 10 }),
  by("fuel", "Fuel filter", [h(400), months(24)], null, null, { minutes: 20 }),
  by("run", "Run under load for half an hour", [months(1)], [days(14)], null, { minutes: 40 }),
  by("earth", "Protective devices and earth tested", [months(6, LAW)], null, null, {
    minutes: 30,
    outside: { because: "licensed", tell: "Residual-current device and earth, with figures." },
  }),
  COOLANT,
  BATTERY,
];

const PUMP: readonly PlanTask[] = [
  by("oil", "Engine oil", [h(100, { at: [20] }), months(12)], [h(50)], null, { minutes: 25 }),
  by("air", "Air filter", [h(50)], null, [h(10)], { minutes: 10 }),
  by("plug", "Spark plug (petrol)", [h(100), months(12)], null, null, { minutes: 10 }),
  by("seal", "Shaft seal, impeller and wear plate", [h(250), months(12)], null, [h(100)], {
    minutes: 60,
  }),
  check("strainer", "Strainer, hoses, priming", [months(1)], 10),
  by("frost", "Drained against frost", [months(12)], null, null, { minutes: 15 }),
];

const ELECTRIC: readonly PlanTask[] = [
  BRAKE_FLUID,
  by("cabin", "Cabin filter", [km(15_000), months(12)], null, null, { minutes: 15 }),
  by("loop", "Battery and motor coolant", [months(60)], [months(48)], null, {
    minutes: 90,
    outside: {
      because: "licensed",
      tell: "Only the coolant the maker names; bleed by the tester.",
    },
  }),
  by("reduction", "Reduction gear oil", [], [km(100_000), months(96)], null, { minutes: 45 }),
  by("brakes", "Brakes worked free and looked over", [km(15_000), months(12)], [months(6)], null, {
    minutes: 60,
    access: "wheels off",
  }),
  NUTS,
  TYRES,
  by("high-voltage", "High-voltage insulation and cables", [months(24)], [months(12)], null, {
    outside: { because: "licensed", tell: "Insulation resistance, with the figure." },
  }),
  check("aux-battery", "12 V battery", [months(6)], 10),
  WIPERS,
  ROAD_TEST,
];

const TRACKED: readonly PlanTask[] = [
  ...without(HOURS, "blades"),
  by("tracks", "Track sag", [h(50)], null, [h(25)], { minutes: 20 }),
  by("rollers", "Rollers, idlers and sprockets measured", [h(250)], null, null, { minutes: 45 }),
  by("hydraulic", "Hydraulic oil and filter", [h(1_000), months(24)], [h(500)], [h(500)], {
    minutes: 90,
  }),
];

const TRAILER: readonly PlanTask[] = [
  { ...check("walk", "Coupling, lamps, tyres, load", [], 5), eachUse: "before" },
  by("brakes", "Brakes: linings, cables, adjusters", [months(12)], [months(6)], null, {
    minutes: 90,
    access: "wheels off",
  }),
  by("bearings", "Hub bearings adjusted and greased", [months(12)], null, [months(6)], {
    minutes: 90,
    access: "wheels off",
  }),
  check("coupling", "Coupling, breakaway cable, jockey wheel", [months(6)], 15),
  TYRES,
  ROAD_TEST,
];

const plan = (name: string, kinds: readonly string[], tasks: readonly PlanTask[]): LibraryPlan => ({
  name,
  machine: null,
  kinds,
  tasks,
});

/**
 * Generic plans. The figures are this program's own round ones of common practice: typical, and to be
 * checked against the machine's handbook, which wins.
 */
export const LIBRARY: readonly LibraryPlan[] = [
  plan("car", ["car"], CAR),
  plan("van", ["van"], VAN),
  plan("bus", ["bus"], BUS),
  plan("heavy lorry", ["heavy lorry", "lorry"], HEAVY),
  plan("motorcycle", ["motorcycle", "scooter"], MOTORCYCLE),
  plan("mower or tractor, by hours", ["mower", "tractor", "stationary engine"], HOURS),
  plan("boat engine", ["boat engine"], BOAT),
  plan("generator", ["generator"], GENERATOR),
  plan("pump", ["pump"], PUMP),
  plan("electric vehicle", ["electric van", "electric car"], ELECTRIC),
  plan("tracked carrier", ["tracked carrier"], TRACKED),
  plan("trailer", ["trailer"], TRAILER),
];

/** The plans of the library, those meant for a kind of machine first. */
export function plansFor(kind: string): LibraryPlan[] {
  const isMeant = (one: LibraryPlan): boolean => one.kinds.includes(kind.trim().toLowerCase());
  return [...LIBRARY].sort((one, other) => Number(isMeant(other)) - Number(isMeant(one)));
}
