import type { Entry, Fitment, Known, LimitRecord, Machine, Task } from "@yonderfell/core";
import type { ScenarioFluid, ScenarioPoint, ScenarioSpecification } from "./plate.js";

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
  /** Days ago its dial stood still. */
  readonly stoppedDaysAgo?: number;
  /** Days ago of a reading with two digits typed the wrong way round. */
  readonly mistypedDaysAgo?: number;
}

/** A task of the scenario with the days ago it was done. */
export interface ScenarioTask {
  readonly id: string;
  readonly name: string;
  readonly regimes?: Readonly<Record<string, readonly LimitRecord[]>>;
  readonly anchor?: "grid";
  readonly nth?: { readonly of: string; readonly every: number };
  readonly follows?:
    | { readonly task: string; readonly meter: string; readonly amount: number }
    | { readonly task: string; readonly days: number };
  readonly regime?: string;
  readonly regimeReason?: string;
  readonly minutes?: number;
  readonly access?: string;
  readonly ladder?: string;
  readonly eachUse?: "before" | "after";
  readonly uses?: readonly { readonly fluid: string; readonly condition?: string }[];
  readonly outside?: NonNullable<Task["outside"]>;
  readonly needs?: string[];
  readonly note?: string;
  /** The task of a sister machine it was copied from, and the schools that one had then. */
  readonly copiedFrom?: {
    readonly machine: string;
    readonly task: string;
    readonly schools?: readonly string[];
  };
  readonly doneDaysAgo: readonly number[];
  /** Also done when the meter had so much less on it than today: keeps its state whatever the season. */
  readonly doneRunAgo?: { readonly meter: string; readonly amounts: readonly number[] };
  /** What was measured at its latest turns, the earliest of them first. */
  readonly lastMeasured?: NonNullable<Entry["measures"]>;
}

/** A visit with words of its own: which tasks the note goes with, by days ago. */
interface ScenarioNote {
  readonly daysAgo: number;
  readonly text: string;
}

/** Something said of a machine that is not work done: a test, a reminder code, a wish, a judgement. */
interface ScenarioSaying {
  readonly daysAgo: number;
  readonly says: Partial<Omit<Known<Entry>, "id" | "machine" | "date" | "tasks">> & {
    readonly tasks?: readonly string[];
  };
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
  readonly said?: readonly ScenarioSaying[];
  /** What the work of so many days ago also says. */
  readonly worked?: readonly ScenarioSaying[];
  /** The taking on of it begun so many days ago, and what was left unknown. */
  readonly baseline?: { readonly daysAgo: number; readonly left: readonly string[] };
  /** What else is known of it, but for dates. */
  readonly facts?: Partial<Omit<Known<Machine>, "id" | "tag" | "name" | "kind" | "meters">>;
  readonly acquiredDaysAgo?: number;
  /** Days it cannot be spared between two days from today. */
  readonly neededSpans?: readonly {
    readonly fromDays: number;
    readonly toDays: number;
    readonly weekdays: number[];
    readonly reason: string;
  }[];
  /** Out of service since so many days ago. */
  readonly stop?: {
    readonly daysAgo: number;
    readonly reason: string;
    readonly by: string;
    /** Released again: so many days ago, by whom, what was done. */
    readonly released?: { readonly daysAgo: number; readonly by: string; readonly done: string };
  };
  readonly fluids?: readonly ScenarioFluid[];
  readonly points?: readonly ScenarioPoint[];
  readonly specifications?: readonly ScenarioSpecification[];
  readonly fitments?: readonly ScenarioFitment[];
}

/** A part as a machine of the scenario takes it. */
type ScenarioFitment = Omit<Partial<Known<Fitment>>, "part" | "tasks"> & {
  readonly part: string;
  readonly tasks?: readonly string[];
};

/** Runs every working day alike, so many units, in the months given (January 1; all where none are). */
export function steadily(
  most: number,
  inMonths: readonly number[] = [],
  weekdays = [1, 2, 3, 4, 5],
): Running {
  const perDayByMonth = Array.from({ length: 12 }, (_, index) =>
    inMonths.length === 0 || inMonths.includes(index + 1) ? most : 0,
  );
  return { perDayByMonth, weekdays };
}
