import { addDays, daysBetween, lifeOn, type MeterReckoning, type Point } from "@yonderfell/core";

/** A point of the chart of a life: a day, and the life then. */
interface ChartPoint {
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

/** The line goes on from the last figure in so many steps, so that it is level while the machine is laid up. */
const STEPS = 24;

function onwards({ kept, rate, running, today }: MeterReckoning): ChartPoint[] {
  const last = kept.at(-1);
  const days = last === undefined ? 0 : daysBetween(last.day, today);
  if (last === undefined || days <= 0) return [];
  const count = Math.min(STEPS, days);
  return Array.from({ length: count }, (_, step) => {
    const day = addDays(last.day, Math.round(((step + 1) * days) / count));
    return { x: day, y: lifeOn(kept, rate.perDay, day, running) ?? last.life };
  });
}

/** The chart of a meter's life on its day: every figure where it stands, those left out among them. */
export function lifeChart(reckoning: MeterReckoning): LifeChart {
  const { kept, faults } = reckoning;
  return {
    line: [...kept.map(place), ...onwards(reckoning)],
    read: kept.filter((point) => !point.estimated && !point.change).map(place),
    estimated: kept.filter((point) => point.estimated).map(place),
    changes: kept.filter((point) => point.change).map(place),
    faults: faults.map(place),
  };
}
