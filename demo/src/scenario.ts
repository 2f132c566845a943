import type { Limit } from "@yonderfell/core";

/** How a machine runs: most units on a working day by month (January first), and the days of the week it works (Monday 1). */
export interface Running {
  readonly perDayByMonth: readonly number[];
  readonly weekdays: readonly number[];
}

/** A meter of the scenario: where the dial stood three years ago and how it runs. */
export interface ScenarioMeter {
  readonly id: string;
  readonly name: string;
  readonly unit: "km" | "mi" | "h";
  readonly decimals: number;
  readonly startsAt: number;
  readonly running: Running;
  /** Days between readings, from–to. */
  readonly readEvery: readonly [number, number];
  /** Days ago the meter was replaced by one that started at 0. */
  readonly replacedDaysAgo?: number;
  /** Days ago of a reading with two digits typed the wrong way round. */
  readonly mistypedDaysAgo?: number;
}

/** A task of the scenario with the days ago it was done. */
export interface ScenarioTask {
  readonly id: string;
  readonly name: string;
  readonly regimes?: Readonly<Record<string, readonly Limit[]>>;
  readonly anchor?: "grid";
  readonly nth?: { readonly of: string; readonly every: number };
  readonly follows?:
    | { readonly task: string; readonly meter: string; readonly amount: number }
    | { readonly task: string; readonly days: number };
  readonly regime?: string;
  readonly regimeReason?: string;
  readonly doneDaysAgo: readonly number[];
  /** Also done when the meter had so much less on it than today: keeps its state whatever the season. */
  readonly doneRunAgo?: { readonly meter: string; readonly amounts: readonly number[] };
}

/** A visit with words of its own: which tasks the note goes with, by days ago. */
export interface ScenarioNote {
  readonly daysAgo: number;
  readonly text: string;
}

/** A machine of Skarrow Vale. */
export interface ScenarioMachine {
  readonly id: string;
  readonly tag: string;
  readonly name: string;
  readonly kind: string;
  readonly description: string;
  /** In service this many days before the day of the book. */
  readonly inServiceDaysAgo: number;
  readonly history: "known" | "unknown";
  readonly regime: string;
  readonly meters: readonly ScenarioMeter[];
  readonly tasks: readonly ScenarioTask[];
  readonly notes: readonly ScenarioNote[];
}
