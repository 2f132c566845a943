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
  /** How it is written for people. */
  readonly symbol: string;
  readonly size: readonly [bigint, bigint];
}

const unit = (
  dimension: Dimension,
  symbol: string,
  numerator: bigint | number,
  denominator: bigint | number = 1n,
): UnitSize => ({ dimension, symbol, size: [BigInt(numerator), BigInt(denominator)] });

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
  mm: unit("length", "mm", 1),
  cm: unit("length", "cm", 10),
  m: unit("length", "m", 1000),
  km: unit("length", "km", 1_000_000),
  in: unit("length", "in", 254, 10),
  /** The thirty-second of an inch, in which tread is measured. */
  "in-32nd": unit("length", "thirty-seconds in", 254, 320),
  ft: unit("length", "ft", 3048, 10),
  mi: unit("length", "mi", 1_609_344),
  L: unit("volume", "L", 1),
  mL: unit("volume", "mL", 1, 1000),
  "us-gal": unit("volume", "US gal", US_GALLON, 10n ** 9n),
  "us-qt": unit("volume", "US qt", US_GALLON, 4n * 10n ** 9n),
  "us-pt": unit("volume", "US pt", US_GALLON, 8n * 10n ** 9n),
  "us-floz": unit("volume", "US fl oz", US_GALLON, 128n * 10n ** 9n),
  "imp-gal": unit("volume", "imp gal", IMPERIAL_GALLON, 10n ** 5n),
  "imp-qt": unit("volume", "imp qt", IMPERIAL_GALLON, 4n * 10n ** 5n),
  "imp-pt": unit("volume", "imp pt", IMPERIAL_GALLON, 8n * 10n ** 5n),
  "imp-floz": unit("volume", "imp fl oz", IMPERIAL_GALLON, 160n * 10n ** 5n),
  Nm: unit("torque", "N·m", 1),
  "ft-lbf": unit("torque", "ft·lbf", POUND_FORCE * 3048n, 10n ** 17n),
  "in-lbf": unit("torque", "in·lbf", POUND_FORCE * 254n, 10n ** 17n),
  kPa: unit("pressure", "kPa", 1),
  bar: unit("pressure", "bar", 100),
  mbar: unit("pressure", "mbar", 1, 10),
  MPa: unit("pressure", "MPa", 1000),
  psi: unit("pressure", "psi", POUND_FORCE, 64516n * 10n ** 8n),
  inH2O: unit("pressure", "inH₂O", 249089, 1_000_000),
  degC: unit("temperature", "°C", 1),
  degF: unit("temperature", "°F", 5, 9),
  kg: unit("mass", "kg", 1),
  g: unit("mass", "g", 1, 1000),
  lb: unit("mass", "lb", 45359237, 10n ** 8n),
  oz: unit("mass", "oz", 45359237, 16n * 10n ** 8n),
  h: unit("time", "h", 1),
  min: unit("time", "min", 1, 60),
  V: unit("voltage", "V", 1),
  A: unit("current", "A", 1),
  Ah: unit("charge", "Ah", 1),
  W: unit("power", "W", 1),
  kW: unit("power", "kW", 1000),
  percent: unit("share", "%", 1),
  rpm: unit("rotation", "rpm", 1),
  piece: unit("count", "pieces", 1),
  turn: unit("turn", "turns", 1),
  pH: unit("acidity", "pH", 1),
} as const satisfies Record<string, UnitSize>;

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
  return UNITS[unit].symbol;
}

/** US customary or imperial measure: their quarts and gallons differ by a fifth. */
export type Gallons = "us" | "imperial";
