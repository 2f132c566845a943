/** What a unit measures; only quantities of one dimension can be compared or converted. */
export type Dimension =
  | "length"
  | "volume"
  | "torque"
  | "pressure"
  | "temperature"
  | "mass"
  | "time"
  | "voltage"
  | "current"
  | "charge"
  | "power"
  | "share"
  | "rotation"
  | "count"
  | "turn"
  | "acidity";

/**
 * A unit by its exact size: `size[0] / size[1]` of the first unit of its dimension, in whole numbers
 * so that nothing is lost before the last division. Temperatures also have a zero of their own.
 */
interface UnitSize {
  readonly dimension: Dimension;
  readonly size: readonly [bigint, bigint];
}

const unit = (
  dimension: Dimension,
  numerator: bigint | number,
  denominator: bigint | number = 1n,
): UnitSize => ({ dimension, size: [BigInt(numerator), BigInt(denominator)] });

/** The litres of a US and of an imperial gallon, times 10⁹ and 10⁵. */
const US_GALLON = 3785411784n;
const IMPERIAL_GALLON = 454609n;
/** Newtons of a pound-force, times 10¹³: 0.45359237 kg × 9.80665 m/s². */
const POUND_FORCE = 44482216152605n;

/**
 * Every unit a quantity can be typed in, by the name a book uses. Factors are those of the
 * international yard and pound (1959) and of the US and imperial gallon, all exact; the inch of
 * water is the conventional 0.249089 kPa (4 °C).
 */
export const UNITS = {
  mm: unit("length", 1),
  cm: unit("length", 10),
  m: unit("length", 1000),
  km: unit("length", 1_000_000),
  in: unit("length", 254, 10),
  /** The thirty-second of an inch, in which tread is measured. */
  "in-32nd": unit("length", 254, 320),
  ft: unit("length", 3048, 10),
  mi: unit("length", 1_609_344),
  L: unit("volume", 1),
  mL: unit("volume", 1, 1000),
  "us-gal": unit("volume", US_GALLON, 10n ** 9n),
  "us-qt": unit("volume", US_GALLON, 4n * 10n ** 9n),
  "us-pt": unit("volume", US_GALLON, 8n * 10n ** 9n),
  "us-floz": unit("volume", US_GALLON, 128n * 10n ** 9n),
  "imp-gal": unit("volume", IMPERIAL_GALLON, 10n ** 5n),
  "imp-qt": unit("volume", IMPERIAL_GALLON, 4n * 10n ** 5n),
  "imp-pt": unit("volume", IMPERIAL_GALLON, 8n * 10n ** 5n),
  "imp-floz": unit("volume", IMPERIAL_GALLON, 160n * 10n ** 5n),
  Nm: unit("torque", 1),
  "ft-lbf": unit("torque", POUND_FORCE * 3048n, 10n ** 17n),
  "in-lbf": unit("torque", POUND_FORCE * 254n, 10n ** 17n),
  kPa: unit("pressure", 1),
  bar: unit("pressure", 100),
  mbar: unit("pressure", 1, 10),
  MPa: unit("pressure", 1000),
  psi: unit("pressure", POUND_FORCE, 64516n * 10n ** 8n),
  inH2O: unit("pressure", 249089, 1_000_000),
  degC: unit("temperature", 1),
  degF: unit("temperature", 5, 9),
  kg: unit("mass", 1),
  g: unit("mass", 1, 1000),
  lb: unit("mass", 45359237, 10n ** 8n),
  oz: unit("mass", 45359237, 16n * 10n ** 8n),
  h: unit("time", 1),
  min: unit("time", 1, 60),
  V: unit("voltage", 1),
  A: unit("current", 1),
  Ah: unit("charge", 1),
  W: unit("power", 1),
  kW: unit("power", 1000),
  percent: unit("share", 1),
  rpm: unit("rotation", 1),
  piece: unit("count", 1),
  turn: unit("turn", 1),
  pH: unit("acidity", 1),
} as const satisfies Record<string, UnitSize>;

/** How each unit is written for people. Apart from the sizes, because reckoning does without. */
const SYMBOLS: Readonly<Record<keyof typeof UNITS, string>> = {
  mm: "mm",
  cm: "cm",
  m: "m",
  km: "km",
  in: "in",
  "in-32nd": "thirty-seconds in",
  ft: "ft",
  mi: "mi",
  L: "L",
  mL: "mL",
  "us-gal": "US gal",
  "us-qt": "US qt",
  "us-pt": "US pt",
  "us-floz": "US fl oz",
  "imp-gal": "imp gal",
  "imp-qt": "imp qt",
  "imp-pt": "imp pt",
  "imp-floz": "imp fl oz",
  Nm: "N·m",
  "ft-lbf": "ft·lbf",
  "in-lbf": "in·lbf",
  kPa: "kPa",
  bar: "bar",
  mbar: "mbar",
  MPa: "MPa",
  psi: "psi",
  inH2O: "inH₂O",
  degC: "°C",
  degF: "°F",
  kg: "kg",
  g: "g",
  lb: "lb",
  oz: "oz",
  h: "h",
  min: "min",
  V: "V",
  A: "A",
  Ah: "Ah",
  W: "W",
  kW: "kW",
  percent: "%",
  rpm: "rpm",
  piece: "pieces",
  turn: "turns",
  pH: "pH",
};

/** A unit by the name a book uses. */
export type Unit = keyof typeof UNITS;

/** The names of all units. */
export const UNIT_NAMES = Object.keys(UNITS) as readonly Unit[];

/** What a unit measures. */
export function dimensionOf(unit: Unit): Dimension {
  return UNITS[unit].dimension;
}

/** A unit as it is written for people, `N·m`, `US qt`. */
export function symbolOf(unit: Unit): string {
  return SYMBOLS[unit];
}

/** US customary or imperial measure: their quarts and gallons differ by a fifth. */
export type Gallons = "us" | "imperial";
