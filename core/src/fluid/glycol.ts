import { linearIn, type Point } from "../sums/middle.js";
import { isAtLeast, isAtMost, isBelow } from "../sums/nearly.js";

/** What a coolant is thinned from. */
export type Glycol = "ethylene" | "propylene";

/** A point of a label: a share by volume and the °C at which that mix freezes. */
export interface FreezePoint {
  readonly share: number;
  readonly freezesAt: number;
}

/** Share by volume and °C at which it freezes, up to the coldest mix. Source: published figures of glycol in water. */
const LOWER: Readonly<Record<Glycol, readonly Point[]>> = {
  ethylene: [
    ...([
      [0, 0],
      [0.089, -3.2],
      [0.181, -7.8],
      [0.277, -14.1],
      [0.326, -17.9],
    ] as const),
    ...([
      [0.375, -22.3],
      [0.425, -27.5],
      [0.476, -33.8],
      [0.527, -41.1],
      [0.578, -48.3],
    ] as const),
  ],
  propylene: [
    ...([
      [0, 0],
      [0.096, -3.3],
      [0.194, -7.1],
      [0.294, -12.7],
    ] as const),
    ...([
      [0.396, -21.1],
      [0.499, -33.5],
      [0.6, -51],
    ] as const),
  ],
};

/** Past the coldest mix more ethylene glycol freezes sooner again. */
const UPPER_ETHYLENE: readonly Point[] = [
  ...([
    [0.781, -48.3],
    [0.789, -46.8],
    [0.843, -36.9],
  ] as const),
  ...([
    [0.897, -29.8],
    [0.95, -19.4],
    [1, -13],
  ] as const),
];

/** Degrees by which a share of glycol raises the boiling point. */
const RISE: Readonly<Record<Glycol, readonly Point[]>> = {
  ethylene: [
    [0, 0],
    [0.1, 1.1],
    [0.2, 2.2],
    [0.3, 3.3],
    [0.4, 5],
    [0.5, 7.2],
    [0.6, 11.1],
  ],
  propylene: [
    [0, 0],
    [0.1, 0],
    [0.2, 0.6],
    [0.3, 2.2],
    [0.4, 3.9],
    [0.5, 5.6],
    [0.6, 7.2],
  ],
};

/** The lower branch: of a label where one is given, else of the glycol; from pure water on. */
function lowerBranch(glycol: Glycol, table: readonly FreezePoint[] | null): readonly Point[] {
  if (table === null) return LOWER[glycol];
  const points = table.map(({ share, freezesAt }): Point => [share, freezesAt]);
  return points[0]?.[0] === 0 ? points : [[0, 0], ...points];
}

/** Where a mix freezes in °C; past what the table tells `freezesAt` is null and `below` the coldest it tells, where that still holds. */
export function freezePoint(
  glycol: Glycol,
  share: number,
  table: readonly FreezePoint[] | null,
): { readonly freezesAt: number | null; readonly below: number | null } {
  const points = lowerBranch(glycol, table);
  const [lastShare, coldest] = points.at(-1) ?? [0, 0];
  if (isAtMost(share, lastShare)) return { freezesAt: linearIn(points, share), below: null };
  if (table !== null) return { freezesAt: null, below: null };
  const [upperFrom] = UPPER_ETHYLENE[0] ?? [1];
  if (glycol === "ethylene" && isAtLeast(share, upperFrom)) {
    return { freezesAt: linearIn(UPPER_ETHYLENE, share), below: null };
  }
  return { freezesAt: null, below: coldest };
}

/** The share by volume that freezes at a temperature, on the lower branch: 0 from 0 °C on; null where no mix is as cold. */
export function glycolShare(
  glycol: Glycol,
  freezesAt: number,
  table: readonly FreezePoint[] | null,
): number | null {
  if (freezesAt >= 0) return 0;
  const points = lowerBranch(glycol, table);
  const coldest = points.at(-1)?.[1] ?? 0;
  if (isBelow(freezesAt, coldest)) return null;
  const byCold = points.map(([share, at]): Point => [-at, share]);
  return linearIn(byCold, -freezesAt);
}

/** Air pressure in kPa at metres of altitude. Source: the standard atmosphere. */
const atmosphere = (altitude: number): number => 101.325 * (1 - 2.25577e-5 * altitude) ** 5.25588;

const MMHG_IN_KPA = 7.500616827;
const NORMAL_MMHG = 760;
/** Boiling water up to the normal pressure, and above it. Source: the Antoine equation. */
const belowNormal = (mmHg: number): number => 1730.63 / (8.07131 - Math.log10(mmHg)) - 233.426;
const aboveNormal = (mmHg: number): number => 1810.94 / (8.14019 - Math.log10(mmHg)) - 244.485;

/** Where a mix boils in °C, under a cap of kilopascal (gauge), at metres of altitude; shares up to 0.6. */
export function boilingPoint(glycol: Glycol, share: number, cap: number, altitude: number): number {
  const mmHg = (atmosphere(altitude) + cap) * MMHG_IN_KPA;
  const water =
    mmHg <= NORMAL_MMHG ? belowNormal(mmHg) : Math.max(belowNormal(NORMAL_MMHG), aboveNormal(mmHg));
  return water + linearIn(RISE[glycol], share);
}
