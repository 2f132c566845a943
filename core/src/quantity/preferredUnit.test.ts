import { formatNumber } from "./formatQuantity.js";
import { metricUnit, preferredUnit, type MeasureSystem } from "./preferredUnit.js";
import { dimensionOf, symbolOf, UNIT_NAMES, type Dimension, type Unit } from "./unit.js";
import { findUnit } from "./unitWords.js";

test.each<[number, Unit, MeasureSystem, Unit]>([
  [5, "L", "typed", "L"],
  [5, "L", "us", "us-qt"],
  [20, "L", "us", "us-gal"],
  [5, "L", "imperial", "imp-pt"],
  [30, "L", "imperial", "imp-gal"],
  [5, "us-qt", "metric", "L"],
  [8, "Nm", "us", "in-lbf"],
  [80, "Nm", "us", "ft-lbf"],
  [300, "in-lbf", "metric", "Nm"],
  [32, "psi", "metric", "bar"],
  [20, "inH2O", "metric", "kPa"],
  [2.2, "bar", "imperial", "psi"],
  [10, "mm", "us", "in"],
  [10, "km", "us", "mi"],
  [10, "mi", "metric", "km"],
  [3, "ft", "metric", "m"],
  [5, "in-32nd", "metric", "mm"],
  [5, "in-32nd", "us", "in-32nd"],
  [3, "turn", "us", "turn"],
  [7, "pH", "imperial", "pH"],
  [2, "m", "us", "ft"],
  [1, "kg", "us", "lb"],
  [500, "g", "imperial", "oz"],
  [2, "oz", "metric", "g"],
  [-20, "degC", "us", "degF"],
  [70, "Ah", "us", "Ah"],
  [12.6, "V", "imperial", "V"],
])("%d %s shown %s is in %s", (value, unit, system, expected) => {
  expect(preferredUnit({ value, unit }, system)).toBe(expected);
});

test("a preferred unit always measures the same, and the metric one is metric already", () => {
  for (const unit of UNIT_NAMES) {
    for (const system of ["metric", "us", "imperial"] as const) {
      expect(dimensionOf(preferredUnit({ value: 3, unit }, system))).toBe(dimensionOf(unit));
    }
    const metric = metricUnit({ value: 3, unit });
    expect(metricUnit({ value: 3, unit: metric })).toBe(metric);
  }
});

test("every unit is understood by its symbol and by its name in the book", () => {
  for (const unit of UNIT_NAMES) {
    const dimensions = [dimensionOf(unit)];
    expect(findUnit(symbolOf(unit), dimensions, null)).toEqual({ code: "unit", unit });
    expect(findUnit(unit, dimensions, null)).toEqual({ code: "unit", unit });
  }
});

test.each<[string, Dimension, string]>([
  ["Quarts", "volume", "which-gallon"],
  ["pints", "volume", "which-gallon"],
  ["litres", "volume", "unit"],
  ["foot-pounds", "torque", "unit"],
  ["lbf·in", "torque", "unit"],
  ["hours", "time", "unit"],
  ["furlongs", "length", "unknown"],
])("the word %s is found: %s", (word, dimension, code) => {
  expect(findUnit(word, [dimension], null).code).toBe(code);
});

test.each([
  [1234567.5, undefined, "1 234 567.5"],
  [0.0000001, undefined, "0.0000001"],
  [1e21, undefined, "1 000 000 000 000 000 000 000"],
  [-0.5, undefined, "−0.5"],
  [5.0157, 3, "5.02"],
  [29.83, 2, "30"],
  [0, 3, "0"],
])("%d to %s digits is written %s", (value, digits, words) => {
  expect(formatNumber(value, { decimal: ".", thousands: " " }, digits)).toBe(words);
});
