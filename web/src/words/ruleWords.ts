import {
  symbolOf,
  type BoardMachine,
  type Limit,
  type LimitReckoning,
  type MeasuredLimit,
  type MeterId,
  type Unit,
} from "@yonderfell/core";
import { amount, counted, figure, NBSP } from "./format.js";
import { unitOf } from "./limitWords.js";

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
