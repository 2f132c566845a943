import type { PlanLimit, PlanTask } from "./plan.js";

type Limits = readonly PlanLimit[];
type More = Omit<PlanTask, "key" | "name" | "regimes">;

/** Every so many kilometres. */
export const km = (every: number, more: object = {}): PlanLimit => ({
  ...{ measure: "distance", unit: "km", every },
  ...more,
});
/** Every so many hours. */
export const h = (every: number, more: object = {}): PlanLimit => ({
  ...{ measure: "hours", unit: "h", every },
  ...more,
});
/** Every so many months. */
export const months = (count: number, more: object = {}): PlanLimit => ({
  ...{ measure: "calendar", months: count },
  ...more,
});
/** Every so many days. */
export const days = (count: number): PlanLimit => ({ measure: "calendar", days: count });
/** Required by law. */
export const LAW = { hard: true };

/** A task with its usual limits, the cautious ones and those of hard use; null where a school has none of its own. */
export function by(
  key: string,
  name: string,
  usual: Limits,
  cautious: Limits | null,
  hard: Limits | null,
  more: More = {},
): PlanTask {
  return {
    key,
    name,
    regimes: {
      handbook: usual,
      ...(cautious === null ? {} : { cautious }),
      ...(hard === null ? {} : { "hard use": hard }),
    },
    ...more,
  };
}

/** With every n-th turn of another. */
export function goesWith(
  key: string,
  name: string,
  of: string,
  every: number,
  more: More = {},
): PlanTask {
  return { key, name, nth: { of, every }, ...more };
}

/** A look by one rule for every school. */
export const check = (key: string, name: string, limits: Limits, minutes: number): PlanTask =>
  by(key, name, limits, null, null, { minutes });

/** Brake fluid by its age. */
export const BRAKE_FLUID = by("brake-fluid", "Brake fluid", [months(24)], [months(12)], null, {
  minutes: 60,
});
/** Coolant by its age. */
export const COOLANT = by("coolant", "Coolant", [months(60)], [months(36)], null, { minutes: 75 });
/** Tyres, once a month. */
export const TYRES = check("tyres", "Tyres: tread, pressure, age", [months(1)], 15);
/** Wheel nuts after the wheels were off. */
export const NUTS: PlanTask = {
  key: "wheel-nuts",
  name: "Wheel nuts, torque again",
  follows: { task: "brakes", measure: "distance", unit: "km", amount: 50 },
  minutes: 10,
};
/** The roadworthiness test. */
export const ROAD_TEST = by("road-test", "Roadworthiness test", [months(12, LAW)], null, null, {
  anchor: "grid",
  outside: { because: "licensed", tell: "Roadworthiness test; bring the papers." },
});
/** The starter battery. */
export const BATTERY = check("battery", "Battery: terminals, rested voltage", [months(6)], 15);
/** Wiper blades. */
export const WIPERS = check("wipers", "Wiper blades", [months(12)], 10);
/** A look from below. */
export const UNDERSIDE = check("underside", "Underneath: leaks, rubber, rust", [months(12)], 30);

/** Engine oil of a road vehicle. */
export const road = (oilKm: number, minutes: number): PlanTask =>
  by(
    "oil",
    "Engine oil and filter",
    [km(oilKm), months(12)],
    [km(oilKm / 2), months(6)],
    [km(oilKm / 2), months(6)],
    { minutes, access: "sump" },
  );
