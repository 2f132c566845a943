import type { ChecklistId, MeterId } from "../book/records/ids.js";
import type {
  CalendarLimitRecord,
  LimitRecord,
  MeasuredLimitRecord,
  MeterLimitRecord,
} from "../book/records/limitRecord.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import type { CalendarInterval } from "../calendar/interval.js";

/** What is said of a limit of any kind. */
interface AnyLimit {
  /** Allowed past the due point, in the limit's own unit (days by the calendar); 0 where nothing is said. */
  readonly grace: number;
  /** Required by law or warranty: grace does not apply. */
  readonly hard: boolean;
  /** Kinds of product it holds for; empty: any (due rules §13). */
  readonly products: readonly string[];
}

/** By distance or hours, in the meter's unit: milestones in life, then every so much. */
export interface MeterLimit extends AnyLimit {
  readonly kind: "meter";
  readonly meter: MeterId;
  /** Null where it has milestones alone. */
  readonly every: number | null;
  readonly at: readonly number[];
}

/** By calendar: every so many months or days. */
export interface CalendarLimit extends AnyLimit {
  readonly kind: "calendar";
  readonly interval: CalendarInterval;
  /** The day its fixed points are counted from, null where none is said. */
  readonly from: DayNumber | null;
}

/** By what rounds measure: wear that meets a figure, set against the life of a meter (due rules §16). */
export interface MeasuredLimit extends AnyLimit {
  readonly kind: "measured";
  readonly checklist: ChecklistId;
  readonly check: string;
  /** Null for the check as a whole. */
  readonly point: string | null;
  readonly meter: MeterId;
  /** In the unit of the check. */
  readonly limit: number;
}

/**
 * A limit of a task, of one of a closed list of kinds (due rules §4). What differs from kind to kind is told apart
 * by an exhaustive switch over `kind`, so that the compiler names each place a further kind is missing in.
 */
export type Limit = MeterLimit | CalendarLimit | MeasuredLimit;

/** What a limit says where nothing is said of grace, hardness or products. */
const PLAIN = { grace: 0, hard: false, products: [] } as const;

const isMeasured = (record: LimitRecord): record is MeasuredLimitRecord =>
  "checklist" in record && (record.checklist ?? null) !== null;
const isByMeter = (record: LimitRecord): record is MeterLimitRecord =>
  "meter" in record && (record.meter ?? null) !== null;

/** A limit of the book, which validation has accepted, as one of the kinds there are: the one place that tells a kind by its fields (due rules §4). */
export function limitOf(record: LimitRecord): Limit {
  const { grace = 0, hard = false, for: products = [] } = record;
  if (isMeasured(record)) {
    const { checklist, check, point = null, meter, limit } = record;
    return { kind: "measured", checklist, check, point, meter, limit, grace, hard, products };
  }
  if (isByMeter(record)) {
    const { meter, every = null, at = [] } = record;
    return { kind: "meter", meter, every, at, grace, hard, products };
  }
  const from = (record.from ?? null) === null ? null : dayOf(record.from as string);
  return { kind: "calendar", interval: intervalOf(record), from, grace, hard, products };
}

/** The interval of a limit by calendar: months, or else days. */
function intervalOf({ months, days }: CalendarLimitRecord): CalendarInterval {
  return (months ?? null) === null ? { days: days as number } : { months: months as number };
}

/** A limit by calendar of which only its interval is said. */
export function everyInterval(interval: CalendarInterval): CalendarLimit {
  return { kind: "calendar", interval, from: null, ...PLAIN };
}

/** A limit by a meter of which only its interval is said. */
export function everySoMuch(meter: MeterId, every: number): MeterLimit {
  return { kind: "meter", meter, every, at: [], ...PLAIN };
}

/** How far past its due point a limit may run: its grace, none where it is hard (due rules §4). */
export function graceOf({ grace, hard }: Limit): number {
  return hard ? 0 : grace;
}

/** The limits of one kind among some: for what is a matter of that kind alone, whatever other kinds there are. */
export function limitsOfKind<Kind extends Limit["kind"]>(
  limits: readonly Limit[],
  kind: Kind,
): Extract<Limit, { kind: Kind }>[] {
  const isOfKind = (limit: Limit): limit is Extract<Limit, { kind: Kind }> => limit.kind === kind;
  return limits.filter(isOfKind);
}

/** The limits among some that count on one meter. */
export function limitsOnMeter(limits: readonly Limit[], meter: MeterId): MeterLimit[] {
  return limitsOfKind(limits, "meter").filter((limit) => limit.meter === meter);
}
