import fc from "fast-check";
import { formatQuantity } from "./formatQuantity.js";
import { parseQuantity, type QuantityReading } from "./parseQuantity.js";
import { shownIn, valueIn, type Quantity, type ShownQuantity } from "./quantity.js";
import { torqueDoubt, usualTorque } from "./torqueDoubt.js";
import { dimensionOf, UNIT_NAMES, type Unit } from "./unit.js";

const reading = (unit: Unit, more: Partial<QuantityReading> = {}): QuantityReading => ({
  unit,
  decimal: ".",
  gallons: null,
  ...more,
});

const read = (text: string, unit: Unit, more: Partial<QuantityReading> = {}): unknown => {
  const result = parseQuantity(text, reading(unit, more));
  return result.ok ? result.value.quantity : result.issues[0]?.code;
};

test.each<[string, Unit, number, Unit]>([
  ["5.3 US qt", "L", 5.3, "us-qt"],
  ["5.3 qt us", "L", 5.3, "us-qt"],
  ["2 imperial gallons", "L", 2, "imp-gal"],
  ["4,5 L", "L", 4.5, "L"],
  ["4.5", "L", 4.5, "L"],
  ["84 inlb", "Nm", 84, "in-lbf"],
  ["62 ft-lbs", "Nm", 62, "ft-lbf"],
  ["62 lb·ft", "Nm", 62, "ft-lbf"],
  ["250h", "h", 250, "h"],
  ["-32F", "degC", -32, "degF"],
  ["−24 °C", "degC", -24, "degC"],
  ["41 350 km", "km", 41350, "km"],
  ["41'350.5", "km", 41350.5, "km"],
  ["1.234.567", "km", 1234567, "km"],
  ["32 psi", "kPa", 32, "psi"],
  ["20 inH2O", "kPa", 20, "inH2O"],
  ["0.8 mm", "mm", 0.8, "mm"],
  [".5", "L", 0.5, "L"],
  ['3"', "mm", 3, "in"],
  ["600 cc", "L", 600, "mL"],
  ["8 oz US", "L", 8, "us-floz"],
  ["60 %", "percent", 60, "percent"],
  ["0,500 L", "L", 0.5, "L"],
  ["84 lbs-in", "Nm", 84, "in-lbf"],
  ["84 lb-in", "Nm", 84, "in-lbf"],
  ["84 pound inches", "Nm", 84, "in-lbf"],
  ["62 pound feet", "Nm", 62, "ft-lbf"],
  ["62 lbs-ft", "Nm", 62, "ft-lbf"],
  ["5′", "mm", 5, "ft"],
  ["5'", "mm", 5, "ft"],
  ["- 40 C", "degC", -40, "degC"],
  ["5 500 km", "km", 5500, "km"],
  ["5 thirty-seconds", "mm", 5, "in-32nd"],
  ["12 pieces", "piece", 12, "piece"],
  ["4 pcs", "piece", 4, "piece"],
  ["1.5 turns", "turn", 1.5, "turn"],
  ["7.4 pH", "pH", 7.4, "pH"],
])("%s is understood", (text, unit, value, expected) => {
  expect(read(text, unit, text.includes("oz") ? { gallons: "imperial" } : {})).toEqual({
    value,
    unit: expected,
  });
});

test.each<[string, Unit, number, Unit]>([
  ["1 1/2 in", "mm", 1.5, "in"],
  ["1½ in", "mm", 1.5, "in"],
  ["5/32", "in", 0.15625, "in"],
  ["1⅓ in", "mm", 4 / 3, "in"],
  ["5' 6\"", "mm", 66, "in"],
  ["5′6½″", "mm", 66.5, "in"],
  ["5 ft 6 in", "m", 66, "in"],
  ["12 k", "km", 12000, "km"],
  ["12 k mi", "km", 12000, "mi"],
])("%s keeps the words it was typed in", (typed, unit, value, expected) => {
  expect(read(typed, unit)).toEqual({ value, unit: expected, typed });
});

test("a bare fraction in a metric field is taken as inches, and says so", () => {
  const result = parseQuantity("5/32", reading("mm"));
  expect(result).toMatchObject({
    ok: true,
    value: { quantity: { value: 0.15625, unit: "in" }, isInches: true },
  });
});

test.each([
  ["1,234", ".", 1234, 1.234],
  ["1.234", ".", 1.234, 1234],
  ["1,234", ",", 1.234, 1234],
  ["1.234", ",", 1234, 1.234],
] as const)(
  "%s with the decimal sign %s is %d, and tells the other reading",
  (text, decimal, value, other) => {
    const result = parseQuantity(text, reading("km", { decimal }));
    expect(result).toMatchObject({ ok: true, value: { quantity: { value }, otherReading: other } });
  },
);

test.each(["0.125", "12.5", "1 234", "1,234.5"])("%s can be read in one way only", (text) => {
  const result = parseQuantity(text, reading("km"));
  expect(result).toMatchObject({ ok: true, value: { otherReading: null } });
});

test.each([
  ["", "L", "empty"],
  ["much", "L", "not-a-figure"],
  ["1/0 in", "mm", "not-a-figure"],
  ["1.2.3", "km", "not-a-figure"],
  ["12,34,5.6", "km", "not-a-figure"],
  ["1,234.5,6", "km", "not-a-figure"],
  ["5 2 L", "L", "not-a-figure"],
  ["10 5", "km", "not-a-figure"],
  ["5' 6\"", "L", "not-a-figure"],
  ["5 firkins", "L", "unit-unknown"],
  ["5 psi", "L", "wrong-unit"],
  ["5 qt", "Nm", "wrong-unit"],
  ["5 qt", "L", "which-gallon"],
] as const)("“%s” in a field for %s is refused: %s", (text, unit, code) => {
  expect(read(text, unit)).toBe(code);
});

test("a bare quart goes by the machine's gallons, and they differ by a fifth", () => {
  const us = read("5 qt", "L", { gallons: "us" }) as Quantity;
  const imperial = read("5 qt", "L", { gallons: "imperial" }) as Quantity;
  expect(valueIn(us, "L")).toBeCloseTo(4.731765, 6);
  expect(valueIn(imperial, "L")).toBeCloseTo(5.682613, 6);
});

test("an ounce is a weight where weights are wanted, and a measure where only volumes are", () => {
  expect(read("5 oz", "kg")).toEqual({ value: 5, unit: "oz" });
  expect(read("5 oz", "L", { gallons: "us" })).toEqual({ value: 5, unit: "us-floz" });
  const both = reading("L", { gallons: "us", also: ["mass"] });
  expect(parseQuantity("16 oz", both)).toMatchObject({
    value: { quantity: { value: 16, unit: "us-floz" }, isFluidOunces: true },
  });
  expect(parseQuantity("16 fl oz", both)).toMatchObject({ value: { isFluidOunces: false } });
  expect(read("16 oz", "kg", { also: ["volume"] })).toEqual({ value: 16, unit: "oz" });
});

test.each<[number, Unit, Unit, number]>([
  [1, "mi", "km", 1.609344],
  [1, "in", "mm", 25.4],
  [1 / 32, "in", "mm", 0.79375],
  [1, "in-32nd", "mm", 0.79375],
  [4, "in-32nd", "in", 0.125],
  [1, "us-gal", "L", 3.785411784],
  [1, "us-gal", "us-qt", 4],
  [1, "imp-gal", "L", 4.54609],
  [1, "imp-gal", "imp-qt", 4],
  [1, "ft-lbf", "Nm", Number("1.3558179483314004")],
  [1, "ft-lbf", "in-lbf", 12],
  [1, "psi", "kPa", 6.894757293168361],
  [1, "bar", "kPa", 100],
  [1, "inH2O", "kPa", 0.249089],
  [-40, "degF", "degC", -40],
  [100, "degC", "degF", 212],
  [1, "lb", "kg", 0.45359237],
  [90, "min", "h", 1.5],
])("%d %s in %s is exactly %d", (value, unit, to, expected) => {
  expect(valueIn({ value, unit }, to)).toBe(expected);
});

test("units that measure different things are not converted", () => {
  expect(() => valueIn({ value: 1, unit: "L" }, "km")).toThrow(RangeError);
});

const anyUnit = fc.constantFrom(...UNIT_NAMES);
const anyValue = fc
  .double({ noNaN: true, min: -1e9, max: 1e9 })
  .map((value) => (Math.abs(value) < 1e-12 ? 0 : value));
const anyStyle = fc.constantFrom(
  { decimal: ".", thousands: "\u00a0" } as const,
  { decimal: ",", thousands: "\u00a0" } as const,
  { decimal: ".", thousands: "," } as const,
  { decimal: ",", thousands: "." } as const,
);

test("what is written is read again as it was, in every unit and style", () => {
  fc.assert(
    fc.property(anyUnit, anyValue, anyStyle, (unit, value, style) => {
      const written = formatQuantity({ value, unit }, style);
      const back = parseQuantity(written, reading(unit, { decimal: style.decimal }));
      expect(back).toMatchObject({ ok: true, value: { quantity: { value, unit } } });
    }),
    { numRuns: 2000 },
  );
});

test("no chain of conversions loses anything", () => {
  const chain = fc.tuple(anyUnit, anyValue).chain(([unit, value]) => {
    const same = UNIT_NAMES.filter((other) => dimensionOf(other) === dimensionOf(unit));
    return fc.tuple(
      fc.constant({ value, unit }),
      fc.array(fc.constantFrom(...same), { maxLength: 8 }),
    );
  });
  fc.assert(
    fc.property(chain, ([quantity, units]) => {
      let shown: Quantity | ShownQuantity = quantity;
      for (const unit of units) shown = shownIn(shown, unit);
      expect(shownIn(shown, quantity.unit).value).toBe(quantity.value);
    }),
  );
});

test.each<[string, number, Unit, Parameters<typeof torqueDoubt>[1], string | null]>([
  ["a drain plug at 40 N·m", 40, "Nm", { code: "plug" }, null],
  ["a drain plug at 120 N·m is just at twice", 120, "Nm", { code: "plug" }, null],
  ["a drain plug at 300 ft·lbf", 300, "ft-lbf", { code: "plug" }, "inch-pounds?"],
  ["a drain plug at 20 in·lbf", 20, "in-lbf", { code: "plug" }, "foot-pounds?"],
  ["a cover screw at 84 in·lbf", 84, "in-lbf", { code: "cover-screw" }, null],
  ["a cover screw at 84 ft·lbf", 84, "ft-lbf", { code: "cover-screw" }, "inch-pounds?"],
  ["a wheel at 110 N·m", 110, "Nm", { code: "wheel" }, null],
  ["a wheel at 90 in·lbf", 90, "in-lbf", { code: "wheel" }, "foot-pounds?"],
  ["M8 at 25 N·m", 25, "Nm", { code: "screw", thread: "M8", strength: "8.8" }, null],
  ["M8 at 60 N·m", 60, "Nm", { code: "screw", thread: "M8", strength: "8.8" }, "inch-pounds?"],
  ["M8 of class 10.9 at 60 N·m", 60, "Nm", { code: "screw", thread: "M8", strength: "10.9" }, null],
  ["an unknown thread", 9999, "Nm", { code: "screw", thread: "M99", strength: "8.8" }, null],
])("%s", (_name, value, unit, use, expected) => {
  expect(torqueDoubt({ value, unit }, use)?.code ?? null).toBe(expected);
});

test("stronger screws take more", () => {
  const most = (["8.8", "10.9", "12.9"] as const).map(
    (strength) => usualTorque({ code: "screw", thread: "M10", strength })?.most ?? 0,
  );
  expect(most.map(Math.round)).toEqual([49, 69, 83]);
});
