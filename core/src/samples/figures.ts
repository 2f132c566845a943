/** What a figure of a laboratory speaks of: metal worn off, dirt that came in, or the state of the fluid itself. */
export type SamplePart = "wear" | "dirt" | "state";

/** A figure that laboratories give of a fluid. */
export interface SampleFigure {
  readonly name: string;
  readonly part: SamplePart;
  /** The unit that it is kept in, as the book's samples have it. */
  readonly unit: string;
  /** What it usually means where it stands out. */
  readonly means: string;
}

const wear = (name: string, means: string): SampleFigure => ({
  ...{ name, part: "wear", unit: "ppm", means },
});
const dirt = (name: string, unit: string, means: string): SampleFigure => ({
  ...{ name, part: "dirt", unit, means },
});
const state = (name: string, unit: string, means: string): SampleFigure => ({
  ...{ name, part: "state", unit, means },
});

/** The figures that are known by name, in the order they are told. Source: reckoning, oil and coolant samples; what they usually mean is general practice. */
export const SAMPLE_FIGURES: readonly SampleFigure[] = [
  wear("iron", "liners, gears, shafts, rust after standing"),
  wear("chromium", "rings, roller bearings"),
  wear("aluminium", "pistons, housings; with silicon it is dust"),
  wear("copper", "bearings, bushes, an oil cooler that is new"),
  wear("lead", "bearing shells"),
  wear("tin", "bearing shells, solder"),
  wear("nickel", "valves, turbocharger"),
  dirt("silicon", "ppm", "dust past the air filter, or new sealant"),
  dirt("sodium", "ppm", "coolant, or salt"),
  dirt("potassium", "ppm", "coolant"),
  dirt("water", "percent", "short trips, a cooler or a gasket that leaks"),
  dirt("fuel", "percent", "short trips, an injector that drips"),
  dirt("soot", "percent", "injection, air, long idling"),
  state("viscosity", "mm2/s", "lower: fuel in it; higher: soot, heat, age"),
  state("base number", "mg KOH/g", "what is left against acids"),
];

/** The names that are reckoned by the life of the oil. */
export const WEAR_METALS: readonly string[] = SAMPLE_FIGURES.filter(
  ({ part }) => part === "wear",
).map(({ name }) => name);

/** A figure by its name; null for one that is not known. */
export const sampleFigure = (name: string): SampleFigure | null =>
  SAMPLE_FIGURES.find((one) => one.name === name) ?? null;

/** The same unit written in another way, and units that stand in a fixed ratio: how many of the unit kept one of them is. Exact. */
const RATIOS: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  ppm: { ppm: 1, "mg/kg": 1, percent: 10_000, "%": 10_000 },
  percent: { percent: 1, "%": 1, ppm: 1 / 10_000, "mg/kg": 1 / 10_000 },
  "mm2/s": { "mm2/s": 1, "mm²/s": 1, cst: 1 },
  "mg KOH/g": { "mg koh/g": 1 },
};

/** A figure as a laboratory wrote it. */
export interface ToldFigure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
}

/** A figure as it would be kept. */
export interface ReadFigure {
  readonly name: string;
  readonly value: number;
  /** Whether it was written in another unit than it is kept in, so that a person looks at what was made of it. */
  readonly isConverted: boolean;
}

/** What is made of a figure that a laboratory wrote, in the unit it is kept in; null where its unit is none of that figure. One whose name is not known is kept as it is. */
export function readFigure({ name, value, unit }: ToldFigure): ReadFigure | null {
  const known = name.trim().toLowerCase();
  const figure = sampleFigure(known);
  if (figure === null) return { name: known, value, isConverted: false };
  const ratio = RATIOS[figure.unit]?.[unit.trim().toLowerCase()];
  if (ratio === undefined) return null;
  // 1,200 ppm of water are 0.12 %: no trail of the division is kept.
  return { name: known, value: Number((value * ratio).toPrecision(12)), isConverted: ratio !== 1 };
}
