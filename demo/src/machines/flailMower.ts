import { every, HRS, months } from "../limits.js";
import type { ScenarioMachine } from "../scenario.js";

/** The flail mower: hours, seasons and hard use. */
export const flailMower: ScenarioMachine = {
  id: "m-mower",
  tag: "12",
  name: "Flail mower",
  kind: "mower",
  description: "Brackmoor Verge 160 on a Tolland 58 carrier, diesel 2.2 L",
  inServiceDaysAgo: 1496,
  history: "known",
  regime: "hard use",
  meters: [
    {
      id: "hrs",
      name: "engine hours",
      unit: "h",
      decimals: 1,
      startsAt: 402,
      running: {
        perDayByMonth: [0.4, 0.5, 1.6, 3.2, 4.6, 5.1, 4.4, 4.8, 4.2, 3.4, 2.6, 0.8],
        weekdays: [1, 2, 3, 4, 5],
      },
      readEvery: [5, 12],
    },
  ],
  tasks: [
    {
      id: "t-mower-grease",
      name: "Grease, 14 points",
      regimes: { handbook: [every(HRS, 20)], "hard use": [every(HRS, 10, { grace: 2 })] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [71.5, 60.5, 50, 39.5, 29, 19.5, 9] },
    },
    {
      id: "t-mower-oil",
      name: "Engine oil and filter",
      regimes: {
        handbook: [every(HRS, 250, { at: [50] }), months(12)],
        "hard use": [every(HRS, 150, { at: [50] }), months(12)],
      },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [1180, 1034, 880, 733, 590, 440, 286, 132] },
    },
    {
      id: "t-mower-air",
      name: "Air filter element",
      regimes: {
        handbook: [every(HRS, 500)],
        "hard use": [every(HRS, 300)],
      },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [733, 440, 286] },
    },
    {
      id: "t-mower-hydraulic",
      name: "Hydraulic oil and filter",
      regimes: { handbook: [every(HRS, 1000, { at: [100] })] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [880] },
    },
    {
      id: "t-mower-flails",
      name: "Flails and rotor bearings looked over",
      regimes: { handbook: [every(HRS, 50)], "hard use": [every(HRS, 25)] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [132, 108, 81, 55, 28.5] },
    },
    {
      id: "t-mower-belt",
      name: "Rotor belts",
      regimes: { handbook: [every(HRS, 600)] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [440] },
    },
    {
      id: "t-mower-extinguisher",
      name: "Fire extinguisher, yearly check",
      regimes: { handbook: [months(12, { hard: true })] },
      doneDaysAgo: [1071, 709, 340],
    },
  ],
  notes: [
    { daysAgo: 709, text: "Powder shaken loose, weighed: 2.0 kg." },
    { daysAgo: 340, text: "Gauge in the green, hose sound, pin sealed." },
  ],
};
