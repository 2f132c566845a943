import { addDays, formatDay, type DayNumber, type Sample } from "@yonderfell/core";

/** What the laboratory of the dale lets pass of engine oil. */
const LIMITS = {
  limits: {
    ...{ iron: { watch: 80, stop: 140 }, copper: { watch: 30, stop: 60 } },
    ...{ silicon: { watch: 20, stop: 40 }, water: { watch: 0.2, stop: 0.5 } },
  },
  lowest: { "base number": { watch: 4, stop: 2 } },
};
const LAB = "Corrie Factors, oil bench";
const ON_ITS_WAY = 2;
const AT_THE_BENCH = 9;

interface ScenarioSample {
  readonly daysAgo: number;
  readonly label: string;
  readonly oilLife: number;
  /** Iron, aluminium, copper and silicon in ppm, water in percent, base number; none while it is awaited. */
  readonly found?: readonly [number, number, number, number, number, number];
  readonly remarks?: string;
  /** Still on the shelf. */
  readonly isHere?: boolean;
}

interface ScenarioSystem {
  readonly machine: string;
  readonly fluid: string;
  readonly meter: string;
  readonly product: string | null;
  readonly samples: readonly ScenarioSample[];
}

const SYSTEMS: readonly ScenarioSystem[] = [
  {
    ...{ machine: "m-gritter", fluid: "f-grit-oil", meter: "odo", product: "p-fell-10w40" },
    samples: [
      { daysAgo: 640, label: "21/1", oilLife: 14800, found: [24, 3, 6, 6, 0.05, 7.2] },
      { daysAgo: 280, label: "21/2", oilLife: 14300, found: [31, 4, 6, 8, 0.06, 7] },
    ],
  },
  {
    ...{ machine: "m-carrier", fluid: "f-carr-oil", meter: "hrs", product: "p-fell-15w40" },
    samples: [
      { daysAgo: 363, label: "25/1", oilLife: 108, found: [21, 3, 5, 7, 0.04, 8.1] },
      { daysAgo: 317, label: "25/2", oilLife: 111, found: [23, 3, 4, 6, 0.05, 8] },
      { daysAgo: 275, label: "25/3", oilLife: 101, found: [20, 2, 5, 8, 0.04, 8.2] },
      { daysAgo: 230, label: "25/4", oilLife: 109, found: [24, 3, 4, 7, 0.06, 7.9] },
      { daysAgo: 187, label: "25/5", oilLife: 103, found: [21, 3, 5, 6, 0.05, 8] },
      { daysAgo: 142, label: "25/6", oilLife: 109, found: [26, 4, 5, 9, 0.05, 7.8] },
      {
        ...{ daysAgo: 53, label: "25/7", oilLife: 103, found: [47, 11, 6, 26, 0.05, 7.1] },
        remarks: "Silicon with iron and aluminium: dust. Look at the air filter and its hose.",
      },
      { daysAgo: 9, label: "25/8", oilLife: 106 },
    ],
  },
  {
    ...{ machine: "m-carrier", fluid: "f-carr-hyd", meter: "hrs", product: null },
    samples: [{ daysAgo: 1, label: "25/H1", oilLife: 1460, isHere: true }],
  },
];

type Trail = (machine: string, daysAgo: number) => Readonly<Record<string, number>>;

/** Samples of two systems: one sampled too seldom to say what is usual, one with a sample out of family and one that is awaited. */
export function samplesOn(dials: Trail, today: DayNumber): Sample[] {
  const on = (daysAgo: number): string => formatDay(addDays(today, -daysAgo));
  const samples = SYSTEMS.flatMap(({ samples: own, ...system }) =>
    own.map(({ daysAgo, label, oilLife, found, remarks, isHere }) => {
      const life = dials(system.machine, daysAgo)[system.meter];
      const result = (): object => {
        const [iron, aluminium, copper, silicon, water, base] = found ?? [];
        const values = { iron, aluminium, copper, silicon, water, "base number": base };
        return {
          on: on(daysAgo - AT_THE_BENCH),
          values,
          ...(remarks ? { remarks } : {}),
          ...LIMITS,
        };
      };
      return {
        ...{ id: `sa-${label.replace("/", "-")}`, date: on(daysAgo), ...system, label },
        ...(life === undefined ? {} : { life }),
        ...{ oilLife, lab: LAB },
        ...(isHere === true ? {} : { sent: on(daysAgo - ON_ITS_WAY) }),
        ...(found === undefined ? {} : { result: result() }),
      };
    }),
  );
  return samples as unknown as Sample[];
}
