import {
  addDays,
  formatDay,
  weekdayOf,
  type Booking,
  type Closure,
  type DayNumber,
  type Journey,
  type Machine,
  type PersonId,
  type Quote,
  type Visit,
} from "@yonderfell/core";
import type { ScenarioMachine } from "./scenario.js";

/** A visit that the shed has decided on, by days from the day of the book. */
interface ScenarioVisit {
  readonly id: string;
  readonly machine: string;
  readonly tasks: readonly string[];
  readonly acceptedDaysAgo: number;
  readonly inDays: number;
  readonly isPinned?: boolean;
  readonly note?: string;
  /** What a workshop asks for it, in words and money. */
  readonly quoted?: readonly (readonly [what: string, amount: number])[];
}

/** Who quoted, and how many days ago. */
const QUOTED_BY = "Tolver Agricultural";
const QUOTED_DAYS_AGO = 4;

const VISITS: readonly ScenarioVisit[] = [
  {
    id: "v-mower",
    machine: "m-mower",
    tasks: ["t-mower-air", "t-mower-oil", "t-mower-extinguisher"],
    acceptedDaysAgo: 6,
    inDays: 8,
    quoted: [
      ["Labour, 2 hours", 138],
      ["Engine oil 15W-40, 7 litres", 61.6],
      ["Oil filter, spin-on", 13.5],
      ["Travel to the shed", 40],
    ],
  },
  {
    id: "v-hatch",
    machine: "m-hatch",
    tasks: ["t-hatch-test"],
    acceptedDaysAgo: 12,
    inDays: 3,
    isPinned: true,
    note: "Ramp at Nether Skarrow from nine.",
  },
  {
    id: "v-pump",
    machine: "m-pump",
    tasks: ["t-pump-air", "t-pump-seal"],
    acceptedDaysAgo: 20,
    inDays: -3,
  },
];

/** A journey or a season ahead, by days from the day of the book. */
type ScenarioJourney = Omit<Journey, "date" | "id" | "machine" | "meter"> & {
  readonly id: string;
  readonly machine: string;
  readonly meter: string;
  readonly inDays: number;
};

const JOURNEYS: readonly ScenarioJourney[] = [
  {
    id: "j-fair",
    machine: "m-bus",
    name: "Book fair on the coast, over the passes",
    inDays: 16,
    days: 9,
    meter: "odo",
    amount: 1600,
    load: "heavy",
    coldest: { value: -26, unit: "degC" },
    note: "Shelves full, the exhibition on the trailer.",
  },
  {
    id: "j-tow",
    machine: "m-tow",
    name: "Season on the nursery slope",
    inDays: 24,
    days: 84,
    meter: "hrs",
    amount: 310,
    coldest: { value: -24, unit: "degC" },
    daysClear: 5,
  },
];

/** The journeys of the demonstration. */
export function journeysOf(today: DayNumber): Journey[] {
  return JOURNEYS.map(({ inDays, ...journey }) => ({
    ...journey,
    date: formatDay(addDays(today, inDays)),
  })) as unknown as Journey[];
}

const SATURDAY = 6;

/** The visits of the demonstration: on a working day, so that the shed is open. */
export function visitsOf(today: DayNumber): Visit[] {
  return VISITS.map(({ acceptedDaysAgo, inDays, isPinned, tasks, quoted, ...visit }) => ({
    ...visit,
    ...(quoted === undefined ? {} : { quote: quoteOf(quoted, today) }),
    date: formatDay(workday(addDays(today, inDays))),
    tasks: [...tasks],
    accepted: formatDay(addDays(today, -acceptedDaysAgo)),
    ...(isPinned === true ? { pinned: true } : {}),
  })) as unknown as Visit[];
}

function quoteOf(quoted: NonNullable<ScenarioVisit["quoted"]>, today: DayNumber): Quote {
  const lines = quoted.map(([what, amount]) => ({ what, amount }));
  return { workshop: QUOTED_BY, on: formatDay(addDays(today, -QUOTED_DAYS_AGO)), lines };
}

/** A day or, at a weekend, the Friday before it. */
function workday(day: DayNumber): DayNumber {
  return addDays(day, -Math.max(0, weekdayOf(day) - SATURDAY + 1));
}

const LOOKED_AFTER: Readonly<Record<string, string>> = {
  "pl-shed": "pe-thwaite",
  "pl-moss": "pe-rigg",
  "pl-top": "pe-rigg",
};

/** Who looks after a machine, by where it lives, and the days it cannot be spared: as the scenario has them, and the spans of days around today. */
export function workshopFacts(
  machine: ScenarioMachine,
  today: DayNumber,
): Pick<Machine, "needed" | "person"> {
  const spans = (machine.neededSpans ?? []).map(({ fromDays, toDays, ...need }) => ({
    ...need,
    from: formatDay(addDays(today, fromDays)),
    to: formatDay(addDays(today, toDays)),
  }));
  const needed = [...(machine.facts?.needed ?? []), ...spans];
  const person = LOOKED_AFTER[machine.facts?.place ?? ""];
  return {
    ...(needed.length === 0 ? {} : { needed }),
    ...(person === undefined ? {} : { person: person as PersonId }),
  };
}

/** When the shed is closed, and somebody is away. */
export function closuresOf(today: DayNumber): Closure[] {
  const on = (days: number): string => formatDay(addDays(today, days));
  return [
    { id: "cs-1", from: on(31), to: on(39), what: "workshop", reason: "turn of the year" },
    {
      ...{ id: "cs-2", from: on(11), to: on(15), what: "person", person: "pe-rigg" },
      reason: "rope course at Top Station",
    },
  ] as unknown as Closure[];
}

/** Work that was given to others. */
export function bookingsOf(today: DayNumber): Booking[] {
  const on = (days: number): string => formatDay(addDays(today, days));
  return [
    {
      ...{ id: "bk-1", date: on(-6), machine: "m-hatch", tasks: ["t-hatch-test"], day: on(3) },
      ...{ workshop: "Nether Skarrow ramp", tell: "Front hoses have fine cracks.", quote: 54 },
    },
  ] as unknown as Booking[];
}
