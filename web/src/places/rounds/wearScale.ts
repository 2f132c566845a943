import type { Wear } from "@yonderfell/core";

const WIDE = 360;
const FOOT = 132;
const LEFT = 44;
const TOP = 12;

/** A place in the drawing. */
interface Place {
  readonly x: number;
  readonly y: number;
}

/** Where what was read, its limit and its line stand in the drawing; null where there is no line to draw. */
export interface WearScale {
  readonly points: readonly (Place & { readonly value: number })[];
  readonly limit: Place & { readonly value: number };
  /** The line of wear from the last reading on; it need not go through that one. */
  readonly ahead: readonly [Place, Place] | null;
  /** Where it meets its limit, as far as that is in sight. */
  readonly meets: Place | null;
}

/** The measures of the drawing. */
export const WEAR_SIZE = { wide: WIDE, high: 150, foot: FOOT, left: LEFT, top: TOP } as const;

/** Lays the slope out: as much life ahead as was measured, or up to where it meets its limit. */
export function wearScale({ readings, limit, trend }: Wear): WearScale | null {
  const read = readings.flatMap(({ life, value }) => (life === null ? [] : [{ life, value }]));
  const [first, last] = [read[0], read.at(-1)];
  if (limit === null || first === undefined || last === undefined || read.length < 2) return null;
  const atLimit = trend?.atLimit ?? null;
  const isAhead = atLimit !== null && atLimit > last.life;
  const end = isAhead ? Math.min(atLimit, last.life + (last.life - first.life)) : last.life;
  const values = [...read.map(({ value }) => value), limit];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const across = (life: number): number =>
    LEFT + ((life - first.life) / Math.max(end - first.life, 1e-9)) * (WIDE - LEFT - 14);
  const up = (value: number): number =>
    FOOT - 8 - ((value - low) / Math.max(high - low, 1e-9)) * (FOOT - TOP - 16);
  const slope = trend?.slope ?? null;
  const lineAt = (life: number): Place | null =>
    atLimit === null || slope === null
      ? null
      : { x: across(life), y: up(limit + slope * (life - atLimit)) };
  const [begin, finish] = isAhead ? [lineAt(last.life), lineAt(end)] : [null, null];
  return {
    points: read.map(({ life, value }) => ({ x: across(life), y: up(value), value })),
    limit: { x: LEFT, y: up(limit), value: limit },
    ahead: begin === null || finish === null ? null : [begin, finish],
    meets: isAhead && atLimit <= end ? { x: across(atLimit), y: up(limit) } : null,
  };
}
