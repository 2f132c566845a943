/** What a step of a job is (job rules §1). */
export type StepKind =
  | ("do" | "caution" | "open" | "drain" | "close" | "fill" | "passes")
  | ("measure" | "look" | "torque" | "fit" | "wait" | "run" | "reset");

type Maybe<T> = T | null | undefined;

/** A step on a card; amounts in litres. */
export interface CardStep {
  readonly id: string;
  readonly kind: StepKind;
  readonly name?: Maybe<string>;
  readonly system?: Maybe<string>;
  readonly tasks?: Maybe<readonly string[]>;
  readonly points?: Maybe<readonly string[]>;
  readonly after?: Maybe<readonly string[]>;
  readonly again?: Maybe<boolean>;
  readonly meanwhile?: Maybe<boolean>;
  readonly mayNotApply?: Maybe<boolean>;
  readonly of?: Maybe<"drain" | "fill">;
  readonly expected?: Maybe<number>;
  readonly by?: Maybe<"mark" | "amount">;
  readonly vessel?: Maybe<number>;
  readonly pass?: Maybe<number>;
  readonly wanted?: Maybe<number>;
  readonly inFirst?: Maybe<boolean>;
  readonly part?: Maybe<string>;
  readonly count?: Maybe<number>;
  readonly minutes?: Maybe<number>;
  readonly least?: Maybe<number>;
  readonly most?: Maybe<number>;
  readonly watchLeast?: Maybe<number>;
  readonly watchMost?: Maybe<number>;
  readonly uncertainty?: Maybe<number>;
  readonly resolution?: Maybe<number>;
  readonly severity?: Maybe<"attend" | "stop">;
}

/** A job with its card. */
export interface JobCard {
  readonly tasks?: Maybe<readonly string[]>;
  readonly steps?: Maybe<readonly CardStep[]>;
}

/** Something that happened in a job, as it was told: any of its fields may be wrong, which the replay says (job rules §2). */
export interface ToldEvent {
  readonly id: string;
  /** Milliseconds. */
  readonly at: number;
  readonly do: string;
  readonly by?: unknown;
  readonly step?: unknown;
  readonly point?: unknown;
  readonly amount?: unknown;
  readonly late?: unknown;
  readonly level?: unknown;
  readonly value?: unknown;
  readonly verdict?: unknown;
  readonly reason?: unknown;
  readonly undoes?: unknown;
}

/** Kinds whose points are ticked one by one. */
export const TICKED_BY_POINT: ReadonlySet<StepKind> = new Set([
  ...(["do", "caution", "close", "torque", "fit"] as const),
]);
/** Kinds whose points are read or judged one by one. */
const JUDGED_BY_POINT: ReadonlySet<StepKind> = new Set(["measure", "look"]);

export const systemOf = ({ system }: CardStep): string | null => system ?? null;
export const tasksOf = ({ tasks }: CardStep): readonly string[] => tasks ?? [];

/** The points of a step, where its kind has any. */
export function pointsOf({ kind, points }: CardStep): readonly string[] {
  return TICKED_BY_POINT.has(kind) || JUDGED_BY_POINT.has(kind) ? (points ?? []) : [];
}

/** Whether two steps are of one system; steps without one never are. */
export function areOfOne(one: CardStep, other: CardStep): boolean {
  return systemOf(one) !== null && systemOf(one) === systemOf(other);
}

export const isCloseOf = ({ kind, of }: CardStep, opening: "drain" | "fill"): boolean =>
  kind === "close" && of === opening;

/** Whether a fill ends at its mark, and not with an amount. */
export const isByMark = ({ by }: CardStep): boolean => (by ?? "mark") === "mark";
