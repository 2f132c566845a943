import {
  dimensionOf,
  symbolOf,
  UNIT_NAMES,
  type Dimension,
  type Gallons,
  type Unit,
} from "./unit.js";

/** A unit that is only known with the gallons it belongs to. */
type BareMeasure = "gal" | "qt" | "pt" | "floz";

/** What people write for a unit, beside its symbol. Small letters, without dots, spaces and hyphens. */
const WORDS: Readonly<Record<string, Unit>> = {
  millimetre: "mm",
  millimeter: "mm",
  metre: "m",
  meter: "m",
  kms: "km",
  kilometre: "km",
  kilometer: "km",
  inch: "in",
  inche: "in",
  '"': "in",
  foot: "ft",
  feet: "ft",
  "'": "ft",
  mile: "mi",
  litre: "L",
  liter: "L",
  ltr: "L",
  cc: "mL",
  cm3: "mL",
  nm: "Nm",
  newtonmetre: "Nm",
  ftlb: "ft-lbf",
  lbft: "ft-lbf",
  lbfft: "ft-lbf",
  lbsft: "ft-lbf",
  lbsfft: "ft-lbf",
  ftlbsf: "ft-lbf",
  poundfeet: "ft-lbf",
  footlb: "ft-lbf",
  newtonmeter: "Nm",
  footpound: "ft-lbf",
  poundfoot: "ft-lbf",
  inlb: "in-lbf",
  lbin: "in-lbf",
  lbfin: "in-lbf",
  inchpound: "in-lbf",
  lbsin: "in-lbf",
  lbsfin: "in-lbf",
  inlbsf: "in-lbf",
  poundinch: "in-lbf",
  poundinche: "in-lbf",
  inchlb: "in-lbf",
  inh2o: "inH2O",
  inwc: "inH2O",
  c: "degC",
  f: "degF",
  lb: "lb",
  pound: "lb",
  hr: "h",
  hour: "h",
  minute: "min",
  volt: "V",
  amp: "A",
  ampere: "A",
  watt: "W",
  "%": "percent",
  rev: "rpm",
  rmin: "rpm",
  pc: "piece",
  pcs: "piece",
  turn: "turn",
  thirtysecond: "in-32nd",
  thirtysecondofaninch: "in-32nd",
};

const BARE: Readonly<Record<string, BareMeasure>> = {
  gal: "gal",
  gallon: "gal",
  qt: "qt",
  quart: "qt",
  pt: "pt",
  pint: "pt",
  floz: "floz",
  fluidounce: "floz",
};

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[\s.·*\-°/\u00a0]/g, "")
    .replace(/₂/g, "2")
    .replace(/["″”]+/g, '"')
    .replace(/['′’]/g, "'");

const byWords = new Map<string, Unit>(Object.entries(WORDS));
for (const name of UNIT_NAMES) {
  byWords.set(plain(symbolOf(name)), name);
  byWords.set(plain(name), name);
}

/** What a unit word says: a unit, a measure that may be US or imperial, or nothing known. */
export type UnitFound =
  | { readonly code: "unit"; readonly unit: Unit }
  /** A bare quart, gallon, pint or fluid ounce of the machine's own gallons. */
  | { readonly code: "which-gallon"; readonly us: Unit; readonly imperial: Unit }
  | { readonly code: "unknown" };

function lookUp<Value>(words: ReadonlyMap<string, Value>, text: string): Value | undefined {
  return words.get(text) ?? (text.endsWith("s") ? words.get(text.slice(0, -1)) : undefined);
}

const bareByWords = new Map(Object.entries(BARE));
const MEASURE_SYSTEM = /^(us|imperial|imp|uk)|(us|imperial|imp|uk)$/;

/** Whether a word is an ounce that does not say of what. */
export function isBareOunce(text: string): boolean {
  return /^ozs?$/.test(plain(text).replace(MEASURE_SYSTEM, ""));
}

/** Which unit a word means, in a field for the first of `dimensions` that takes the others too; `oz` is fluid where a volume is meant. */
export function findUnit(
  text: string,
  dimensions: readonly Dimension[],
  gallons: Gallons | null,
): UnitFound {
  const word = plain(text);
  const isFluidOunce =
    word.replace(/s$/, "") === "oz" && (dimensions[0] === "volume" || !dimensions.includes("mass"));
  const found = isFluidOunce ? undefined : lookUp(byWords, word);
  if (found !== undefined) return { code: "unit", unit: found };
  const system = MEASURE_SYSTEM.exec(word)?.[0];
  const rest = system === undefined ? word : word.replace(MEASURE_SYSTEM, "");
  const bare = isFluidOunce ? "floz" : lookUp(bareByWords, rest === "oz" ? "floz" : rest);
  if (bare === undefined) return { code: "unknown" };
  const us: Unit = `us-${bare}`;
  const imperial: Unit = `imp-${bare}`;
  const own = system === undefined ? gallons : system === "us" ? "us" : "imperial";
  if (own === null) return { code: "which-gallon", us, imperial };
  return { code: "unit", unit: own === "us" ? us : imperial };
}

/** Whether a unit belongs in a field for these dimensions. */
export function fits(unit: Unit, dimensions: readonly Dimension[]): boolean {
  return dimensions.includes(dimensionOf(unit));
}
