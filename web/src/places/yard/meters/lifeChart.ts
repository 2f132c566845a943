import { daysBetween, type MeterReckoning, type Point } from "@yonderfell/core";

/** A point of the chart of a life: a day, and the life then. */
export interface ChartPoint {
  readonly x: number;
  readonly y: number;
}

/** What a chart of a meter's life shows. */
export interface LifeChart {
  /** The line of the life: kept points, and on to today as reckoned. */
  readonly line: readonly ChartPoint[];
  readonly read: readonly ChartPoint[];
  readonly estimated: readonly ChartPoint[];
  readonly changes: readonly ChartPoint[];
  readonly faults: readonly ChartPoint[];
}

const place = ({ day, life }: Point): ChartPoint => ({ x: day, y: life });

/** The chart of a meter's life on its day: every figure where it stands, those left out among them. */
export function lifeChart({ kept, faults, life, today, running }: MeterReckoning): LifeChart {
  const last = kept.at(-1);
  const goesOn = last !== undefined && life !== null && daysBetween(last.day, today) > 0;
  const reckoned = goesOn ? [{ x: today, y: life }] : [];
  // While it is laid up the line is level: the corner stands where the lay-up ends.
  const corner =
    goesOn && running.between(last.day, today) === 0 ? [{ x: today, y: last.life }] : [];
  return {
    line: [...kept.map(place), ...(corner.length > 0 ? corner : reckoned)],
    read: kept.filter((point) => !point.estimated && !point.change).map(place),
    estimated: kept.filter((point) => point.estimated).map(place),
    changes: kept.filter((point) => point.change).map(place),
    faults: faults.map(place),
  };
}
