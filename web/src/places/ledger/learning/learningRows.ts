import type {
  CapacityBeside,
  ConsumptionTrend,
  EstimateBeside,
  IntervalSeen,
  PartLives,
} from "@yonderfell/core";
import { formatDay } from "@yonderfell/core";
import { evidenceWords } from "./learningWords.js";

const orEmpty = (value: number | null, decimals: number): string =>
  value === null ? "" : value.toFixed(decimals);

/** Consumption between services as a table for a spreadsheet. */
export function consumptionRows(trends: readonly ConsumptionTrend[]): string[][] {
  return [
    ["System", "From", "To", "Run", "Unit", "Top-ups", "Litres", "By so much", "Rate"],
    ...trends.flatMap(({ system, spans, soFar, per, meter }) =>
      [...spans, ...(soFar === null ? [] : [soFar])].map((span) => [
        ...[system, formatDay(span.fromDay), span.toDay === null ? "" : formatDay(span.toDay)],
        ...[(span.to - span.from).toFixed(1), meter.unit, String(span.count)],
        ...[span.amount.toFixed(3), String(per), span.rate.toFixed(4)],
      ]),
    ),
  ];
}

/** Learned capacities as a table for a spreadsheet. */
export function capacityRows(all: readonly CapacityBeside[]): string[][] {
  return [
    ["System", "Condition", "Fills", "Median L", "Least L", "Most L", "Worked by", "Share above"],
    ...all.map(({ fluid, condition, learned, median, working, off }) => [
      ...[fluid.system, condition, String(learned.fills), median.toFixed(3)],
      ...[orEmpty(learned.low, 3), orEmpty(learned.high, 3)],
      ...[working === null ? "" : `${working.quantity.value} ${working.quantity.unit}`],
      orEmpty(off, 4),
    ]),
  ];
}

/** Estimates beside what work took as a table for a spreadsheet. */
export function estimateRows(all: readonly EstimateBeside[]): string[][] {
  return [
    ["Task", "Said min", "Median min", "Least", "Most", "Times", "Reckoned cost", "Median cost"],
    ...all.map(({ task, estimated, median, low, high, times, estimatedCost, cost }) => [
      ...[task.name, orEmpty(estimated, 0), median.toFixed(1), String(low), String(high)],
      ...[String(times), estimatedCost.toFixed(2), orEmpty(cost, 2)],
    ]),
  ];
}

/** What was found at turns as a table for a spreadsheet. */
export function intervalRows(all: readonly IntervalSeen[]): string[][] {
  return [
    [
      "Task",
      "Every",
      "Handbook",
      "Unit",
      "Day",
      "Run",
      "Found",
      "Not counted",
      "Seen",
      "Speaks for",
    ],
    ...all.flatMap(({ task, every, maker, unit, turns, advice }) =>
      turns.map((turn) => [
        ...[task.name, String(every), maker === null ? "" : String(maker)],
        ...[unit, formatDay(turn.day), turn.run.toFixed(1), turn.found],
        ...[turn.leftOut ?? "", turn.evidence.map(evidenceWords).join("; ")],
        advice.advice === "keep" ? "" : String(advice.to),
      ]),
    ),
  ];
}

/** Lives of parts as a table for a spreadsheet. */
export function lifeRows(
  lives: readonly PartLives[],
  nameOf: (part: string) => string,
): string[][] {
  return [
    ["Part", "From", "Lives", "Median life", "Least", "Most", "Unit", "Median days"],
    ...lives.map(({ part, source, unit, days, ...one }) => [
      ...[nameOf(part), source, String(one.lives.length)],
      ...[one.median, one.low, one.high].map((life) => orEmpty(life, 1)),
      ...[unit ?? "", days.toFixed(1)],
    ]),
  ];
}
