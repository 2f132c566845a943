import type { PlaceId } from "@yonderfell/core";
import { every, months, ODO } from "../limits.js";
import { measured, q, said } from "../plate.js";
import { steadily, type ScenarioMachine } from "../scenario.js";

/** The cargo trike: no engine at all; chain, brakes, tyres. */
export const cargoTrike: ScenarioMachine = {
  id: "m-trike",
  tag: "05",
  name: "Cargo trike",
  kind: "cargo trike",
  description: "Wath three-wheeler, hub gear, drum brakes",
  inServiceDaysAgo: 930,
  history: "known",
  regime: "handbook",
  facts: { serial: "W3-088", place: "pl-shed" as PlaceId, duty: { dust: true, water: true } },
  meters: [
    {
      id: "odo",
      name: "wheel counter",
      unit: "km",
      decimals: 1,
      startsAt: 12,
      running: steadily(11, [3, 4, 5, 6, 7, 8, 9, 10, 11]),
      readEvery: [14, 40],
    },
  ],
  tasks: [
    {
      id: "t-trike-chain",
      name: "Chain cleaned and oiled",
      regimes: { handbook: [every(ODO, 300), months(2)] },
      doneDaysAgo: [180, 128, 71, 30],
    },
    {
      id: "t-trike-brakes",
      name: "Brake shoes and cables",
      regimes: { handbook: [every(ODO, 2500), months(12)] },
      doneDaysAgo: [540, 170],
    },
    {
      id: "t-trike-hub",
      name: "Hub gear oil",
      regimes: { handbook: [every(ODO, 5000), months(24)] },
      doneDaysAgo: [540],
    },
    {
      id: "t-trike-tyres",
      name: "Tyres and spokes looked over",
      regimes: { handbook: [months(3)] },
      doneDaysAgo: [170, 71],
    },
  ],
  notes: [],
  specifications: [
    said("s-trike-tyre", "tyre", "All wheels", "47-406", "47-406"),
    measured("s-trike-pressure", "pressure", "Tyres", [q(3.5, "bar"), q(5, "bar")], q(58, "psi")),
    measured("s-trike-chain", "free play", "Chain slack", [q(10, "mm"), q(15, "mm")], q(12, "mm")),
  ],
};
