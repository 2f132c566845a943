import { every, months, ODO } from "../limits.js";
import type { ScenarioMachine } from "../scenario.js";

/** A mechanic's own car, bought with a part of its papers. */
export const hatchback: ScenarioMachine = {
  id: "m-hatch",
  tag: "H1",
  name: "Hatchback",
  kind: "car",
  description: "Corven Pellet 1.4 petrol, bought used with a part of its papers",
  inServiceDaysAgo: 3870,
  history: "unknown",
  regime: "cautious",
  meters: [
    {
      id: "odo",
      name: "odometer",
      unit: "km",
      decimals: 0,
      startsAt: 109240,
      running: {
        perDayByMonth: [38, 36, 34, 36, 30, 28, 40, 44, 30, 32, 34, 40],
        weekdays: [1, 2, 3, 4, 5, 6],
      },
      readEvery: [18, 44],
      mistypedDaysAgo: 412,
    },
  ],
  tasks: [
    {
      id: "t-hatch-oil",
      name: "Engine oil and filter",
      regimes: {
        handbook: [every(ODO, 20000), months(24)],
        cautious: [every(ODO, 10000), months(12)],
      },
      doneDaysAgo: [1012, 690, 342],
    },
    {
      id: "t-hatch-air",
      name: "Air filter",
      regimes: { handbook: [every(ODO, 60000)], cautious: [every(ODO, 30000), months(36)] },
      doneDaysAgo: [690],
    },
    {
      id: "t-hatch-belt",
      name: "Timing belt, tensioner and water pump",
      regimes: {
        handbook: [every(ODO, 90000), months(72)],
        cautious: [every(ODO, 75000), months(60)],
      },
      doneDaysAgo: [],
    },
    {
      id: "t-hatch-plugs",
      name: "Spark plugs",
      regimes: { handbook: [every(ODO, 60000)], cautious: [every(ODO, 30000)] },
      doneDaysAgo: [1012],
    },
    {
      id: "t-hatch-brake-fluid",
      name: "Brake fluid",
      regimes: { handbook: [months(24)], cautious: [months(24)] },
      doneDaysAgo: [612],
    },
    {
      id: "t-hatch-gearbox",
      name: "Gearbox oil",
      regimes: { cautious: [every(ODO, 60000), months(72)] },
      regimeReason: "The handbook gives no interval; changed anyway.",
      regime: "cautious",
      doneDaysAgo: [],
    },
    {
      id: "t-hatch-tyres",
      name: "Tyre pressures and tread",
      regimes: { handbook: [{ days: 30 }], cautious: [{ days: 14 }] },
      doneDaysAgo: [78, 61, 44, 30, 13],
    },
    {
      id: "t-hatch-test",
      name: "Roadworthiness test",
      regimes: { handbook: [months(12, { hard: true })] },
      doneDaysAgo: [1090, 727, 361],
    },
    {
      id: "t-hatch-running-in",
      name: "Front brake pads, bedding-in look",
      follows: { task: "t-hatch-pads", days: 14 },
      doneDaysAgo: [329],
    },
    {
      id: "t-hatch-pads",
      name: "Front brake pads",
      regimes: { handbook: [every(ODO, 45000)] },
      doneDaysAgo: [342],
    },
  ],
  notes: [
    { daysAgo: 342, text: "3.6 L with filter. Pads were 2.5 mm on the inner faces." },
    { daysAgo: 612, text: "Tester showed 2.4 % before, 0.3 % after." },
  ],
};
