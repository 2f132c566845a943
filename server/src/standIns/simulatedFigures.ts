/** A figure as the simulated laboratory writes it. */
export interface LabFigure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
}

/** What oils usually show by hundred of their life, or as they are: the middle, and how far it may be off. */
const WORN = { iron: [18, 5], copper: [4, 2], lead: [3, 2], aluminium: [3, 1] } as const;
const SILICON = [6, 4] as const;

/** The figures of a made-up oil, the same for the same number each time; `oilLife` in hours, or hundreds of kilometres. No real oil is looked at. */
export function simulatedFigures(seed: number, oilLife: number): LabFigure[] {
  let state = (seed % 2_147_483_646) + 1;
  const next = (): number => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
  next();
  const near = ([middle, off]: readonly [number, number]): number =>
    middle + (next() * 2 - 1) * off;
  const worn = Object.entries(WORN).map(([name, spread]) => ({
    ...{ name, unit: "ppm" },
    value: Math.max(0, Math.round((near(spread) * oilLife) / 100)),
  }));
  return [
    ...worn,
    { name: "silicon", value: Math.max(1, Math.round(near(SILICON))), unit: "ppm" },
    { name: "water", value: Number((0.03 + next() * 0.05).toFixed(2)), unit: "percent" },
    { name: "fuel", value: Number((next() * 1.2).toFixed(1)), unit: "percent" },
    { name: "viscosity", value: Number((13.6 + next() * 1.4).toFixed(1)), unit: "mm2/s" },
    { name: "base number", value: Number((7.5 - next() * 1.5).toFixed(1)), unit: "mg KOH/g" },
  ];
}
