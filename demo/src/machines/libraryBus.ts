import type { FindingId, PlaceId } from "@yonderfell/core";
import { vinOf } from "../vin.js";
import { every, HRS, months, ODO } from "../limits.js";
import { q } from "../plate.js";
import { libraryBusPlate } from "./libraryBusPlate.js";
import type { ScenarioMachine } from "../scenario.js";

/** The library bus: an odometer replaced last winter, a ramp lift with hours of its own. */
export const libraryBus: ScenarioMachine = {
  id: "m-bus",
  tag: "07",
  name: "Library bus",
  kind: "bus",
  description: "Harrowgate Drover 7.5 t, diesel 4.5 L, ramp lift at the rear door",
  inServiceDaysAgo: 2080,
  history: "known",
  regime: "handbook",
  meters: [
    {
      id: "odo",
      name: "odometer",
      unit: "km",
      decimals: 0,
      startsAt: 58120,
      running: {
        perDayByMonth: [78, 84, 88, 70, 92, 90, 48, 22, 88, 92, 90, 60],
        weekdays: [1, 2, 3, 4, 5],
      },
      readEvery: [6, 15],
      replacedDaysAgo: 308,
    },
    {
      id: "hrs",
      name: "ramp lift hours",
      unit: "h",
      decimals: 1,
      startsAt: 311,
      running: { perDayByMonth: Array.from({ length: 12 }, () => 0.7), weekdays: [1, 2, 3, 4, 5] },
      readEvery: [26, 40],
    },
  ],
  tasks: [
    {
      id: "t-bus-oil",
      name: "Engine oil and filter",
      regimes: {
        handbook: [every(ODO, 12000, { grace: 500 }), months(12)],
        cautious: [every(ODO, 8000), months(6)],
        measured: [every(ODO, 18000), months(18)],
        "hard use": [every(ODO, 6000), months(6)],
      },
      minutes: 55,
      access: "sump",
      uses: [{ fluid: "f-bus-oil", condition: "with filter" }],
      doneDaysAgo: [],
      doneRunAgo: { meter: "odo", amounts: [35900, 23300, 11320] },
    },
    {
      id: "t-bus-air",
      name: "Air filter",
      nth: { of: "t-bus-oil", every: 2 },
      doneDaysAgo: [],
      doneRunAgo: { meter: "odo", amounts: [35900, 11320] },
    },
    {
      id: "t-bus-fuel",
      name: "Fuel filter and water trap",
      regimes: {
        handbook: [every(ODO, 30000), months(24)],
        cautious: [every(ODO, 20000), months(12)],
        "hard use": [every(ODO, 15000), months(12)],
      },
      minutes: 30,
      doneDaysAgo: [741, 306],
    },
    {
      id: "t-bus-gearbox",
      name: "Gearbox oil",
      regimes: {
        handbook: [every(ODO, 60000), months(48)],
        cautious: [every(ODO, 40000), months(36)],
        measured: [every(ODO, 80000)],
      },
      minutes: 50,
      uses: [{ fluid: "f-bus-box" }],
      doneDaysAgo: [867],
    },
    {
      id: "t-bus-brake-fluid",
      name: "Brake fluid",
      regimes: {
        handbook: [months(24)],
        cautious: [months(12)],
        measured: [months(36)],
      },
      minutes: 60,
      access: "wheels off",
      uses: [{ fluid: "f-bus-brake" }],
      doneDaysAgo: [764],
    },
    {
      id: "t-bus-coolant",
      name: "Coolant",
      regimes: {
        handbook: [every(ODO, 200000), months(60)],
        cautious: [months(36)],
        measured: [months(72)],
      },
      minutes: 90,
      uses: [{ fluid: "f-bus-cool", condition: "drain and fill" }],
      doneDaysAgo: [741],
    },
    {
      id: "t-bus-brakes",
      name: "Wheels off, brakes looked over",
      regimes: { handbook: [every(ODO, 20000), months(12)] },
      doneDaysAgo: [1003, 741, 372],
      doneRunAgo: { meter: "odo", amounts: [24] },
    },
    {
      id: "t-bus-nuts",
      name: "Wheel nuts, torque again",
      follows: { task: "t-bus-brakes", meter: "odo", amount: 50 },
      doneDaysAgo: [1001, 739, 370],
    },
    {
      id: "t-bus-test",
      name: "Roadworthiness test",
      regimes: { handbook: [months(12, { hard: true, from: "2021-04-03" })] },
      anchor: "grid",
      doneDaysAgo: [965, 602, 233],
    },
    {
      id: "t-bus-lift",
      name: "Ramp lift, thorough examination",
      regimes: { handbook: [months(6, { hard: true }), every(HRS, 250)] },
      doneDaysAgo: [903, 722, 541, 359, 178],
    },
    {
      id: "t-bus-cabin",
      name: "Cabin filter",
      regimes: { handbook: [months(12)] },
      doneDaysAgo: [606, 241],
    },
  ],
  said: [
    {
      daysAgo: 148,
      says: {
        closes: ["fd-bus-belt" as FindingId],
        note: "Steering hose wept on the belt: hose and clips first, then the new belt.",
      },
    },
  ],
  notes: [
    { daysAgo: 602, text: "Passed. Advisory: nearside headlamp a little low, adjusted." },
    { daysAgo: 306, text: "Water in the trap again. Tank vent cleaned." },
    { daysAgo: 372, text: "Nearside rear handbrake cable stiff, freed and greased." },
  ],
  facts: {
    vin: vinOf("0YFDR45B", "L0077120"),
    variant: "4.5 L diesel, six-speed, without bypass filter",
    place: "pl-shed" as PlaceId,
    bayNeeds: ["long"],
    duty: {
      coldestStart: q(-16, "degC"),
      hottestDay: q(29, "degC"),
      shortTrips: true,
      idling: true,
    },
    needed: [{ weekdays: [2, 4], reason: "upper valley round" }],
  },
  ...libraryBusPlate,
};
