import {
  symbolOf,
  type BoardMachine,
  type BoardMeter,
  type Limit,
  type LimitReckoning,
  type MeasuredLimit,
  type MeterId,
  type Unit,
} from "@yonderfell/core";
import { amount, counted, figure, NBSP, spanOfDays } from "./format.js";
import { distanceShown } from "./writing.js";

/** What a meter is called. */
export function meterName({ meter }: Pick<BoardMeter, "meter">): string {
  return meter.name ?? (meter.measure === "hours" ? "hour meter" : "odometer");
}

/** The meter of a machine on the board. */
export function meterOf(machine: BoardMachine, id: MeterId): BoardMeter | undefined {
  return machine.meters.find((candidate) => candidate.meter.id === id);
}

/** The unit a meter counts in; `km` stands in for a meter that validation would have refused. */
export function unitOf(machine: BoardMachine, id: MeterId): "km" | "mi" | "h" {
  return meterOf(machine, id)?.meter.unit ?? "km";
}

/** The interval of a reckoned limit. */
export function intervalWords({ limit, basis }: LimitReckoning, machine: BoardMachine): string {
  const named =
    basis.code === "measured"
      ? { name: basis.check, unit: basis.unit }
      : basis.code === "not-measured" || basis.code === "no-trend"
        ? { name: basis.check, unit: null }
        : null;
  return ruleWords(
    limit,
    (meter) => unitOf(machine, meter),
    () => named,
  );
}

/** The interval of a limit: `every 15 000 km`, `at 50 h, then every 250 h`, `every 12 months`, `every 10 000 km with mineral`. */
export function ruleWords(
  limit: Limit,
  unitOfMeter: (meter: MeterId) => MeterUnit,
  measured: NameMeasured = () => null,
): string {
  const { products: kinds } = limit;
  const product = kinds.length === 0 ? "" : ` with ${kinds.join(" or ")}`;
  return `${plainRule(limit, unitOfMeter, measured)}${product}`;
}

/** What a check is called and read in; null where that is not known. */
type NameMeasured = (
  limit: MeasuredLimit,
) => { readonly name: string; readonly unit: Unit | null } | null;

const MOST_DECIMALS = 2;

/** A figure with the decimals it has. */
export function exactFigure(value: number): string {
  const decimals = String(value).split(".")[1]?.length ?? 0;
  return figure(value, Math.min(decimals, MOST_DECIMALS));
}

type MeterUnit = "km" | "mi" | "h";

function plainRule(
  limit: Limit,
  unitOfMeter: (meter: MeterId) => MeterUnit,
  measured: NameMeasured,
): string {
  switch (limit.kind) {
    case "calendar": {
      const { months, days } = limit.interval;
      return `every ${months === undefined ? counted(days, "day") : counted(months, "month")}`;
    }
    case "meter": {
      const unit = unitOfMeter(limit.meter);
      const milestones = limit.at.map((milestone) => figure(milestone)).join(", ");
      const at = milestones === "" ? "" : `at ${milestones}${NBSP}${unit}`;
      const every = limit.every === null ? "" : `every ${amount(limit.every, unit)}`;
      return [at, every].filter((part) => part !== "").join(", then ");
    }
    case "measured":
      return measuredRule(limit, measured(limit));
  }
}

/** `when pads, left come to 3 mm, measured on rounds`. */
function measuredRule({ point, limit }: MeasuredLimit, named: ReturnType<NameMeasured>): string {
  const at = point === null ? "" : `, ${point}`;
  const symbol = (named?.unit ?? null) === null ? "" : symbolOf(named?.unit ?? "piece");
  const due = symbol === "" ? exactFigure(limit) : `${exactFigure(limit)}${NBSP}${symbol}`;
  return `when rounds measure ${due} of ${(named?.name ?? "its check").toLowerCase()}${at}`;
}

/** A limit by name: `24-month limit`, `14-day limit`, `odometer limit`, `look-again date`. */
export function limitName(limit: LimitReckoning, machine: BoardMachine): string {
  const { basis } = limit;
  if (basis.code === "tested-sound") return "look-again date";
  if (basis.code === "wanted") {
    return basis.reminder === null ? "wish to have it now" : `reminder ${basis.reminder}`;
  }
  switch (limit.kind) {
    case "meter": {
      const meter = meterOf(machine, limit.meter);
      return meter === undefined ? "limit" : `${meterName(meter)} limit`;
    }
    case "calendar": {
      const { months, days } = limit.limit.interval;
      return months === undefined ? `${days}-day limit` : `${months}-month limit`;
    }
    case "measured":
      return "measured limit";
  }
}

/** An amount in a limit's own measure: `1 500 km`, `14 days`. */
export function limitAmount(
  limit: Limit,
  value: number,
  unitOfMeter: (meter: MeterId) => MeterUnit,
): string {
  switch (limit.kind) {
    case "meter":
    case "measured":
      return amount(value, unitOfMeter(limit.meter));
    case "calendar":
      return counted(value, "day");
  }
}

/** What is left of a limit in the unit that governs: `709 km left`, `4 h over`, `24-month limit`. */
export function leftWords(limit: LimitReckoning, machine: BoardMachine): string {
  const hard = limit.limit.hard ? ", no grace" : "";
  switch (limit.kind) {
    case "calendar":
      return `${limitName(limit, machine)}${hard}`;
    case "meter":
    case "measured": {
      if (limit.remaining === null) return "";
      const { value, unit } = distanceShown(limit.remaining, unitOf(machine, limit.meter));
      const [left, over] = [`${amount(value, unit)} left`, `${amount(-value, unit)} over`];
      return `${value > 0 ? left : over}${hard}`;
    }
  }
}

/** What is left of a limit as a figure, also where it is time: `709 km left`, `5 weeks over`, `3 months left`. */
export function figureLeft(limit: LimitReckoning, machine: BoardMachine): string {
  switch (limit.kind) {
    case "meter":
    case "measured":
      return leftWords(limit, machine);
    case "calendar":
      return daysLeftWords(limit.remaining);
  }
}

function daysLeftWords(remaining: number | null): string {
  if (remaining === null) return "";
  if (remaining === 0) return "due today";
  const span = spanOfDays(Math.abs(remaining));
  return remaining > 0 ? `${span} left` : `${span} over`;
}
