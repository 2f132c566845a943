import {
  type BoardMachine,
  type BoardMeter,
  type Limit,
  type LimitReckoning,
  type MeterId,
} from "@yonderfell/core";
import { amount, counted, spanOfDays } from "./format.js";
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

type MeterUnit = "km" | "mi" | "h";

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
