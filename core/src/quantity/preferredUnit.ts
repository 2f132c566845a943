import { valueIn, type Quantity } from "./quantity.js";
import { dimensionOf, type Unit } from "./unit.js";

/** How a person likes quantities shown; what is stored stays as typed. */
export type MeasureSystem = "typed" | "metric" | "us" | "imperial";

/** Below so many ft·lbf a torque is spoken of in in·lbf. */
const LEAST_FOOT_POUNDS = 15;
/** From so many gallons on a volume is spoken of in gallons. */
const LEAST_GALLONS = 4;

const METRIC_LENGTHS = new Set<Unit>(["mm", "cm", "m", "km"]);

/** The metric unit people use for a quantity of this size. */
export function metricUnit(quantity: Quantity): Unit {
  const { unit } = quantity;
  switch (dimensionOf(unit)) {
    case "length":
      return METRIC_LENGTHS.has(unit) ? unit : unit === "mi" ? "km" : unit === "ft" ? "m" : "mm";
    case "volume":
      return unit === "mL" ? "mL" : "L";
    case "torque":
      return "Nm";
    case "pressure":
      return unit === "psi" ? "bar" : unit === "inH2O" ? "kPa" : unit;
    case "temperature":
      return "degC";
    case "mass":
      return unit === "g" || unit === "oz" ? "g" : "kg";
    case "time":
    case "voltage":
    case "current":
    case "charge":
    case "power":
    case "share":
    case "rotation":
    case "count":
    case "turn":
    case "acidity":
      return unit;
  }
}

function customaryUnit(quantity: Quantity, gallons: "us" | "imp"): Unit {
  const { unit } = quantity;
  switch (dimensionOf(unit)) {
    case "length":
      if (unit === "in-32nd") return unit;
      return unit === "km" || unit === "mi" ? "mi" : unit === "m" || unit === "ft" ? "ft" : "in";
    case "volume":
      return valueIn(quantity, `${gallons}-gal`) >= LEAST_GALLONS
        ? `${gallons}-gal`
        : gallons === "us"
          ? "us-qt"
          : "imp-pt";
    case "torque":
      return Math.abs(valueIn(quantity, "ft-lbf")) < LEAST_FOOT_POUNDS ? "in-lbf" : "ft-lbf";
    case "pressure":
      return "psi";
    case "temperature":
      return "degF";
    case "mass":
      return unit === "g" || unit === "oz" ? "oz" : "lb";
    case "time":
    case "voltage":
    case "current":
    case "charge":
    case "power":
    case "share":
    case "rotation":
    case "count":
    case "turn":
    case "acidity":
      return unit;
  }
}

/** The unit a person who likes a system sees a quantity in; its own where they like it as typed. */
export function preferredUnit(quantity: Quantity, system: MeasureSystem): Unit {
  switch (system) {
    case "typed":
      return quantity.unit;
    case "metric":
      return metricUnit(quantity);
    case "us":
      return customaryUnit(quantity, "us");
    case "imperial":
      return customaryUnit(quantity, "imp");
  }
}
